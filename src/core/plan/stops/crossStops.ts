import { generalTolerance } from '../../model/part/tolerance';
import { CLOSE } from '../../model/tolerances';
import type { CutOperation } from '../cuts/cutOperation';
import type { CutSetup } from '../cuts/planCuts';

/** A stop of the cross-slide: for one tool at one diameter (trade: Stops). */
export interface CrossStop {
  /** Which of those of the machine. */
  place: number;
  /** mm */
  diameter: number;
  /** Keys of the operations that end there. */
  operations: string[];
  /** All that a diameter may be off by it, mm. */
  spread: number;
  /** What a wrong one of them weighs, minutes a piece: several lie side by side. */
  spoils?: number;
}

/** A diameter that one tool of a set-up comes to, and what a stop there would save over the batch, minutes. */
interface Saving extends Omit<CrossStop, 'place' | 'spoils'> {
  tool: string;
  saves: number;
}

/** What its cuts leave for another to finish. */
const ROUGH: readonly string[] = ['turn-rough'];

/** The diameter that an operation of the post ends at; a thread goes by its own depth, a cone along its slope. */
function endsAt({ tool, passes, compound, gearing, feed }: CutOperation): number | undefined {
  const diameter = passes.at(-1)?.diameter;
  const isTurned = tool.mount === 'post' && compound === undefined && !gearing && feed.value > 0;
  return isTurned && diameter !== undefined && diameter > CLOSE ? diameter : undefined;
}

/** Checks that are of a diameter. */
const DIAMETERS: readonly string[] = ['outside', 'inside'];

/** How far apart the limits of what it makes are, mm; what is left to finish has none. */
function widthOf({ kind, checks }: CutOperation, diameter: number, { setup: { part } }: CutSetup): number {
  if (ROUGH.includes(kind)) return Infinity;
  const sizes = checks.flatMap(({ measures, size }) => (DIAMETERS.includes(measures) && size ? [size] : []));
  const general = 2 * (generalTolerance(part.general, diameter) ?? Infinity);
  return Math.min(...(sizes.length > 0 ? sizes.map(({ upper, lower }) => upper - lower) : [general]));
}

/** Every diameter that a stop would hold, by its tool. */
function savingsIn(planned: CutSetup): Saving[] {
  const { shop, quantity } = planned.setup.run;
  const { stops, handMinutes, setupMinutes } = shop;
  // Twice what the slide repeats to either way, and that twice on a diameter.
  const spread = 4 * stops.crossRepeats;
  const found: Saving[] = [];
  for (const cut of planned.cuts) {
    const diameter = endsAt(cut);
    if (diameter === undefined || spread > widthOf(cut, diameter, planned) * stops.shareOfLimits + 1e-9) continue;
    const known = found.find(({ tool, diameter: at }) => tool === cut.tool.id && Math.abs(at - diameter) < CLOSE);
    const each = quantity * (handMinutes.approach - stops.crossUse);
    if (known) {
      known.operations.push(cut.key);
      known.saves += each;
    } else
      found.push({
        tool: cut.tool.id,
        diameter,
        operations: [cut.key],
        spread,
        saves: each - setupMinutes.setStop,
      });
  }
  return found;
}

interface Weighed extends Saving {
  /** What a wrong one weighs, minutes a piece; nothing where it stands alone. */
  spoils: number;
}

/** What stops save over the batch, less what wrong ones weigh. */
const worthOf = (stops: readonly Weighed[], pieces: number): number =>
  stops.reduce((sum, { saves, spoils }) => sum + saves - spoils * pieces, 0);

/**
 * Those that are taken: each serves one tool at one diameter, so that the best of them together are the best one by one. Beside
 * another a wrong one may be turned in, which weighs at each use alike: the best alone, or as many as are worth it beside one another.
 */
function taken(planned: CutSetup, spoilt: number): Weighed[] {
  const { shop, quantity } = planned.setup.run;
  const { machine, riskPrices } = shop;
  if (!machine.crossStops) return [];
  const found = savingsIn(planned);
  const best = (spoils: (saving: Saving) => number, most: number): Weighed[] =>
    found
      .map((saving) => ({ ...saving, spoils: spoils(saving) }))
      .filter((stop) => worthOf([stop], quantity) > 1e-9)
      .sort((a, b) => worthOf([b], quantity) - worthOf([a], quantity))
      .slice(0, most);
  const alone = best(() => 0, 1);
  const several = best(({ operations }) => operations.length * spoilt * riskPrices.wrongStop, machine.crossStops);
  return several.length > 1 && worthOf(several, quantity) > worthOf(alone, quantity) ? several : alone;
}

/** What the stops of the cross-slide save over the batch, minutes. @param spoilt what a spoilt piece has taken, minutes */
export const crossStopsSave = (planned: CutSetup, spoilt: number): number =>
  worthOf(taken(planned, spoilt), planned.setup.run.quantity);

/**
 * Which diameters of a set-up come to a stop of the cross-slide, for the least minutes over the batch.
 * @param spoilt what a spoilt piece has taken, minutes
 */
export const crossStopsOf = (planned: CutSetup, spoilt: number): CrossStop[] =>
  taken(planned, spoilt)
    .sort((a, b) => b.diameter - a.diameter)
    .map(({ diameter, operations, spread, spoils }, index) => ({
      place: index + 1,
      diameter,
      operations,
      spread,
      ...(spoils > 0 ? { spoils } : {}),
    }));

/** The stop of the cross-slide that an operation comes to. */
export const crossStopAt = (stops: readonly CrossStop[], key: string): CrossStop | undefined =>
  stops.find(({ operations }) => operations.includes(key));
