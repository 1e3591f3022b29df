import type { LatheEvent } from './events';

/** Minutes that one step of one piece took, without pauses. */
export interface ObservedStep {
  piece: number;
  operation: string;
  minutes: number;
}

/** What a device was at: since when, and how long of it was pause. */
interface Clock {
  since: number;
  pausedAt: number | undefined;
  paused: number;
}

const MS_PER_MINUTE = 60_000;

/** What begins a step: the end of the one before, going on, or being told so. */
const BEGINS = new Set<LatheEvent['kind']>(['begun', 'done', 'ready', 'went-on']);

/**
 * What each step took, from the steps themselves: from the end of the one before to its own, on the clock of the device that wrote
 * both, pauses taken off. What a clock that jumped would make less than nothing is left out.
 * @param events in order (`inOrder`)
 */
export function observedSteps(events: readonly LatheEvent[]): ObservedStep[] {
  const clocks = new Map<string, Clock>();
  const steps: ObservedStep[] = [];
  for (const event of events) {
    const now = Date.parse(event.at);
    const clock = clocks.get(event.device);
    if (event.kind === 'paused') {
      if (clock) clock.pausedAt ??= now;
      continue;
    }
    if (event.kind === 'went-on' && clock?.pausedAt !== undefined) {
      clock.paused += now - clock.pausedAt;
      clock.pausedAt = undefined;
      continue;
    }
    if (event.kind === 'done' && clock && event.operation !== undefined) {
      const minutes = (now - clock.since - clock.paused) / MS_PER_MINUTE;
      if (minutes > 0) steps.push({ piece: event.piece ?? 0, operation: event.operation, minutes });
    }
    if (BEGINS.has(event.kind)) clocks.set(event.device, { since: now, pausedAt: undefined, paused: 0 });
  }
  return steps;
}

/** Minutes of making ready: from its first tick to the first piece, each device by its own clock, pauses taken off. @param events in order (`inOrder`) */
export function readyMinutes(events: readonly LatheEvent[]): number {
  const clocks = new Map<string, Clock>();
  let minutes = 0;
  for (const event of events) {
    const now = Date.parse(event.at);
    const clock = clocks.get(event.device);
    if (event.kind === 'paused' && clock) clock.pausedAt ??= now;
    else if (event.kind === 'went-on' && clock?.pausedAt !== undefined) {
      clock.paused += now - clock.pausedAt;
      clock.pausedAt = undefined;
    } else if (event.kind === 'ready' || event.kind === 'begun') {
      if (clock) minutes += Math.max(0, (now - clock.since - clock.paused) / MS_PER_MINUTE);
      if (event.kind === 'ready') clocks.set(event.device, { since: now, pausedAt: undefined, paused: 0 });
      else clocks.delete(event.device);
    } else if (event.kind === 'done') clocks.delete(event.device);
  }
  return minutes;
}
