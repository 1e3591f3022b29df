import { isOnBar } from '../model/plan/setup';
import { WAYS, takesWay, type Way } from '../model/way';
import type { RunFile } from '../read/runFile';
import { costOfRun } from '../plan/cost/runCost';
import type { Line } from '../money/lines';
import { planFile, type Plan } from '../plan/plan';
import type { HouseRules } from '../model/shop/houseRules';
import type { Shop } from '../model/shop/shop';
import { say } from '../model/words';

/** A way of running the batch: with what it takes once and for each piece, in minutes and in money, or why it cannot be. */
export interface RunningWay {
  id: string;
  name: string;
  /** What of the run's file makes it so; another machine or another shop is not of this file. */
  change?: { way: Way; batchOrder: HouseRules['batchOrder'] };
  minutes?: Line;
  money?: Line;
  /** For the quantity of the run, as it is planned through. */
  batchMinutes?: number;
  batchMoney?: number;
  problem?: string;
  /** What to know before it is chosen. */
  risks: string[];
  planned: boolean;
}

const NAMES: Record<Way, Record<HouseRules['batchOrder'], string>> = {
  'from-bar': {
    'piece-by-piece': 'From the bar, each piece finished',
    'op-by-op': 'From the bar, second sides tool by tool',
  },
  'sawn-blanks': { 'piece-by-piece': 'Sawn first, each piece finished', 'op-by-op': 'Sawn first, tool by tool' },
  'as-it-arrives': { 'piece-by-piece': 'Each piece finished', 'op-by-op': 'Tool by tool' },
};

/** What a plan takes once and for each piece; bars are loaded by whole ones, here by their share of a piece. */
function linesOf(plan: Plan): { minutes: Line; money: Line } {
  const { times, stock, setups, run } = plan;
  const { rates } = run.shop;
  const { material, edges, order } = costOfRun(plan);
  const bar = stock.blade ? (setups[0]?.setup.holding.load ?? 0) / stock.piecesPerBar.value : 0;
  const minutes = { once: times.setup.value + times.firstOff.value, each: times.piece.value + bar };
  const hour = rates.machineHour / 60;
  return {
    minutes,
    money: {
      once: minutes.once * hour + order.value,
      each: minutes.each * hour + (material.value + edges.value) / run.quantity,
    },
  };
}

function risksOf(plan: Plan): string[] {
  const { run, setups, way } = plan;
  const opByOp = run.shop.houseRules.batchOrder === 'op-by-op';
  const held = setups.filter(({ setup }) => !isOnBar(setup));
  const worst = Math.max(0, ...held.map(({ setup }) => setup.holding.runOut));
  return [
    ...(way === 'from-bar' ? ['A long bar turns behind the spindle: supported, guarded, or cut shorter.'] : []),
    ...(way === 'sawn-blanks'
      ? ['Every blank is sawn and handled once more; a skew end costs its facing allowance.']
      : []),
    ...(opByOp && held.length > 0
      ? [
          `Each piece is held anew for every tool, true to ${say(worst, run.units)} at best: nothing that must run true to another may be parted so.`,
          'A wrong setting is in every piece before it is seen: prove each tool on the first.',
        ]
      : []),
    ...setups.flatMap(({ setup, pins }) => {
      const each = pins.filter(({ means }) => means === 'each-time').length;
      return each > 0 && !(opByOp && !isOnBar(setup))
        ? [`${each} stops of set-up ${setup.number} are set anew at every piece: the machine has too few stations.`]
        : [];
    }),
    ...plan.doubts.filter(({ rule }) => rule === 'SAME-SETUP').map(({ because }) => because),
  ];
}

const BATCH_ORDERS = ['piece-by-piece', 'op-by-op'] as const;

function byHand(file: RunFile, shop: Shop, plan: Plan): RunningWay[] {
  return WAYS.filter((way) => takesWay(file.stock, way)).flatMap((way) =>
    BATCH_ORDERS.map((batchOrder): RunningWay => {
      const change = { way, batchOrder };
      const id = `${way} ${batchOrder}`;
      const planned = plan.way === way && plan.run.shop.houseRules.batchOrder === batchOrder;
      const result = planned
        ? ({ ok: true, value: plan } as const)
        : planFile({ ...file, way, rules: { ...file.rules, batchOrder } }, shop, 'wanted');
      const said = { id, name: NAMES[way][batchOrder], change, planned };
      if (!result.ok) return { ...said, problem: result.problems[0]?.message ?? 'it cannot be planned', risks: [] };
      const { times } = result.value;
      return {
        ...said,
        ...linesOf(result.value),
        batchMinutes: times.batch.value,
        batchMoney: costOfRun(result.value).batch.value,
        risks: risksOf(result.value),
      };
    }),
  );
}

