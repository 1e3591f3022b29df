import type { RunFile } from '@/core/read/runFile';
import { newName } from '../primitives/newName';

/**
 * Unsaved edits in this browser, each under a key of its own: the run it is of (`new` for one never saved) and the tab
 * in which it was made. Two tabs never write over each other.
 */
export interface FoundDraft {
  key: string;
  run: string;
  tab: string;
  /** When it was changed last, ms; 0 where that is not known. */
  at: number;
  file: RunFile;
  base: number;
}

const PREFIX = 'shingle-draft';

/** Under which an earlier version kept the one draft of a run. */
const BEFORE = /^shingle-run-(\w+)$/;
const KEY = /^shingle-draft\/(\w+)\/([\w-]+)$/;

/** The key of a run's draft in a tab. */
export const draftKey = (run: string, tab: string): string => `${PREFIX}/${run}/${tab}`;

/** What a draft holds, as the store writes it. */
interface Kept {
  state?: { file?: RunFile; base?: number; saved?: string; at?: number };
}

function draftAt(key: string): FoundDraft | undefined {
  const [, run, tab = 'before'] = KEY.exec(key) ?? BEFORE.exec(key) ?? [];
  if (run === undefined) return undefined;
  try {
    const { state } = JSON.parse(window.localStorage.getItem(key) ?? '') as Kept;
    // What was taken back again is nothing to go on with.
    if (!state?.file || JSON.stringify(state.file) === state.saved) return undefined;
    return { key, run, tab, at: state.at ?? 0, file: state.file, base: state.base ?? 0 };
  } catch {
    return undefined;
  }
}

/** Every unsaved edit in this browser, the one changed last first. */
export function findDrafts(): FoundDraft[] {
  try {
    return Object.keys(window.localStorage)
      .flatMap((key) => draftAt(key) ?? [])
      .sort((a, b) => b.at - a.at);
  } catch {
    return [];
  }
}

/** Lets a draft go. */
export const dropDraft = (key: string): void => window.localStorage.removeItem(key);

const lockOf = (tab: string) => `shingle-tab/${tab}`;

/** Tabs that are open now. */
export async function openTabs(): Promise<Set<string>> {
  const { held = [] } = (await navigator.locks?.query()) ?? {};
  return new Set(held.flatMap(({ name = '' }) => (name.startsWith('shingle-tab/') ? [name.slice(12)] : [])));
}

/** Holds a lock as long as this page is open; says whether it was free. */
const hold = (tab: string): Promise<boolean> =>
  new Promise((resolve) => {
    if (!navigator.locks) return resolve(true);
    void navigator.locks.request(lockOf(tab), { ifAvailable: true }, (lock) => {
      resolve(lock !== null);
      return lock === null ? undefined : new Promise<void>(() => undefined);
    });
  });

let claimed: Promise<string> | undefined;

/**
 * What this tab is called: the same over a reload, and another in a tab that was made as a copy of it, since a browser
 * copies what a tab remembers.
 */
export function tabName(): Promise<string> {
  claimed ??= (async () => {
    const remembered = window.sessionStorage.getItem(PREFIX);
    if (remembered !== null && (await hold(remembered))) return remembered;
    const fresh = newName();
    window.sessionStorage.setItem(PREFIX, fresh);
    await hold(fresh);
    return fresh;
  })();
  return claimed;
}
