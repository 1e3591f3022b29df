import type { Fluid } from './material';
import type { BarList, Material } from './shop';

const METRIC = [3, 4, 5, 6, 7, 8, 10, 12, 14, 15, 16, 18, 20, 22, 25, 28, 30, 32, 35, 40, 45, 50, 55, 60, 70, 80];
const INCH = [
  '3/16',
  '1/4',
  '5/16',
  '3/8',
  '7/16',
  '1/2',
  '9/16',
  '5/8',
  '3/4',
  '7/8',
  '1',
  '1 1/8',
  '1 1/4',
  '1 3/8',
  '1 1/2',
  '1 3/4',
  '2',
  '2 1/2',
  '3',
];

/** Prices are ours; a kilogram of drawn round bar is 1, the other forms and conditions are that many times dearer. */
const DEARER = { drawn: 1, ground: 1.4, 'hot-rolled': 0.8, sawn: 1.2, hex: 1.15, square: 1.1, tube: 1.6 };

/** Across flats and over square bars as sold (ours). */
const HEX = [5, 5.5, 6, 7, 8, 10, 11, 12, 13, 14, 17, 19, 22, 24, 27, 30, 32, 36, 41];
const HEX_INCH = ['5/16', '3/8', '7/16', '1/2', '9/16', '5/8', '3/4', '7/8', '1', '1 1/8', '1 1/4'];
const SQUARE = [8, 10, 12, 14, 16, 20, 25, 30, 40];

/** Tubes as sold, outside by bore (ours). */
const TUBES: [number, number][] = [
  [20, 10],
  [25, 15],
  [30, 20],
  [35, 22],
  [40, 28],
  [50, 36],
  [60, 45],
];

type Price = number;

const MM = (size: number | string) => `${size} mm`;
const IN = (size: string) => `${size} in`;

/** Bars of one form and condition as they are sold, by the length that is usual for their units. */
const list = (
  form: BarList['form'],
  condition: BarList['condition'],
  units: BarList['units'],
  sizes: string[],
  price: Price,
): BarList => ({
  form,
  condition,
  units,
  sizes,
  barLength: units === 'mm' ? '3 m' : '12 ft',
  pricePerKilogram: price * (form === 'round' ? DEARER[condition] : DEARER[form]),
});

const round = (condition: BarList['condition'], price: Price, from = 0, upTo = Infinity): BarList[] => [
  list('round', condition, 'mm', METRIC.filter((size) => size >= from && size <= upTo).map(MM), price),
  list('round', condition, 'in', INCH.slice(from >= 16 ? 8 : 0, upTo <= 40 ? 15 : undefined).map(IN), price),
];

const profiles = (price: Price): BarList[] => [
  list('hex', 'drawn', 'mm', HEX.map(MM), price),
  list('hex', 'drawn', 'in', HEX_INCH.map(IN), price),
  list('square', 'drawn', 'mm', SQUARE.map(MM), price),
];

const tubes = (price: Price): BarList[] => [
  list(
    'tube',
    'drawn',
    'mm',
    TUBES.map(([size, bore]) => `${size} mm × ${bore} mm`),
    price,
  ),
];

/** What a material is sold as: round bar always, the rest by what is usual (ours). */
const SOLD: Record<string, { price: Price; also: ('hot-rolled' | 'ground' | 'profiles' | 'tubes')[] }> = {
  'brass-cw614n': { price: 9, also: ['profiles', 'tubes'] },
  bronze: { price: 14, also: ['tubes'] },
  'aluminium-6082': { price: 7, also: ['profiles', 'tubes'] },
  'free-cutting-steel': { price: 2.5, also: ['hot-rolled', 'ground', 'profiles'] },
  'mild-steel': { price: 2, also: ['hot-rolled', 'ground', 'profiles', 'tubes'] },
  'medium-carbon-steel': { price: 2.4, also: ['hot-rolled', 'ground'] },
  'alloy-steel-42crmo4': { price: 3.2, also: ['hot-rolled', 'ground'] },
  'tool-steel': { price: 7, also: ['hot-rolled', 'ground'] },
  'stainless-303': { price: 7, also: ['ground', 'profiles'] },
  'stainless-304': { price: 6, also: ['ground', 'profiles', 'tubes'] },
  'grey-iron': { price: 3, also: [] },
  copper: { price: 12, also: [] },
  'titanium-gr5': { price: 60, also: [] },
  acetal: { price: 8, also: ['tubes'] },
};

function barsOf(id: string): BarList[] {
  const { price, also } = SOLD[id] ?? { price: 1, also: [] };
  const lists = {
    // Hot-rolled bar is not sold thin, ground bar not thick (ours).
    'hot-rolled': () => round('hot-rolled', price, 16),
    ground: () => round('ground', price, 0, 40),
    profiles: () => profiles(price),
    tubes: () => tubes(price),
  };
  return [...round('drawn', price), ...also.flatMap((kind) => lists[kind]())];
}