/**
 * Both sides at once on two lathes such as this one, with a hand at each: how long it lasts. The set-up that takes
 * longer gives the pace, and the other waits for it.
 */
function onTwoLathes(plan: Plan): RunningWay[] {
  const { run, setups, times, stock } = plan;
  if (setups.length < 2) return [];
  const { timeAllowance, rates } = run.shop;
  const longest = (pick: (setup: Plan['setups'][number]) => number) => Math.max(...setups.map(pick));
  const bar = stock.blade ? (setups[0]?.setup.holding.load ?? 0) / stock.piecesPerBar.value : 0;
  const minutes = {
    once: longest(({ setting }) => setting.value) + times.firstOff.value,
    each: longest(({ piece, setup }) => piece.value * (1 + timeAllowance) + (setup.number === 1 ? bar : 0)),
  };
  const hours = (setups.length * rates.machineHour) / 60;
  const { material, edges, order } = costOfRun(plan);
  const money = {
    once: minutes.once * hours + order.value,
    each: minutes.each * hours + (material.value + edges.value) / run.quantity,
  };
  const batch = ({ once, each }: Line) => once + run.quantity * each;
  return [
    {
      id: 'two-lathes',
      name: setups.length === 2 ? 'On two such lathes at once' : `On ${setups.length} such lathes at once`,
      minutes,
      money,
      batchMinutes: batch(minutes),
      batchMoney: batch(money),
      risks: [
        'It is how long the batch lasts, with a lathe and a hand for each set-up: the slower one gives the pace.',
        'What the first lathe does wrong is found at the second, some pieces later.',
      ],
      planned: false,
    },
  ];
}

/** The same pieces on a programmed machine: programming and proving are its setting up (trade: Time). */
function programmed(plan: Plan): RunningWay {
  const { run, times } = plan;
  const { programmed: machine, timeAllowance } = run.shop;
  const { material } = costOfRun(plan);
  const minutes = {
    once: machine.programming + machine.proving + machine.setup,
    each: (times.cutting.value * machine.cuttingShare + times.hand.value * machine.handShare) * (1 + timeAllowance),
  };
  const money = {
    once: (minutes.once * machine.hour) / 60 + plan.stock.cost.order.value,
    each: (minutes.each * machine.hour) / 60 + material.value / run.quantity,
  };
  const batch = ({ once, each }: Line) => once + run.quantity * each;
  return {
    id: 'programmed',
    name: 'On a programmed machine',
    minutes,
    money,
    batchMinutes: batch(minutes),
    batchMoney: batch(money),
    risks: [
      'Its minutes are shares of those by hand: ask whoever runs it before it is promised.',
      'A program is proved on pieces that may be scrap.',
    ],
    planned: false,
  };
}

/** Every way of running the batch in this shop or on a programmed machine; none where the run has no plan. */
export function waysOfRunning(file: RunFile, shop: Shop): RunningWay[] {
  const plan = planFile(file, shop, 'wanted');
  if (!plan.ok) return [];
  return [...byHand(file, shop, plan.value), ...onTwoLathes(plan.value), programmed(plan.value)];
}

/** What a piece costs at a quantity, with the plan that the quantity then has. */
export interface PriceBreak {
  quantity: number;
  minutes?: number;
  batch?: number;
  piece?: number;
  problem?: string;
}

/** Quantities to price around the run's own: as they are asked for. */
export function quantitiesAround(quantity: number): number[] {
  const usual = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000];
  const near = usual.filter((figure) => figure >= quantity / 20 && figure <= quantity * 20);
  return [...new Set([...near, quantity])].sort((a, b) => a - b);
}

/** A price for each quantity, each planned through by the routes that are best for the run's own, one after the other. */
export function* priceBreaks(file: RunFile, shop: Shop, quantities: readonly number[]): Generator<PriceBreak> {
  const own = planFile(file, shop, 'wanted');
  const routes = own.ok ? own.value.route.best : [];
  for (const quantity of quantities) {
    const run = { ...file, quantity };
    const known = routes.length > 0 ? planFile(run, shop, 'wanted', { only: routes }) : undefined;
    // More pieces may want another bar: only where none of them can be are others looked for.
    const plan = known?.ok ? known : planFile(run, shop, 'wanted');
    if (!plan.ok) yield { quantity, problem: plan.problems[0]?.message ?? 'it cannot be planned' };
    else {
      const { batch, piece } = costOfRun(plan.value);
      yield { quantity, minutes: plan.value.times.batch.value, batch: batch.value, piece: piece.value };
    }
  }
}
