import type { UnitSystem } from '../units/length';

export type BarForm = 'round' | 'hex' | 'square' | 'tube';

/** Sawn pieces are bought cut, one piece to a “bar”. */
export type BarCondition = 'drawn' | 'ground' | 'hot-rolled' | 'sawn';

/** Bars that can be had of one condition in one system of sizes. Sizes as they are sold: `"3/8 in"`, `"12 mm"`, a tube as `"30 mm × 20 mm"`. */
export interface BarList {
  form: BarForm;
  condition: BarCondition;
  units: UnitSystem;
  sizes: string[];
  barLength: string;
  pricePerKilogram: number;
}

export interface Material {
  id: string;
  name: string;
  /** g/cm³ */
  density: number;
  /** Cutting speed by edge, m/min. */
  speed: Record<EdgeMaterial, number>;
  /** Specific cutting force kc1.1, N/mm², and its exponent m. */
  force: { kc: number; m: number };
  /** Modulus of elasticity, N/mm²; without it nothing is said of bending. */
  elasticity?: number;
  /** How much it grows with heat, 10⁻⁶/K; without it nothing is said of that. */
  expansion?: number;
  /** Deepest roughing cut per side on a small lathe, mm. */
  deepestCut: number;
  /** Drill feed per rev as a fraction of the drill diameter. */
  drillFeed: number;
  /** Tough materials want a pilot before a large drill and a stiffer blade. */
  tough: boolean;
  /** Long chips must be cleared more often. */
  stringy: boolean;
  /** What is brought to the cut, and what where the chips are shut in: drills, threads, blades. Without it nothing is said. */
  fluid?: Fluid;
  fluidShutIn?: Fluid;
  /** What to mind with this material. */
  caution?: string;
  bars: BarList[];
  /** Whom its bars are bought from, and how many days they are on their way; without them nothing waits for what is short. */
  supplier?: string;
  deliveryDays?: number;
}

/** What cools and smears a cut, in the words of a shop file. */
export const FLUIDS = ['oil', 'light oil', 'plenty', 'air', 'dry'] as const;
export type Fluid = (typeof FLUIDS)[number];

export type EdgeMaterial = 'hss' | 'carbide';

/** In words. */
export const EDGES: Record<EdgeMaterial, string> = { hss: 'HSS', carbide: 'carbide' };
