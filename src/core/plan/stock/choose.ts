import { sayFixed } from '../../model/units/mark';
import type { Way } from '../../model/way';
import type { Bar, BarOnSale, Stock } from '../../model/plan/stock';
import { andThen, bad, good, refuse, type Result } from '../../model/result';
import type { Run } from '../../model/run';
import type { BarList } from '../../model/shop/shop';
import { parseLength } from '../../model/units/length';
import type { Reason } from '../../model/words';
import { massOf } from '../../model/part/mass';
import { assessBar, openTo, serves, TOO_SMALL } from './bar';
import { costOf, freeOnRack, lengthTaken } from './cost';
import { nameOfBar } from './nameOfBar';
import { assessPiece } from './piece';
import { divide } from './stock';

/** Lists of bars that were read before: every edit plans anew, and the lists stay the same. */
const readLists = new WeakMap<BarList, BarOnSale[]>();

/** A list of bars, its sizes read. */
function readList(list: BarList): BarOnSale[] {
  const known = readLists.get(list);
  if (known) return known;
  const { form, condition, pricePerKilogram, barLength, sizes, units } = list;
  const length = parseLength(barLength, units);
  const bars = sizes.flatMap((entry): BarOnSale[] => {
    const [size, bore] = entry.split('×').map((text) => parseLength(text, units));
    if (!size?.ok || !length.ok || (bore && !bore.ok)) return [];
    return [
      { form, condition, size: size.value, bore: bore?.ok ? bore.value : 0, barLength: length.value, pricePerKilogram },
    ];
  });
  readLists.set(list, bars);
  return bars;
}

/** The shop's bars for a run's material and units, and what is on the rack beside them. */
function barsToChoose({ shop, units }: Run): BarOnSale[] {
  const onSale = shop.material.bars.filter((list) => list.units === units).flatMap(readList);
  const others = (shop.rack ?? []).filter(
    (rack) =>
      rack.material === shop.material.id &&
      rack.free > 0 &&
      !onSale.some((bar) => freeOnRack([rack], rack.material, bar) > 0),
  );
  return [
    ...onSale,
    ...others.map(({ form, size, bore, condition, longest }): BarOnSale => {
      const like = onSale.find((bar) => bar.form === form) ?? onSale[0];
      return {
        form,
        size,
        bore,
        condition,
        barLength: longest,
        pricePerKilogram: like?.pricePerKilogram ?? 0,
        rackOnly: true,
      };
    }),
  ];
}

/** What of a bar's section is free on the rack, mm. */
const onHand = ({ shop }: Run, bar: BarOnSale): number => freeOnRack(shop.rack ?? [], shop.material.id, bar);

const withCost = (run: Run, way: Way, bar: Bar, volume: number): Result<Stock> => {
  const stock = divide(run, way, bar);
  return stock.ok ? good({ ...stock.value, cost: costOf(run, stock.value, volume) }) : stock;
};

function named(run: Run, way: Way, bar: BarOnSale, volume: number): Result<Stock> {
  const { piece } = bar;
  if (piece) return andThen(assessPiece(run, { ...bar, piece }), (arrived) => withCost(run, way, arrived, volume));
  const outcome = assessBar(run, bar, openTo(run.part));
  if (!serves(outcome)) return refuse('stock.size', outcome.because);
  return withCost(
    run,
    way,
    {
      ...outcome,
      reasons: [
        { rule: 'STOCK-SIZE', because: 'Named by the run.' },
        ...outcome.reasons.filter(({ rule }) => rule === 'AS-DRAWN'),
      ],
    },
    volume,
  );
}

/** How many that lost are told: the nearest say most. */
const TOLD = 3;

/** What the rack has of the chosen bar. */
function rackReason(run: Run, best: Stock): Reason[] {
  if (!run.shop.rack) return [];
  const [free, taken] = [onHand(run, best), lengthTaken(best)].map((mm) => `${sayFixed(mm / 1000, 2)} m`);
  const because =
    best.cost.order.value === 0
      ? `The rack has ${free} of it free, and the run takes ${taken}: nothing to order.`
      : `The rack has ${free} of it free, and the run takes ${taken}.`;
  return [{ rule: 'RACK', because }];
}

/** Every bar that could be had, and whether the part can be made from it: the same for both ways. */
export interface Assessed {
  bar: BarOnSale;
  outcome: Bar | Reason;
}

/** How many sizes beyond the list are looked at: more than one is wanted where the first leaves too little to hold. */
const ORDER_SIZES = 5;

/** Rounds beyond the list, from the largest diameter on: what a dealer cuts to order, at the list's price. */
function barsToOrder({ shop, units, part }: Run): BarOnSale[] {
  const lists = shop.material.bars.filter((list) => list.units === units && list.form === 'round').flatMap(readList);
  const largest = lists.toSorted((a, b) => b.size - a.size)[0];
  const from = Math.max(...part.steps.map(({ diameter }) => diameter.nominal));
  const { orderStep } = shop.allowances;
  if (!largest || orderStep <= 0 || from < largest.size - orderStep) return [];
  const first = Math.ceil(from / orderStep) * orderStep;
  return Array.from({ length: ORDER_SIZES }, (_, index) => ({
    ...largest,
    size: first + index * orderStep,
    toOrder: true as const,
  })).filter(({ size }) => size > largest.size);
}