type Row = [id: string, name: string, density: number, hss: number, carbide: number, kc: number, m: number];
type Habits = Pick<Material, 'deepestCut' | 'drillFeed' | 'tough' | 'stringy' | 'caution'>;

/** Moduli of elasticity, N/mm², of the usual tables; steel’s as in the reference figures (trade: Reference figures). */
const ELASTICITY: Record<string, number> = {
  'brass-cw614n': 97_000,
  bronze: 110_000,
  'aluminium-6082': 70_000,
  'stainless-303': 193_000,
  'stainless-304': 193_000,
  'grey-iron': 110_000,
  copper: 117_000,
  'titanium-gr5': 114_000,
  acetal: 2_800,
};
const STEEL_ELASTICITY = 210_000;

/** Growth with heat, 10⁻⁶/K: as in trade: Holding, the others of the usual tables. */
const EXPANSION: Record<string, number> = {
  'brass-cw614n': 19,
  bronze: 18,
  'aluminium-6082': 23,
  'stainless-303': 17,
  'stainless-304': 17,
  'grey-iron': 10.5,
  copper: 17,
  'titanium-gr5': 8.6,
  acetal: 110,
};
const STEEL_EXPANSION = 11.5;

/** Fluids, at an open cut and where the chips are shut in (trade: Cutting). */
const FLUID: Record<string, readonly [Fluid, Fluid]> = {
  'brass-cw614n': ['dry', 'dry'],
  bronze: ['dry', 'oil'],
  'aluminium-6082': ['light oil', 'light oil'],
  'grey-iron': ['dry', 'dry'],
  copper: ['plenty', 'plenty'],
  'titanium-gr5': ['plenty', 'plenty'],
  acetal: ['dry', 'air'],
};
const STEEL_FLUID = ['oil', 'plenty'] as const;

const SOFT: Habits = { deepestCut: 2.5, drillFeed: 0.025, tough: false, stringy: false };
const STEEL: Habits = { deepestCut: 1.5, drillFeed: 0.015, tough: true, stringy: true };

const fluidsOf = (id: string): Pick<Material, 'fluid' | 'fluidShutIn'> => {
  const [fluid, fluidShutIn] = FLUID[id] ?? STEEL_FLUID;
  return { fluid, fluidShutIn };
};

const material = ([id, name, density, hss, carbide, kc, m]: Row, habits: Habits): Material => ({
  id,
  name,
  density,
  speed: { hss, carbide },
  force: { kc, m },
  elasticity: ELASTICITY[id] ?? STEEL_ELASTICITY,
  expansion: EXPANSION[id] ?? STEEL_EXPANSION,
  ...fluidsOf(id),
  ...habits,
  bars: barsOf(id),
});

/** Materials of a new shop, and what of each can be bought (trade: Stock, Cutting). */
export const startMaterials: Material[] = [
  material(['brass-cw614n', 'brass CW614N', 8.47, 75, 180, 600, 0.2], {
    ...SOFT,
    caution: 'A leaded alloy: wash the hands before eating.',
  }),
  material(['bronze', 'bronze', 8.8, 30, 110, 900, 0.22], { ...SOFT, deepestCut: 1.5, tough: true }),
  material(['aluminium-6082', 'aluminium 6082', 2.7, 110, 280, 600, 0.24], { ...SOFT, stringy: true }),
  material(['free-cutting-steel', 'free-cutting steel', 7.85, 38, 170, 1350, 0.21], { ...STEEL, stringy: false }),
  material(['mild-steel', 'mild steel', 7.85, 30, 140, 1500, 0.22], STEEL),
  material(['medium-carbon-steel', 'medium-carbon steel', 7.85, 24, 115, 1600, 0.25], STEEL),
  material(['alloy-steel-42crmo4', 'alloy steel 42CrMo4', 7.85, 20, 100, 1750, 0.25], STEEL),
  material(['tool-steel', 'tool steel, annealed', 7.85, 16, 80, 1950, 0.25], STEEL),
  material(['stainless-303', 'stainless 303', 7.95, 27, 120, 1750, 0.21], STEEL),
  material(['stainless-304', 'stainless 304', 7.95, 18, 95, 1950, 0.22], STEEL),
  material(['grey-iron', 'grey iron', 7.2, 20, 90, 1000, 0.26], { ...STEEL, tough: false, stringy: false }),
  material(['copper', 'copper', 8.94, 45, 160, 850, 0.22], { ...SOFT, tough: true, stringy: true }),
  material(['titanium-gr5', 'titanium gr 5', 4.43, 12, 45, 1400, 0.23], {
    ...STEEL,
    caution: 'Fine titanium chips burn: keep them from sparks, clear them often, no water on a fire.',
  }),
  material(['acetal', 'acetal', 1.41, 150, 250, 180, 0.2], { ...SOFT, stringy: true }),
];
