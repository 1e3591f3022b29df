import { cutting, cuttingTables, paces } from './figures/cutting';
import { bodies, leftOn } from './figures/lengths';
import { minutes } from './figures/minutes';
import { money } from './figures/money';
import type { FigureGroup } from './figureGroup';
import { latheFigures } from './latheValues';
import { stopFigures } from './stopValues';
import type { Shop } from './shop';

/** Every figure of the shop that is neither a machine, a material, a tool nor a gauge, in the order of the page. */
export const figureGroups = (shop: Shop): readonly FigureGroup[] => [
  ...leftOn(shop),
  ...bodies,
  ...minutes,
  stopFigures,
  latheFigures,
  ...cutting,
  ...cuttingTables(shop),
  ...paces,
  ...money(shop),
];

type Values = Record<string, unknown>;

const stepsOf = (of: string): string[] => of.split('.').filter(Boolean);

/** The figures of a group as they stand in a shop. */
export const figuresAt = (shop: Shop, { of }: FigureGroup): Record<string, number> =>
  stepsOf(of).reduce<unknown>((values, key) => (values as Values)[key], shop) as Record<string, number>;

/** A shop with the figures of a group changed. */
export function withFigures(shop: Shop, { of }: FigureGroup, figures: Values): Shop {
  const put = (values: Values, [key, ...rest]: string[]): Values =>
    key === undefined ? { ...values, ...figures } : { ...values, [key]: put(values[key] as Values, rest) };
  return put(shop as unknown as Values, stepsOf(of)) as unknown as Shop;
}