/** Assesses every bar on sale and on the rack; of a run that names its bar there is nothing to choose. */
export function assessBars(run: Run): Assessed[] {
  if (run.stock !== 'choose') return [];
  const open = openTo(run.part);
  const listed = barsToChoose(run).map((bar) => ({ bar, outcome: assessBar(run, bar, open) }));
  if (listed.some(({ outcome }) => serves(outcome))) return listed;
  return [...listed, ...barsToOrder(run).map((bar) => ({ bar, outcome: assessBar(run, bar, open) }))];
}

/**
 * The stock of a run made in one way (trade: Stock): the bar it names, if the part can be made from it; else the one of
 * the shop's list that costs least over the run. Those that come next say why they lost, and so does the nearest bar
 * that will not do.
 * @param dearer how many that cost less are passed over
 */
export const planStock = (
  run: Run,
  way: Way,
  assessed: readonly Assessed[] = assessBars(run),
  dearer = 0,
): Result<Stock> =>
  andThen(stockOf(run, way, assessed, dearer), (stock) =>
    good(run.takenBecause ? { ...stock, reasons: [...run.takenBecause, ...stock.reasons] } : stock),
  );

function stockOf(run: Run, way: Way, assessed: readonly Assessed[], dearer: number): Result<Stock> {
  const { shop, stock, units } = run;
  const { volume } = massOf(run.part, 1);
  if (stock !== 'choose') return named(run, way, stock, volume);
  const outcomes = assessed.map(({ outcome }) => outcome);
  const bars = outcomes.filter(serves);
  // Of those that will not do, the thickest round bar is the nearest.
  const nearest = assessed
    .flatMap(({ outcome, bar }) => (serves(outcome) || bar.form !== 'round' ? [] : [{ outcome, bar }]))
    .sort((a, b) => b.bar.size - a.bar.size)[0]?.outcome;
  if (bars.length === 0)
    return bad({
      path: 'part.outside',
      message:
        outcomes.length === 0
          ? `the shop lists no ${shop.material.name} bar in ${units} sizes; name the stock`
          : `no bar in the list will do: ${nearest?.because ?? ''}`,
    });
  // Within a form and a condition a thicker bar never costs less: only the smallest few need to be divided and priced.
  const near = bars.filter(
    (bar) =>
      onHand(run, bar) > 0 ||
      bars.filter((other) => other.form === bar.form && other.condition === bar.condition && other.size < bar.size)
        .length < TOLD,
  );
  const divided = near.map((bar) => withCost(run, way, bar, volume));
  const priced = divided
    .flatMap((result) => (result.ok ? [result.value] : []))
    // What nobody sells must be there in full.
    .filter((bar) => !bar.rackOnly || onHand(run, bar) >= lengthTaken(bar))
    .sort((a, b) => a.cost.total.value - b.cost.total.value);
  const best = priced[dearer];
  if (!best)
    return priced.length > 0
      ? refuse('stock', 'no other bar would do')
      : (divided.find(({ ok }) => !ok) as Result<Stock>);
  const money = (value: number) => `${sayFixed(value, 2)} ${shop.rates.currency}`;
  const parts = ({ cost }: Stock) =>
    [
      `${money(cost.material.value)} of stock`,
      `${money(cost.swarf.value)} to turn away`,
      ...(cost.order.value > 0 ? [`${money(cost.order.value)} to order it`] : []),
      ...(cost.milling.value > 0 ? [`${money(cost.milling.value)} to mill its flats`] : []),
    ].join(', ');
  const passedOver = priced.slice(0, dearer).map((other) => nameOfBar(other, units));
  const others = priced.slice(dearer + 1, dearer + 1 + TOLD).map((other): Reason => ({
    rule: 'RUNNER-UP',
    because: `${nameOfBar(other, units)} would do too, and costs ${money(other.cost.total.value - best.cost.total.value)} more over the run (${parts(other)}).`,
  }));
  return good({
    ...best,
    reasons: [
      {
        rule: 'STOCK-COST',
        because:
          passedOver.length > 0
            ? `${nameOfBar(best, units)} (${parts(best)}): from ${passedOver.join(' and ')}, which costs less, no sound route was found.`
            : `${nameOfBar(best, units)} costs least over the run: ${parts(best)}.`,
      },
      ...(best.toOrder
        ? [{ rule: 'TO-ORDER', because: `No listed size is large enough: ${nameOfBar(best, units)} is to order.` }]
        : []),
      ...rackReason(run, best),
      ...best.reasons,
      ...others,
      ...(nearest?.rule === TOO_SMALL ? [nearest] : []),
    ],
  });
}
