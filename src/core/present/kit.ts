import { nameOfBar } from '../plan/stock/nameOfBar';
import { wheelsOf } from '../plan/gears/trains';
import { isBetweenCentres } from '../model/plan/setup';
import { formatLength, formatNominal } from '../model/units/length';
import { holdingOf } from '../plan/holding/means';
import { fluidNames } from './fluid';
import { gaugesToGet } from './toGet';
import type { Plan } from '../plan/plan';
import type { PlannedSetup } from '../plan/times/planTimes';

/** For what something is laid out, in the order in which it is. */
export const KIT_FOR = {
  stock: 'Stock',
  hold: 'To hold it',
  cut: 'To cut',
  stop: 'For stops and setting',
  thread: 'Wheels',
  measure: 'To measure',
  fluid: 'Fluid',
} as const;

/** Something to lay out before a run and to put back after it. */
export interface KitItem {
  for: keyof typeof KIT_FOR;
  what: string;
  /** Where it is kept. */
  place?: string;
  /** It is there; it is not, and must be got; or it is made for the run. */
  has: true | false | 'to make';
}

const here = (kind: KitItem['for'], what: string): KitItem => ({ for: kind, what, has: true });

/** What holds the work of a set-up, and what bears it. */
function holds({ setup }: PlannedSetup): KitItem[] {
  const { holding, supported, rest } = setup;
  const madeFor = holdingOf(holding.kind)?.madeFor;
  const words = holding.words.replace(/^(in|on|between) (an?|the)? ?/, '');
  const hold = (): KitItem => {
    if (holding.kept)
      return { ...here('hold', holding.kept.name), ...(holding.kept.place ? { place: holding.kept.place } : {}) };
    return madeFor ? { for: 'hold', what: `${madeFor} ${holding.on}`, has: 'to make' } : here('hold', words);
  };
  return [
    hold(),
    ...(supported && !isBetweenCentres(setup) ? [here('hold', 'turning centre for the tailstock')] : []),
    ...(rest ? [here('hold', rest.kind === 'follow' ? 'follow rest' : 'fixed rest')] : []),
  ];
}

/** Every tool; what is to get by the name that it is got by. */
const cuts = ({ operations }: PlannedSetup): KitItem[] =>
  operations.map(({ tool }) => ({
    for: 'cut',
    what: tool.toGet ? (tool.gotAs ?? tool.name) : tool.name,
    ...(tool.place === undefined ? {} : { place: `place ${tool.place}` }),
    has: !tool.toGet,
  }));

/** What is laid in before stops, stands against the carriage, or is touched off over. */
function stops({ pins, setup, operations }: PlannedSetup): KitItem[] {
  const { units, shop } = setup.run;
  const mm = (length: number) => `${formatNominal(length, units)} ${units}`;
  const laidIn = pins.flatMap(({ spacers = [], made, feeler }): KitItem[] => [
    ...spacers.map((length): KitItem => ({ for: 'stop', what: `spacer ${mm(length)}`, has: made ? 'to make' : true })),
    ...(feeler === undefined ? [] : [here('stop', `feeler ${mm(feeler)}`)]),
  ]);
  const isBlocks = shop.machine.readOut === 'none' && pins.some(({ means }) => means === 'station');
  return [
    ...laidIn,
    ...(pins.some(({ means }) => means === 'indicator') ? [here('stop', 'indicator with its clamp')] : []),
    ...(isBlocks ? [here('stop', 'gauge blocks')] : []),
    ...(operations.some(({ tool }) => tool.mount === 'post')
      ? [here('stop', `paper of ${formatLength(shop.stops.paper, units)} ${units}, measured`)]
      : []),
  ];
}

/** Wheels of its threads. */
const wheels = ({ operations }: PlannedSetup): KitItem[] =>
  operations.flatMap(({ gearing }): KitItem[] =>
    gearing?.train
      ? wheelsOf(gearing.train).map((teeth) => ({
          for: 'thread',
          what: `wheel of ${teeth} teeth`,
          has: teeth !== gearing.toGet,
        }))
      : [],
  );

const measures = ({ operations }: PlannedSetup): KitItem[] =>
  operations.flatMap(({ checks }) => checks.flatMap(({ gauge }) => (gauge ? [here('measure', gauge.name)] : [])));

/**
 * Everything that a run wants laid out, each once, in the order of its use; what is missing or made for it first in its group
 * (trade: Stops).
 */
export function kitOf(plan: Plan): KitItem[] {
  const { stock, setups, run } = plan;
  const { units } = run;
  const gauges = gaugesToGet(plan).map(({ what }): KitItem => ({ for: 'measure', what, has: false }));
  const all: KitItem[] = [
    here('stock', `${stock.bars.value} × ${nameOfBar(stock, units)}`),
    ...setups.flatMap((planned) => [
      ...holds(planned),
      ...cuts(planned),
      ...stops(planned),
      ...wheels(planned),
      ...measures(planned),
    ]),
    ...gauges,
    ...(run.part.mates ?? []).map(({ name }) => here('measure', `${name}, to try it on`)),
    ...fluidNames(setups).map((fluid) => here('fluid', fluid)),
  ];
  const order = Object.keys(KIT_FOR);
  return all
    .filter((item, index) => all.findIndex((other) => other.for === item.for && other.what === item.what) === index)
    .map((item, index) => ({ item, index }))
    .sort(
      (a, b) =>
        order.indexOf(a.item.for) - order.indexOf(b.item.for) ||
        Number(a.item.has === true) - Number(b.item.has === true) ||
        a.index - b.index,
    )
    .map(({ item }) => item);
}
