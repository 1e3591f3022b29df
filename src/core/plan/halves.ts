import { exactly } from '../model/part/size';
import { isTied, type Part, type Step } from '../model/part/part';
import { halved } from '../model/plan/halved';
import type { Setup } from '../model/plan/setup';
import { good, refuse, type Result } from '../model/result';
import type { Run } from '../model/run';
import { CLOSE } from '../model/tolerances';
import { say, sayDiameter } from '../model/words';

/** The stretches of a step that nothing is cut into. z, mm. */
function freeStretches({ features }: Part, { zFrom, zTo }: Step): { from: number; to: number }[] {
  const cut = features
    .filter(({ bore, inFace, z0, z1 }) => !bore && !inFace && z0 < zTo - CLOSE && z1 > zFrom + CLOSE)
    .toSorted((a, b) => a.z0 - b.z0);
  const begins = [zFrom, ...cut.map(({ z1 }) => z1)];
  const ends = [...cut.map(({ z0 }) => z0), zTo];
  return begins.map((from, index) => ({ from, to: ends[index] ?? zTo }));
}

/** Where two cuts on a step may meet: in the free stretch that lies nearest to its middle, as near to that as can be. */
function meetingPlace(part: Part, step: Step, room: number): number | undefined {
  const middle = (step.zFrom + step.zTo) / 2;
  const places = freeStretches(part, step)
    .filter(({ from, to }) => to - from > 2 * room)
    .map(({ from, to }) => Math.min(Math.max(middle, from + room), to - room));
  return places.toSorted((a, b) => Math.abs(a - middle) - Math.abs(b - middle))[0];
}

/** A step cut in two, both with its path: of each view the half that is turned from its face comes first. */
function cutAt(step: Step, at: number): [Step, Step] {
  const middle = (step.middle.from + step.middle.to) / 2;
  const length = (mm: number) => ({ ...exactly(mm), open: 'free' as const });
  return [
    { ...step, length: length(at - step.zFrom), zTo: at, middle: { from: step.middle.from, to: middle } },
    { ...step, length: length(step.zTo - at), zFrom: at, middle: { from: middle, to: step.middle.to } },
  ];
}

/**
 * A part whose largest plain diameter is turned half from each side, since nothing that holds it leaves it whole (trade: Safe
 * holds). What must run true to something else is not cut in two.
 * @param room what either half has at least before anything that is cut into it, mm
 * @returns undefined where there is no such diameter
 */
export function inHalves(part: Part, room: number): Part | undefined {
  const plain = part.steps.filter(
    ({ path }) => !part.features.some((feature) => feature.path === path) && !isTied(part, path),
  );
  const [widest] = plain.toSorted(
    (a, b) => b.diameter.nominal - a.diameter.nominal || b.zTo - b.zFrom - (a.zTo - a.zFrom),
  );
  const at = widest && meetingPlace(part, widest, room);
  if (!widest || at === undefined) return undefined;
  return { ...part, steps: part.steps.flatMap((step) => (step === widest ? cutAt(step, at) : [step])) };
}

/**
 * Whether the halves of a diameter run true to each other within its limits: what goes over both of them finds them as far apart as
 * the second holding is out of true.
 */
export function halvesAgree(setups: readonly Setup[], { units }: Run): Result<void> {
  const found = halved(setups);
  if (!found) return good(undefined);
  const { lower, upper, nominal } = found.step.diameter;
  const { runOut, words } = found.second.holding;
  return upper - lower < runOut - 1e-9
    ? refuse(
        'part.outside',
        `the halves of ${sayDiameter(nominal, units)} would run true to each other to ${say(runOut, units)} ${words}, and its limits are ${say(Number((upper - lower).toFixed(4)), units)} apart`,
      )
    : good(undefined);
}
