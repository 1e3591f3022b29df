import type { BarList, Gauge, HoldingMeans, Machine, Shop, Tool } from './shop';
import { startValues } from './startValues';

type Values = Record<string, unknown>;

const isGroup = (value: unknown): value is Values =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** One figure that has become one for each of several: what the shop had goes for all of them. */
const forEach = (table: Values, figure: number): Values =>
  Object.fromEntries(Object.keys(table).map((key) => [key, figure]));

/** A group of values with those that it lacks from the start values; what it has stays as the shop set it. */
const filled = (kept: Values, start: Values): Values => ({
  ...kept,
  ...Object.fromEntries(
    Object.entries(start).flatMap(([key, value]) => {
      if (!(key in kept)) return [[key, value]];
      const has = kept[key];
      if (isGroup(value) && typeof has === 'number') return [[key, forEach(value, has)]];
      return isGroup(value) && isGroup(has) ? [[key, filled(has, value)]] : [];
    }),
  ),
});

/**
 * Tools with what kinds of operation that came later need: where none of them does a kind, those that do it in a new
 * shop are added, and one that is there already under its id does it from now on.
 */
function withLaterKinds(tools: Tool[]): Tool[] {
  const served = new Set(tools.flatMap(({ does }) => does));
  const later = startValues.tools.filter(({ does }) => does.some((kind) => !served.has(kind)));
  const known = tools.map((tool) => {
    const ready = later.find(({ id }) => id === tool.id);
    return ready ? { ...tool, does: [...new Set([...tool.does, ...ready.does])] } : tool;
  });
  return [...known, ...later.filter(({ id }) => !tools.some((tool) => tool.id === id))];
}

/** Tools that came together with a figure of cutting, by their ids: a shop that was kept without it never had them. */
const CAME_WITH: Record<string, readonly string[]> = {
  centreSeat: ['centre-2.5', 'centre-1.6', 'centre-1', 'chamfer-30'],
};

/** Tools with those that came with figures which a kept shop has not got yet. */
function withLaterTools(tools: Tool[], cutting: Values): Tool[] {
  const ids = Object.entries(CAME_WITH).flatMap(([figure, came]) => (figure in cutting ? [] : came));
  const later = startValues.tools.filter(({ id }) => ids.includes(id) && !tools.some((tool) => tool.id === id));
  return [...tools, ...later];
}

/** A machine of a new shop that is there under its id, with the fields that came later. */
const withLaterFields = (machine: Machine): Machine => ({
  ...startValues.machines.find(({ id }) => id === machine.id),
  ...machine,
});

/** Gauges with those that measure what none of them does. */
const withLaterGauges = (gauges: Gauge[]): Gauge[] => [
  ...gauges,
  ...startValues.gauges.filter(
    ({ measures }) => !measures.some((what) => gauges.some((gauge) => gauge.measures.includes(what))),
  ),
];

/** Means of holding with those that came later. */
const withLaterHoldings = (holdings: HoldingMeans[]): HoldingMeans[] => [
  ...holdings,
  ...startValues.holdings.filter(({ kind }) => !holdings.some((holding) => holding.kind === kind)),
];

/** Minutes of an earlier version that stand with what they belong to now. */
function withMovedMinutes(shop: Shop): Shop {
  const { loadSoftJaws, ...handMinutes } = shop.handMinutes as Shop['handMinutes'] & { loadSoftJaws?: number };
  if (loadSoftJaws === undefined) return shop;
  const holdings = shop.holdings.map((holding) =>
    holding.kind === 'soft-jaws' ? { ...holding, load: loadSoftJaws } : holding,
  );
  return { ...shop, handMinutes, holdings };
}

/** Chamfers were all turned as slowly as a form, until how wide they are told them apart. */
function withNarrowChamfers(kept: Values, shop: Shop): Shop {
  const cutting = isGroup(kept['cutting']) ? kept['cutting'] : {};
  const factors = cutting['speedFactor'];
  if (!isGroup(factors) || 'wide-chamfer' in factors) return shop;
  const { chamfer = 1 } = startValues.cutting.speedFactor;
  return { ...shop, cutting: { ...shop.cutting, speedFactor: { ...shop.cutting.speedFactor, chamfer } } };
}

/** Figures of an earlier version that have become others: by the kind of holding, a least and a most. */
function withoutFormer(shop: Shop): Shop {
  const { gripTimes, gripLeast, leftOnLeast, ...allowances } = shop.allowances as Shop['allowances'] &
    Record<'gripTimes' | 'gripLeast' | 'leftOnLeast', unknown>;
  const { reamAllowance, reamLarger, ...cutting } = shop.cutting as Shop['cutting'] &
    Record<'reamAllowance' | 'reamLarger', unknown>;
  void [gripTimes, gripLeast, leftOnLeast, reamAllowance, reamLarger];
  return { ...shop, allowances, cutting };
}

/**
 * A shop that was kept by an earlier version, with the values that came later at their start: the shop's own figures
 * stay, and bar lists that say neither form nor price are those of a new shop.
 */
export function completeShop(kept: unknown): unknown {
  if (!isGroup(kept)) return kept;
  const filledUp = filled(kept, startValues as unknown as Values) as unknown as Shop;
  const shop = withNarrowChamfers(kept, withoutFormer(withMovedMinutes(filledUp)));
  if (!Array.isArray(shop.materials)) return shop;
  const cutting = isGroup(kept['cutting']) ? kept['cutting'] : {};
  const tools = Array.isArray(shop.tools) ? withLaterTools(withLaterKinds(shop.tools), cutting) : shop.tools;
  const complete = (bars: BarList[]) =>
    bars.every(({ form, pricePerKilogram }) => form && pricePerKilogram !== undefined);
  const gauges = Array.isArray(shop.gauges) ? withLaterGauges(shop.gauges) : shop.gauges;
  const machines = Array.isArray(shop.machines) ? shop.machines.map(withLaterFields) : shop.machines;
  return {
    ...shop,
    machines,
    tools,
    gauges,
    holdings: withLaterHoldings(shop.holdings),
    materials: shop.materials.map((material) => {
      const start = startValues.materials.find(({ id }) => id === material.id);
      const elasticity = material.elasticity ?? start?.elasticity;
      const expansion = material.expansion ?? start?.expansion;
      const fluid = material.fluid ?? start?.fluid;
      const fluidShutIn = material.fluidShutIn ?? start?.fluidShutIn;
      return {
        ...material,
        ...(elasticity === undefined ? {} : { elasticity }),
        ...(expansion === undefined ? {} : { expansion }),
        ...(fluid === undefined ? {} : { fluid }),
        ...(fluidShutIn === undefined ? {} : { fluidShutIn }),
        ...(start && Array.isArray(material.bars) && !complete(material.bars) ? { bars: start.bars } : {}),
      };
    }),
  };
}
