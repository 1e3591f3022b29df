import type { RunState } from '@/core/model/runState';
import { deviceName } from '../devices/deviceName';

/** Runs with the state that they are given, or had. */
export type States = { id: number; state: RunState }[];

async function post<Answer>(path: string, body: unknown): Promise<Answer | undefined> {
  try {
    const response = await fetch(path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    return response.ok ? ((await response.json()) as Answer) : undefined;
  } catch {
    return undefined;
  }
}

/** Says how far runs have come; what they were before, or undefined where the server does not answer. */
export const sayStates = async (runs: States): Promise<States | undefined> =>
  (await post<{ before: States }>('/api/runs/state', { runs, by: deviceName() }))?.before;

/** Another run like one; its id, or undefined where the server does not answer. */
export const duplicateRun = async (id: number): Promise<number | undefined> =>
  (await post<{ run: { id: number } }>(`/api/runs/${id}/duplicate`, {}))?.run.id;
