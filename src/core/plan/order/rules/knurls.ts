import type { Operation } from '../../../model/plan/operation';
import type { Setup } from '../../../model/plan/setup';
import { finishedPart } from '../../../model/workpiece/finishedPart';
import { largestRadius } from '../../../model/workpiece/profile';
import { timesByItself } from '../../holding/support';
import { FINISHING, type Rule } from './rule';

/** The step that a knurl is rolled into. */
const stepOf = ({ from, to }: Operation, { part }: Setup) =>
  part.steps.find(({ zFrom, zTo }) => zFrom <= from + 1e-6 && zTo >= to - 1e-6);

/** Whether two wheels pinch a knurl on slender work: it bends nothing there, and the work may stay stiff until then. */
export function isPinched(knurl: Operation, setup: Setup): boolean {
  const diameter = stepOf(knurl, setup)?.diameter.nominal ?? Infinity;
  return knurl.tool.wheels === 2 && setup.stickOut.value > timesByItself(setup.run) * diameter;
}

/** Why a knurl comes before what is finished beside it. */
const finishedBeside = (knurl: Operation, after: Operation, setup: Setup): string | undefined =>
  FINISHING.includes(after.kind) && after.feature !== stepOf(knurl, setup)?.path
    ? 'A knurl wants force and pushes metal out: before its neighbours are finished.'
    : undefined;

/** What opens the work from inside. */
const OPENING: readonly string[] = ['drill', 'bore', 'counterbore', 'ream'];

/** Why a knurl comes before what is opened under it: where that leaves it a thin wall. */
function beforeThin({ from, to }: Operation, after: Operation, { part, run }: Setup): string | undefined {
  if (!OPENING.includes(after.kind) || after.to < from) return undefined;
  const outer = largestRadius(finishedPart(part).outside, from, to);
  return outer - (after.diameter ?? 0) / 2 < 2 * outer * run.shop.cutting.thinWall
    ? 'A knurl wants force: while the metal under it is whole.'
    : undefined;
}

export const knurlEarly: Rule = {
  id: 'KNURL-EARLY',
  strength: 'S',
  first: ['knurl'],
  then: [...new Set([...FINISHING, ...OPENING]), 'chamfer'],
  before(before, after, setup) {
    const solid = beforeThin(before, after, setup);
    if (solid) return solid;
    if (after.kind !== 'chamfer') return isPinched(before, setup) ? undefined : finishedBeside(before, after, setup);
    const step = stepOf(before, setup);
    return step && after.from >= step.zFrom - 1e-6 && after.to <= step.zTo + 1e-6
      ? 'The edges of a knurl are broken when it is there: they take off what it pushed out.'
      : undefined;
  },
};

/** Pinched on slender work a knurl may come late, so that it stays stiff until then: a school's choice. */
export const pinchedEarly: Rule = {
  ...knurlEarly,
  id: 'PINCHED-EARLY',
  strength: 'C',
  then: FINISHING,
  before: (before, after, setup) => (isPinched(before, setup) ? finishedBeside(before, after, setup) : undefined),
};
