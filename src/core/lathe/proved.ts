import type { Changed, LatheEvent, Sign } from './events';

/** What a run proved at the lathe, for the next of its part. Operations by their keys. */
export interface Proved {
  /** By how much a place was moved in all, mm, and at which operation it was last. */
  moved: readonly { place: string; by: number; operation: string; what?: string }[];
  changed: readonly { operation: string; what: Changed; to: string }[];
  helped: readonly { operation: string; sign: Sign; cause: string }[];
}

/** A run that was made before, and what it proved. */
export interface Earlier {
  run: number;
  revision: number;
  /** When it was last at the lathe. */
  at: string;
  proved: Proved;
}

/** What a run proved, of its events in order (`inOrder`): corrections summed, of changes the last. */
export function provedBy(events: readonly LatheEvent[]): Proved {
  const moved = new Map<string, Proved['moved'][number]>();
  const changed = new Map<string, Proved['changed'][number]>();
  const helped = new Map<string, Proved['helped'][number]>();
  for (const event of events) {
    const { operation = '' } = event;
    if (event.kind === 'corrected') {
      const { place, what } = event;
      const by = (moved.get(place)?.by ?? 0) + event.by;
      moved.set(place, { place, by, operation, ...(what === undefined ? {} : { what }) });
    } else if (event.kind === 'changed')
      changed.set(`${operation} ${event.what}`, { operation, what: event.what, to: event.to });
    else if (event.kind === 'tried' && event.helped)
      helped.set(`${operation} ${event.sign}`, { operation, sign: event.sign, cause: event.cause });
  }
  return {
    // What came back to where it was planned proved the plan.
    moved: [...moved.values()].filter(({ by }) => Math.abs(by) > 1e-9),
    changed: [...changed.values()],
    helped: [...helped.values()],
  };
}

/** Whether a run proved anything that the plan did not say. */
export const isAnything = ({ moved, changed, helped }: Proved): boolean =>
  moved.length + changed.length + helped.length > 0;
