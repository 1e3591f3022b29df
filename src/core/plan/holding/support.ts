import { sayFigure } from '../../model/units/mark';
import { good, refuse, type Result } from '../../model/result';
import type { Run } from '../../model/run';
import type { Rest } from '../../model/shop/shop';
import { say, sayDiameter, type Reason } from '../../model/words';

/** What bears on the work beside its holding, and why. */
export interface Support {
  /** A centre at the free end while it is turned. */
  supported: boolean;
  rest?: Rest;
  reasons: Reason[];
}

const NAMES = { follow: 'follow rest', fixed: 'fixed rest' };

/** In words: what bears on slender work. */
export const sayRest = ({ kind }: Rest): string => NAMES[kind];

/** The rest that takes a diameter and has room between the jaws and the end of the cut (trade: Holding). */
function restFor(run: Run, diameter: number, stickOut: number, room: number): Result<Rest> {
  const { machine, cutting } = run.shop;
  const { units } = run;
  const stands = `${say(stickOut, units)} would stand out of ${sayDiameter(diameter, units)}, more than ${sayFigure(cutting.restTimes)} times`;
  const rest = machine.rests?.find(({ from, upTo }) => diameter >= from && diameter <= upTo);
  if (!rest)
    return refuse(
      'part.outside',
      `${stands}: that needs a fixed or a follow rest, and ${machine.name} has none for that diameter`,
    );
  if (room < rest.width - 1e-6)
    return refuse(
      'allowances.jawClearance',
      `${stands}: that needs a fixed or a follow rest. The ${sayRest(rest)} is ${say(rest.width, units)} wide, and between the jaws and the end of the cut there are ${say(room, units)}: leave ${say(rest.width, units)} between jaws and tool (Shop, Lengths)`,
      'room',
    );
  return good(rest);
}

/**
 * The fixed rest that carries a free end which is faced and centred so far out of a grip; nothing where it needs none (trade: Safe
 * holds).
 */
export function carriedBy(
  { shop, units }: Run,
  { diameter, out, grip }: { diameter: number; out: number; grip: number },
): Result<Rest | undefined> {
  const { machine, cutting } = shop;
  if (out <= cutting.leanTimes * grip) return good(undefined);
  const rest = machine.rests?.find(({ kind, from, upTo }) => kind === 'fixed' && diameter >= from && diameter <= upTo);
  return rest
    ? good(rest)
    : refuse(
        'part.outside',
        `${say(out, units)} would stand out of ${say(grip, units)} that the jaws hold, more than ${sayFigure(cutting.leanTimes)} times, and ${machine.name} has no fixed rest for ${sayDiameter(diameter, units)}`,
      );
}

/** So many of its diameters the work stands out by itself, by the house's rule. */
export const timesByItself = ({ shop }: Run): number => (shop.houseRules.stickOut === '4d' ? 4 : 1.5);

/** Whether work stands out by itself, nothing bearing on its free end. */
export const standsByItself = (run: Run, standsOut: number, diameter: number): boolean =>
  standsOut <= timesByItself(run) * diameter;

/**
 * Whether the free end needs a centre, or a rest as well (trade: Holding).
 * @param standsOut how far from the jaws the farthest cut is, mm
 * @param room between the jaws and where the last cut ends, mm
 * @param stiffAs the straight bar that bends as the work does once it is turned, mm
 */
export function supportOf(
  run: Run,
  standsOut: number,
  diameter: number,
  room: number,
  stiffAs = diameter,
): Result<Support> {
  const { shop, units } = run;
  const stout = Math.min(diameter, stiffAs);
  if (standsByItself(run, standsOut, stout)) return good({ supported: false, reasons: [] });
  const by =
    stout < diameter
      ? `what is as stiff as ${sayDiameter(Number(stout.toFixed(1)), units)}`
      : sayDiameter(diameter, units);
  const stands = `${say(standsOut, units)} stand out of ${by}`;
  const centre = {
    rule: 'CENTRE-SUPPORT',
    because: `${stands}, more than the house's ${sayFigure(timesByItself(run))} times: a centre holds the free end while it is turned.`,
  };
  if (standsOut <= shop.cutting.restTimes * diameter) return good({ supported: true, reasons: [centre] });
  const rest = restFor(run, diameter, standsOut, room);
  if (!rest.ok) return rest;
  const because = `${stands}, more than ${sayFigure(shop.cutting.restTimes)} times: a ${sayRest(rest.value)} bears on it beside the ${rest.value.kind === 'follow' ? 'tool' : 'jaws'}.`;
  return good({ supported: true, rest: rest.value, reasons: [centre, { rule: 'REST', because }] });
}
