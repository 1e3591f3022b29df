import { largestRadius } from '../model/workpiece/profile';
import { formatLength } from '../model/units/length';
import type { PlannedSetup, TimedOperation } from '../plan/times/planTimes';

/** Kinds that a tool off centre height spoils: a pip is left, a blade breaks or climbs, a cone or a form comes out false. */
const ON_HEIGHT: readonly string[] = [
  'part-off',
  'part-in',
  'groove',
  'face-groove',
  'inner-groove',
  'vee',
  'form',
  'taper',
  'thread',
  'inner-thread',
  'face',
];
/** What is set by the thread gauge. */
const THREADING: readonly string[] = ['thread', 'inner-thread'];
/** What goes straight in, square to the axis or it rubs and walks. */
const BLADES: readonly string[] = ['part-off', 'part-in', 'groove', 'face-groove', 'inner-groove'];

/** How deep a blade goes into the work, mm: into a face along the axis, else square to it. */
const deepIn = ({ kind, before, from, to, passes }: TimedOperation): number => {
  if (kind === 'face-groove') return Math.abs(to - from);
  const outer = largestRadius(before.outside, Math.min(from, to), Math.max(from, to));
  const innermost = Math.min(outer, ...passes.flatMap(({ path }) => path.map(({ r }) => Math.max(0, r))));
  return outer - innermost;
};

/**
 * How a tool of the post is made ready for what it does in a set-up, in words (trade: Stops): height, squareness, and how far it
 * stands out, as short as its reach allows; nothing where the usual is enough.
 */
export function madeReady(planned: PlannedSetup, tool: string): string[] {
  const { allowances } = planned.setup.run.shop;
  const { units } = planned.setup.run;
  const uses = planned.operations.filter((operation) => operation.tool.id === tool);
  const blades = uses.filter(({ kind, removal }) => BLADES.includes(kind) && removal.bore === undefined);
  const inside = uses.filter(({ kind, removal }) => removal.bore !== undefined || kind === 'inner-thread');
  const out = Math.max(
    0,
    ...blades.map((operation) => deepIn(operation) + allowances.bladeSpare),
    ...inside.map(({ to, from }) => Math.max(to, from) + allowances.toolClearance),
  );
  return [
    ...(uses.some(({ kind }) => ON_HEIGHT.includes(kind)) ? ['exactly on height'] : []),
    ...(uses.some(({ kind }) => BLADES.includes(kind)) ? ['square to the axis'] : []),
    ...(uses.some(({ kind }) => THREADING.includes(kind)) ? ['square by the gauge'] : []),
    ...(out > 0 ? [`out ${formatLength(out, units)}`] : []),
  ];
}
