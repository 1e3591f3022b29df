import type { CutList, Cuts } from './cutList';
import { firstFit, type Filling } from './firstFit';
import { labelled } from './labelled';
import { inUnits, type Units } from './units';

/** What opening a bar costs, by its place. */
export type CostOf = (bar: number) => number;

/** A way of sawing: its fillings, and what it opens. */
export interface SawWay {
  fillings: Filling[];
  opened: number;
  length: number;
}

/** What the search asks of the bars again and again. */
function barsOf({ bars }: CutList, units: Units) {
  const counts = bars.map(({ count }) => count);
  const lengthOf: CostOf = (bar) => bars[bar]?.length ?? 0;
  const opens: CostOf = (bar) => (bars[bar]?.offcut ? 0 : 1);
  const most = (kinds: number[]) => Math.max(0, ...kinds.map((bar) => units.rooms[bar] ?? 0));
  const kinds = [...bars.keys()];
  // However it is sawn, the metal must be there: what the offcuts do not give comes from new bars.
  const need = units.demands.reduce((total, demand, item) => total + demand * (units.down[item]?.each ?? 0), 0);
  const offcuts = kinds.filter((bar) => opens(bar) === 0);
  const given = offcuts.reduce((total, bar) => total + (units.rooms[bar] ?? 0) * (counts[bar] ?? 0), 0);
  const largest = most(kinds.filter((bar) => opens(bar) === 1));
  return {
    counts,
    there: counts.map((count) => count ?? Number.MAX_SAFE_INTEGER),
    lengthOf,
    opens,
    /** Offcuts first, the shortest that does; of new bars the longest. */
    preference: ((bar) => (opens(bar) === 0 ? lengthOf(bar) : 1e9 - lengthOf(bar))) as CostOf,
    metal: largest > 0 ? Math.max(0, Math.ceil((need - given) / largest)) : 0,
    /** As long and as dear as each other, whichever is opened. */
    alike: bars.every((bar) => (['length', 'endWaste', 'offcut'] as const).every((key) => bar[key] === bars[0]?.[key])),
    longest: Math.max(...kinds.map(lengthOf)),
  };
}

export type Bars = ReturnType<typeof barsOf>;

/** A list in whole units, and its bars. */
export interface Listed {
  units: Units;
  bars: Bars;
}

export function listedOf(list: CutList): Listed {
  const units = inUnits(list);
  return { units, bars: barsOf(list, units) };
}

/** A way by its fillings. */
export function wayOf(fillings: Filling[] | undefined, { opens, lengthOf }: Bars): SawWay | undefined {
  return (
    fillings && {
      fillings,
      opened: fillings.reduce((total, { bar }) => total + opens(bar), 0),
      length: fillings.reduce((total, { bar }) => total + lengthOf(bar), 0),
    }
  );
}

/** Why a way that does not meet the bound is not proven, for whoever reads the list. */
const unproven = (opened: number, bound: number): string =>
  `${opened} bars are needed as found, and no fewer than ${bound} could do: between the two nothing was found or ruled out in the time for it.`;

/** First fit, the start of every search. */
export function firstWay({ units, bars }: Listed): { first: ReturnType<typeof firstFit>; way: SawWay | undefined } {
  const first = firstFit({ rooms: units.rooms, takes: units.up }, units.demands, bars.there, bars.preference);
  return { first, way: first.missing.every((count) => count === 0) ? wayOf(first.fillings, bars) : undefined };
}

/** A way as the list that is sawn by. */
export const cutsOf = (list: CutList, { units }: Listed, way: SawWay, lowerBound: number): Cuts => {
  const proven = way.opened === lowerBound;
  return {
    barsOpened: way.opened,
    lowerBound,
    proven,
    ...(proven ? {} : { because: unproven(way.opened, lowerBound) }),
    patterns: labelled(list, units.kinds, way.fillings),
  };
};

/** Fewer bars opened is better, then less length opened. */
export function better(a: SawWay | undefined, b: SawWay | undefined): SawWay | undefined {
  if (!a || !b) return a ?? b;
  return b.opened < a.opened || (b.opened === a.opened && b.length < a.length - 1e-6) ? b : a;
}
