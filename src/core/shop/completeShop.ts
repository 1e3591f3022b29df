import type { BarList, Shop } from './shop';
import { startValues } from './startValues';

type Values = Record<string, unknown>;

const isGroup = (value: unknown): value is Values =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A group of values with those that it lacks from the start values; what it has stays as the shop set it. */
const filled = (own: Values, start: Values): Values => ({
  ...own,
  ...Object.fromEntries(
    Object.entries(start).flatMap(([key, value]) => {
      if (!(key in own)) return [[key, value]];
      return isGroup(value) && isGroup(own[key]) ? [[key, filled(own[key], value)]] : [];
    }),
  ),
});

/**
 * A shop that was kept by an earlier version, with the values that came later at their start: the shop's own figures
 * stay, and bar lists that say neither form nor price are those of a new shop.
 */
export function completeShop(kept: unknown): unknown {
  if (!isGroup(kept)) return kept;
  const shop = filled(kept, startValues as unknown as Values) as unknown as Shop;
  if (!Array.isArray(shop.materials)) return shop;
  const complete = (bars: BarList[]) =>
    bars.every(({ form, pricePerKilogram }) => form && pricePerKilogram !== undefined);
  return {
    ...shop,
    materials: shop.materials.map((material) => {
      const start = startValues.materials.find(({ id }) => id === material.id);
      return start && Array.isArray(material.bars) && !complete(material.bars)
        ? { ...material, bars: start.bars }
        : material;
    }),
  };
}
