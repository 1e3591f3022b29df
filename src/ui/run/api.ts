import type { PartFile, RunFile } from '@/core/read/runFile';
import type { Problem } from '@/core/model/result';
import type { UnitSystem } from '@/core/model/units/length';

/** A run as the server gives it. */
export interface ServedRun {
  id: number;
  revision: number;
  savedAt: string;
  file: RunFile;
}

/** Why nothing could be done: no server, or a database that is gone, busy or full. */
export type Unreachable = 'server' | 'gone' | 'busy' | 'full';

/** How a request ended, as the page needs to know it. */
export type Outcome =
  | { kind: 'done'; run: ServedRun }
  | { kind: 'conflict'; current: ServedRun }
  | { kind: 'refused'; problems: Problem[] }
  | { kind: 'unreachable'; because: Unreachable };

/** A server that has not answered by then does not answer, ms. */
const PATIENCE_MS = 20_000;

interface Answer {
  run?: ServedRun;
  current?: ServedRun;
  problems?: Problem[];
  trouble?: { kind: Unreachable | 'bug' };
}

async function ask(method: string, path: string, body: unknown): Promise<Outcome> {
  try {
    const response = await fetch(path, {
      method,
      headers: { 'content-type': 'application/json' },
      body: typeof body === 'string' ? body : JSON.stringify(body),
      signal: AbortSignal.timeout(PATIENCE_MS),
    });
    const answer = (await response.json()) as Answer;
    if (response.ok && answer.run) return { kind: 'done', run: answer.run };
    if (response.status === 409 && answer.current) return { kind: 'conflict', current: answer.current };
    // A fault of the program does not go away by itself; everything else on this side does.
    if (answer.trouble && answer.trouble.kind !== 'bug') return { kind: 'unreachable', because: answer.trouble.kind };
    return { kind: 'refused', problems: answer.problems ?? [] };
  } catch {
    return { kind: 'unreachable', because: 'server' };
  }
}

/**
 * Keeps a run: a new one, or a further revision on top of `base`.
 * @param under what a new run is asked for as; sent again under the same name, it is the same run
 */
export const saveRun = (id: string, base: number, file: RunFile, under: string): Promise<Outcome> =>
  id === 'new' ? ask('POST', '/api/runs', { file, under }) : ask('PUT', `/api/runs/${id}`, { base, file });

/** Brings in a run file as it was read from disk. */
export const importRun = (text: string): Promise<Outcome> => ask('POST', '/api/import', text);

/** A part as it was at one save. */
export interface ServedRevision {
  id: number;
  count: number;
  savedAt: string;
  units: UnitSystem;
  part: PartFile;
  runs: number[];
}

/** Every kept revision of a part, the newest first; undefined when the server does not answer. */
export async function fetchRevisions(number: string): Promise<ServedRevision[] | undefined> {
  try {
    const response = await fetch(`/api/parts?number=${encodeURIComponent(number)}`);
    if (!response.ok) return undefined;
    return ((await response.json()) as { revisions: ServedRevision[] }).revisions;
  } catch {
    return undefined;
  }
}
