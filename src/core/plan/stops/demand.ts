import type { CutOperation } from '../cuts/cutOperation';
import type { CutSetup } from '../cuts/planCuts';
import type { Machine } from '../../model/shop/machine';
import type { HandMinutes } from '../../model/shop/minutes';
import type { Gauge } from '../../model/shop/shop';
import type { RiskPrices } from '../../model/shop/values';
import type { StopValues } from '../../model/shop/stopValues';
import { CLOSE, SAME_STOP } from '../../model/tolerances';
import { generalTolerance } from '../../model/part/tolerance';
import { settingOf } from './setting';

export type Axis = 'carriage' | 'quill';

/** A place where a slide stops, with the operations that end there (trade: Stops). */
export interface Demand {
  axis: Axis;
  /** mm, with the offset of the tool. */
  setting: number;
  cuts: CutOperation[];
  /** How often a piece the slide comes there from another place; and the same where the first is always one. */
  visits: number;
  anew: number;
  /** The closest width of a length that is fixed there by itself, mm; infinite where none is. */
  width: number;
  /** The deepest that a stop may let its tools go: beyond it they meet what holds the work, mm. */
  deepest: number;
  /** Deeper than this they spoil the piece, mm. */
  spoilsFrom: number;
}

/** What the means of a set-up are weighed by. */
export interface Ground {
  demands: readonly Demand[];
  /** Where a station stands as it was decided, beside the places of the demands: over spacers that none of them asks for, mm. */
  decidedAt: readonly number[];
  machine: Machine;
  hand: HandMinutes;
  stops: StopValues;
  /** Minutes to set a stop, once. */
  setStop: number;
  /** Pieces; with one tool for all of them a stop is come to once. */
  pieces: number;
  once: boolean;
  gauges: Gauge[];
  /** What a station repeats to, mm either way. */
  stationRepeats: number;
  risk: Pick<RiskPrices, 'measuredOnly' | 'wrongStop'>;
}

/**
 * Using a means: what it takes each time, minutes; and when that is: where the slide stood at another place before, also around
 * from the last to the first of the next piece; the same and for each piece anew; or at each operation.
 */
export interface Use {
  name: string;
  minutes: number;
  per: 'visit' | 'anew' | 'operation';
}

/** What a use takes over the batch, minutes. */
export function overBatch({ visits, anew, cuts }: Demand, { minutes, per }: Use, { pieces, once }: Ground): number {
  if (per === 'operation') return minutes * cuts.length * pieces;
  return minutes * (per === 'anew' ? anew : visits) * (once ? 1 : pieces);
}

const ROUGH: readonly string[] = ['turn-rough'];
/** What comes off is only longer for it. */
const PARTS: readonly string[] = ['part-off', 'part-in'];

/** How deep an operation may go before it spoils the piece. */
function spoilsFrom(cut: CutOperation, { setup }: CutSetup): number {
  if (PARTS.includes(cut.kind)) return Infinity;
  return settingOf(cut).value + (ROUGH.includes(cut.kind) ? setup.run.shop.allowances.shoulder : 0);
}

/** How deep its tool may go before it meets what holds the work, or the rest beside it. */
function deepestOf(cut: CutOperation, { setup }: CutSetup): number {
  const room = cut.clearances.flatMap(({ wantsRoom, distance }) => (wantsRoom ? [distance] : []));
  return settingOf(cut).value + Math.min(Infinity, ...room) - (setup.rest?.width ?? 0);
}

/** What the drawing leaves a depth that has no limits of its own, mm: what it says in general; a mouth that is sunk by its own. */
function generalWidth({ kind, feature, to, diameter }: CutOperation, { setup: { part, run } }: CutSetup): number {
  const drawn = part.features.find(({ path }) => path === feature);
  // A mouth is an edge: at 90° its depth may be off by half of what the diameter may, and all of that.
  if (kind === 'countersink')
    return (generalTolerance(part.general, diameter ?? 0) ?? Infinity) / run.shop.stops.shareOfLimits;
  // A centre is free.
  if (kind === 'centre') return Infinity;
  const hole = part.holes.find(({ path }) => path === feature);
  const depth = hole?.depth ?? (drawn?.bore ? drawn.z1 - drawn.z0 : undefined);
  if (depth === undefined || diameter === undefined || to > part.length - CLOSE) return Infinity;
  return 2 * (generalTolerance(part.general, depth) ?? Infinity);
}

/** The closest width that its checks give the depth of an operation of the quill, mm; a tip before a floor keeps half of its distance. */
function widthOf(cut: CutOperation, planned: CutSetup): number {
  const widths = cut.checks.flatMap(({ measures, size }) =>
    measures === 'length' && size && !size.open ? [size.upper - size.lower] : [],
  );
  if (cut.stop.means !== 'quill' || widths.length > 0) return Math.min(Infinity, ...widths);
  const { part, run } = planned.setup;
  const isRoom = cut.kind === 'drill' && cut.to < part.length - CLOSE && cut.checks.length === 0;
  return isRoom ? 2 * run.shop.allowances.tipShort : generalWidth(cut, planned);
}

/** Of a sequence of places that repeats, how often one is come to from another; and of one that begins anew. */
const visitsOf = (sequence: readonly number[], place: number): { visits: number; anew: number } => ({
  visits: sequence.filter((at, index) => at === place && sequence.at(index - 1) !== place).length,
  anew: sequence.filter((at, index) => at === place && sequence[index - 1] !== place).length,
});

/** Whether two places are one: at one figure of a slide; the quill goes by its tool as well. */
export const isSamePlace = (
  one: Pick<Demand, 'axis' | 'setting' | 'cuts'>,
  other: Pick<Demand, 'axis' | 'setting' | 'cuts'>,
): boolean =>
  one.axis === other.axis &&
  Math.abs(one.setting - other.setting) < SAME_STOP &&
  (one.axis === 'carriage' || one.cuts[0]?.tool.id === other.cuts[0]?.tool.id);

/** Where everything of a set-up stops: what ends at one place of one slide is one demand. */
export function demandsOf(planned: CutSetup): Demand[] {
  const demands: Demand[] = [];
  const sequences = { carriage: [] as number[], quill: [] as number[] };
  for (const cut of planned.cuts) {
    const axis = cut.stop.means;
    if (axis === 'none') continue;
    const setting = settingOf(cut).value;
    let at = demands.findIndex((demand) => isSamePlace(demand, { axis, setting, cuts: [cut] }));
    if (at < 0)
      at =
        demands.push({
          axis,
          setting,
          cuts: [],
          visits: 0,
          anew: 0,
          width: Infinity,
          deepest: Infinity,
          spoilsFrom: Infinity,
        }) - 1;
    const demand = demands[at] as Demand;
    demand.cuts.push(cut);
    demand.width = Math.min(demand.width, widthOf(cut, planned));
    demand.deepest = Math.min(demand.deepest, deepestOf(cut, planned));
    demand.spoilsFrom = Math.min(demand.spoilsFrom, spoilsFrom(cut, planned));
    sequences[axis].push(at);
  }
  return demands.map((demand, at) => ({ ...demand, ...visitsOf(sequences[demand.axis], at) }));
}
