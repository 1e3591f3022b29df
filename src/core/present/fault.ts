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
  'meets-rest': 'the tool meets the rest',
  'meets-catcher': 'the blade meets the rod that catches the ring',
  'depth-differs': 'the cut is not as deep as the plan says',
  'thread-meets-more': 'the threading edge meets what stands beside its thread',
  'nothing-gripped': 'what is to be gripped is not there',
  'grip-marks': 'hard jaws on what they would mark',
  'grips-wall': 'hard jaws on a wall too thin for them',
  'meets-chuck': 'the work does not go so deep into the chuck: it is wider than the spindle lets through',
  tips: 'the cut could tip the work out of its holding: so far out of so much gripped',
  slender: 'the work stands out too far for how stout it is by now, without a centre',
  'no-centre': 'the centre that is to hold the end has no hole',
  'falls-off': 'the work comes apart',
  'no-way': 'the plan does not say where its edge goes',
  'no-tool': 'the shop has no such tool',
};

/** Codes that are about something by its name. */
const NAMED: readonly FaultCode[] = ['meets-holding', 'grip-marks', 'grips-wall', 'no-tool', 'not-made', 'no-way'];

/** What a fault is about: by name, or as the lengths that do not go together. */
function sayAbout({ code, what, is = 0, asked = 0 }: Fault, units: UnitSystem): string {
  const short = (mm: number) => say(Number(mm.toFixed(3)), units);
  const about = (mm: number) => say(Number(mm.toFixed(units === 'mm' ? 1 : 3)), units);
  switch (code) {
    case 'depth-differs':
      return ` (${short(is)} instead of ${short(asked)})`;
    case 'tips':
      return ` (${about(is)} out of ${about(asked)})`;
    case 'slender':
      return ` (${about(is)}, as stout as ${sayDiameter(Number(asked.toFixed(1)), units)})`;
    case 'nothing-gripped':
      return ` (${sayDiameter(asked, units)})`;
    default:
      return NAMED.includes(code) ? ` (${what})` : '';
  }
}

/** A fault in words: of which operation, what, where and by how much. */
export function sayFault(fault: Fault, units: UnitSystem): string {
  const { code, operation, setup, pass, z, diameter, amount } = fault;
  const short = (mm: number) => say(Number(mm.toFixed(3)), units);
  const where = [
    z === undefined ? [] : [`${short(z)} behind the front face`],
    diameter === undefined || diameter <= 0 ? [] : [`at ${sayDiameter(Number(diameter.toFixed(3)), units)}`],
    amount === undefined ? [] : [`by ${short(amount)}`],
  ].flat();
  const who = operation === undefined ? `Set-up ${setup}` : `${operation}${pass === undefined ? '' : `, pass ${pass}`}`;
  return `${who}: ${FAULTS[code]}${sayAbout(fault, units)}${where.length > 0 ? `: ${where.join(', ')}` : ''}.`;
}
