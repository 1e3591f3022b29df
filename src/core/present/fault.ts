import type { UnitSystem } from '../model/units/length';
import { say, sayDiameter } from '../model/words';
import type { Fault, FaultCode } from '../plan/proof/faults';

/** What each kind of fault is, in words that end with a colon or stand alone. */
const FAULTS: Record<FaultCode, string> = {
  'too-much-metal': 'metal is left that the drawing does not allow',
  'too-little-metal': 'metal is gone that the drawing asks for',
  'not-made': 'nothing in the plan makes what is drawn',
  'body-meets-work': 'the tool meets the work behind its edge',
  'rapid-meets-work': 'the tool meets the work on its way there or back',
  'meets-holding': 'the tool meets what holds the work',
  'meets-centre': 'the tool meets the centre',
  'meets-stop': 'the tool meets the stop behind the work',
  'depth-differs': 'the cut is not as deep as the plan says',
  'thread-meets-more': 'the threading edge meets what stands beside its thread',
  'nothing-gripped': 'what is to be gripped is not there',
  'grip-marks': 'hard jaws on what they would mark',
  'grips-wall': 'hard jaws on a wall too thin for them',
  tips: 'the cut could tip the work out of its holding: so far out of so much gripped',
  slender: 'the work stands out too far for how stout it is by now, without a centre',
  'no-centre': 'the centre that is to hold the end has no hole',
  'falls-off': 'the work comes apart',
  'no-way': 'the plan does not say where its edge goes',
  'no-tool': 'the shop has no such tool',
};

/** Codes whose own words say it all. */
const NAMED: readonly FaultCode[] = [
  'meets-holding',
  'depth-differs',
  'nothing-gripped',
  'grip-marks',
  'grips-wall',
  'tips',
  'slender',
  'no-tool',
  'not-made',
  'no-way',
];

/** A fault in words: of which operation, what, where and by how much. */
export function sayFault(
  { code, operation, setup, pass, what, z, diameter, amount }: Fault,
  units: UnitSystem,
): string {
  const short = (mm: number) => say(Number(mm.toFixed(3)), units);
  const where = [
    z === undefined ? [] : [`${short(z)} behind the front face`],
    diameter === undefined || diameter <= 0 ? [] : [`at ${sayDiameter(Number(diameter.toFixed(3)), units)}`],
    amount === undefined ? [] : [`by ${short(amount)}`],
  ].flat();
  const who = operation === undefined ? `Set-up ${setup}` : `${operation}${pass === undefined ? '' : `, pass ${pass}`}`;
  return `${who}: ${FAULTS[code]}${NAMED.includes(code) ? ` (${what})` : ''}${where.length > 0 ? `: ${where.join(', ')}` : ''}.`;
}
