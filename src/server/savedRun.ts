import type { RunFile } from '@/core/read/runFile';

/** A run as it is kept: its document, and which revision that is. */
export interface SavedRun {
  id: number;
  revision: number;
  savedAt: string;
  file: RunFile;
  /** The run that it was begun with, as that was then. */
  copiedFrom?: { id: number; file: RunFile };
  /** The newest kept revision of its part, when that is another one than the run was planned with. */
  newerPart?: { revision: string; savedAt: string };
}
