import type { EdgePlace } from '../model/plan/edgeWay';
import { kindOf } from '../plan/operations';
import { isLocked } from '../plan/operations/isLocked';
import { isCentred } from '../plan/times/mounts';
import type { PlannedSetup, TimedOperation } from '../plan/times/planTimes';

/** Which way a slide goes. */
export type FeedWay = 'towards the chuck' | 'from the chuck' | 'inwards' | 'outwards' | 'along the compound';

/** How a machine stands for an operation (trade: Stops). */
export interface MachineState {
  spindle: 'forward' | 'back' | 'stopped';
  /** By hand, by power or by the leadscrew, and which way; nothing feeds what is done with the work standing. */
  feed?: { by: 'hand' | 'power' | 'leadscrew'; way: FeedWay };
  /** How the levers of the feed stand, where the machine has a table of them. */
  levers?: string;
  halfNuts: 'in' | 'out';
  /** What is clamped while it cuts. */
  locked: ('carriage' | 'quill' | 'tailstock')[];
}

/** The way that the edge goes the farthest while it cuts. */
function mainWay(path: readonly EdgePlace[]): FeedWay {
  let [dz, dr] = [0, 0];
  path.forEach((place, index) => {
    const before = path[index - 1];
    if (!before || place.by === 'rapid') return;
    const [z, r] = [place.z - before.z, place.r - before.r];
    if (Math.hypot(z, r) > Math.hypot(dz, dr)) [dz, dr] = [z, r];
  });
  if (Math.abs(dz) >= Math.abs(dr)) return dz >= 0 ? 'towards the chuck' : 'from the chuck';
  return dr < 0 ? 'inwards' : 'outwards';
}

/** A right-hand thread is cut towards the chuck with the spindle forward; the other hand, or the other way, turns it back. */
function spindleOf(
  { feature, speed, gearing }: TimedOperation,
  way: FeedWay,
  { setup }: PlannedSetup,
): MachineState['spindle'] {
  if (speed.value === 0) return 'stopped';
  if (!gearing) return 'forward';
  const left = setup.part.features.find(({ path }) => path === feature)?.thread?.hand === 'left';
  return (way === 'towards the chuck') === left ? 'back' : 'forward';
}

/** How the machine stands for an operation of a set-up. */
export function stateOf(planned: PlannedSetup, operation: TimedOperation): MachineState {
  const { tool, passes, compound, gearing, speed, feed } = operation;
  const { machine } = planned.setup.run.shop;
  const kind = kindOf(operation);
  const way = compound === undefined ? mainWay(passes.at(-1)?.path ?? []) : 'along the compound';
  const inTailstock = tool.mount === 'tailstock';
  const isCentre = isCentred(operation, planned.setup, planned.operations);
  const spindle = spindleOf(operation, way, planned);
  const by = gearing ? 'leadscrew' : kind.handFed || compound !== undefined ? 'hand' : 'power';
  const isFed = speed.value > 0 && kind.byHand === undefined;
  const levers = by === 'power' ? machine.feedLevers?.[machine.feeds.indexOf(feed.value)] : undefined;
  return {
    spindle,
    ...(isFed ? { feed: { by, way } } : {}),
    ...(levers === undefined ? {} : { levers }),
    halfNuts: gearing ? 'in' : 'out',
    locked: [
      ...(isFed && isLocked(operation) === true ? ['carriage' as const] : []),
      ...(isCentre ? ['quill' as const] : []),
      ...(isCentre || inTailstock ? ['tailstock' as const] : []),
    ],
  };
}

const SPINDLE = { forward: 'spindle forward', back: 'spindle backward', stopped: 'spindle stopped' };

/** A state against the one before it, in words; of the first of a set-up all that is not at rest. */
function changed(now: MachineState, before: MachineState | undefined): string[] {
  const say = ({ feed }: MachineState) =>
    feed ? `feed ${feed.way} by ${feed.by === 'leadscrew' ? 'the leadscrew' : feed.by}` : '';
  const wasLocked = before?.locked ?? [];
  return [
    ...(now.spindle === (before?.spindle ?? 'forward') ? [] : [SPINDLE[now.spindle]]),
    ...(now.feed && say(now) !== (before ? say(before) : '') ? [say(now)] : []),
    ...(now.levers !== undefined && now.levers !== before?.levers ? [`levers ${now.levers}`] : []),
    ...(now.halfNuts === (before?.halfNuts ?? 'out') ? [] : [`half-nuts ${now.halfNuts}`]),
    ...now.locked.filter((part) => !wasLocked.includes(part)).map((part) => `${part} locked`),
    ...wasLocked.filter((part) => !now.locked.includes(part)).map((part) => `${part} free`),
  ];
}

/** What changes at the machine before an operation of a set-up, in words; nothing where it stands as before. */
export function stateChanges(planned: PlannedSetup, operation: TimedOperation): string[] {
  const index = planned.operations.findIndex(({ key }) => key === operation.key);
  const before = planned.operations[index - 1];
  return changed(stateOf(planned, operation), before && stateOf(planned, before));
}
