import type { Measured, NextCut, NextPass } from '../lathe/nextCut';
import { dialMove, sayDial } from '../model/shop/dial';
import { formatLength } from '../model/units/length';
import type { PlannedSetup, TimedOperation } from '../plan/times/planTimes';
import { crossReadingOf } from './cross';
import { stopOf } from './stop';

/** What to do next, as it is told at the lathe. */
export interface NextView {
  /** In one or two words, large. */
  what: string;
  /** Why, and what to mind. */
  because: string[];
  kind: NextCut['outcome']['kind'];
  /** Each cut as this machine is brought to it: what is turned, and what it then reads. */
  passes: { depth: string; to: string; dial?: string }[];
  /** What is left on the dial is more than a third of the limits: it is told. */
  coarseDial: boolean;
}

/** More of the limits than this may not be left to the eye. */
const THIRD = 1 / 3;

const WHAT: Record<NextCut['outcome']['kind'], string> = {
  again: 'Measure again',
  in: 'Leave it',
  cut: 'Cut',
  rub: 'Too little to cut',
  spoilt: 'Beyond its limit',
};

/** What is said of an outcome. */
function becauseOf(next: NextCut, fine: (mm: number) => string): string[] {
  const { outcome, promised, surprised, size, aim } = next;
  const said: string[] = [];
  if (outcome.kind === 'again')
    said.push(
      outcome.because === 'doubted'
        ? 'The reading is not what the last cut should have left: clean, measure at two places.'
        : 'The readings are further apart than the gauge repeats.',
    );
  if (outcome.kind === 'in') said.push(`${fine(size.value)} is within its limits.`);
  if (outcome.kind === 'in' && outcome.near)
    said.push('So near a limit this gauge cannot tell: measure again with a finer one, or once more.');
  if (outcome.kind === 'cut') said.push(`Aim at ${fine(aim.value)}.`);
  if (outcome.kind === 'rub')
    said.push(
      outcome.by === 'abrasive'
        ? 'The edge would only rub: take it with an abrasive, ways covered.'
        : 'The edge would only rub: a spring pass at the same setting, or a sharper edge; then measure.',
    );
  if (outcome.kind === 'spoilt')
    said.push('Nothing brings it back: scrap, or a mate made to it, a sleeve, another part.');
  if (!promised && outcome.kind !== 'spoilt' && outcome.kind !== 'in' && aim.note)
    said.push(`Not sure to hold: ${aim.note}.`);
  if (surprised)
    said.push('It was not where it was expected: look at play, the dial, and whether the read-out shows ⌀ or radius.');
  return said;
}

/** What a reading asks for, in the terms of the run's machine. */
export function nextView(
  next: NextCut,
  planned: PlannedSetup,
  { perSide, limits }: { perSide: boolean; limits: { lower: number; upper: number } },
): NextView {
  const { units, shop } = planned.setup.run;
  const fine = (mm: number) => formatLength(mm, units, true);
  const cross = crossReadingOf(shop.machine, units);
  const dial = perSide ? shop.machine.crossDial : shop.machine.carriageDial;
  const moves = next.outcome.kind === 'cut' ? next.outcome.passes : [];
  const view = ({ depth, to }: NextPass) => ({
    depth: fine(depth),
    to: perSide ? cross.read(to) : fine(to),
    ...(dial && (!perSide || cross.dial) ? { dial: sayDial(dialMove(depth, dial)) } : {}),
  });
  const rest = dial && moves[0] ? Math.abs(dialMove(moves[0].depth, dial).rest) * (perSide ? 2 : 1) : 0;
  const passes = moves.map(view);
  return {
    what: next.outcome.kind === 'cut' && passes.length > 1 ? `Cut, ${passes.length} passes` : WHAT[next.outcome.kind],
    because: becauseOf(next, fine),
    kind: next.outcome.kind,
    passes,
    coarseDial: passes[0]?.dial !== undefined && rest > THIRD * (limits.upper - limits.lower),
  };
}

/** What puts a size right for the pieces to come: what is moved, by how much, and what moves with it. */
export interface Correction {
  /** What it is called in the log. */
  place: string;
  /** mm: of a length towards what holds the work, of a diameter on it. */
  by: number;
  words: string;
  also: string[];
}

/** What a stop is called in the log. */
export const stopPlace = ({ setup }: PlannedSetup, { letter }: { letter: string }): string =>
  `stop ${setup.number}${letter}`;

/** A length is put right at its stop, which stops other operations as well. */
function stopCorrection(planned: PlannedSetup, operation: TimedOperation, by: number): Correction | undefined {
  const stop = stopOf(planned, operation);
  const pin = planned.pins.find(({ operations }) => operations.includes(operation.key));
  if (!stop || !pin || pin.axis === 'quill') return undefined;
  const { units } = planned.setup.run;
  const others = planned.operations.filter(({ key }) => key !== operation.key && pin.operations.includes(key));
  return {
    place: stopPlace(planned, pin),
    by,
    words: `${stop.words}: ${formatLength(Math.abs(by), units, true)} ${by > 0 ? 'further in' : 'back'}`,
    also: others.map(({ number, name }) => `${number} ${name}`),
  };
}

/** A diameter is put right at the cross-slide's zero of its tool, which makes others as well; a drill or a reamer has none. */
function zeroCorrection(planned: PlannedSetup, operation: TimedOperation, by: number): Correction | undefined {
  const { tool } = operation;
  if (tool.mount !== 'post') return undefined;
  const { units, shop } = planned.setup.run;
  const others = planned.operations.filter(
    ({ key, tool: other, diameter }) => key !== operation.key && other.id === tool.id && diameter !== undefined,
  );
  return {
    place: `zero of ${tool.name}`,
    by,
    words: `${crossReadingOf(shop.machine, units).hasReadOut ? 'read-out' : 'dial'} of the ${tool.name}: ${formatLength(Math.abs(by), units, true)} ${by > 0 ? 'larger' : 'smaller'} on the ⌀`,
    also: others.map(({ number, name }) => `${number} ${name}`),
  };
}

/** Less than this is nothing to move, mm. */
const NOTHING = 1e-4;

/**
 * What puts a size right for the pieces to come.
 * @param off how much larger it is than its target, mm
 */
export function correctionOf(
  planned: PlannedSetup,
  operation: TimedOperation,
  { grows, perSide }: Pick<Measured, 'grows' | 'perSide'>,
  off: number,
): Correction | undefined {
  if (Math.abs(off) < NOTHING) return undefined;
  return perSide ? zeroCorrection(planned, operation, -off) : stopCorrection(planned, operation, grows ? -off : off);
}
