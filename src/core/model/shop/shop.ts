import type { HouseRules } from './houseRules';
import type { BarForm, BarCondition, EdgeMaterial, Material } from './material';
import type { Machine, HoldingMeans, KeptHolder, Pace } from './machine';
import type { Tool, Gauge } from './tool';
import type { Allowances, Bodies, CuttingValues, PaceFactors, RiskPrices } from './values';
import type { StopValues } from './stopValues';
import type { LatheValues } from './latheValues';
import type { HandMinutes, SetupMinutes, OutsideValues } from './minutes';

/** What a part is made from: a bar of a form, or a piece as it arrives. */
export type StockForm = BarForm | 'piece';
export type { BarForm, BarCondition, BarList, Material, EdgeMaterial } from './material';
export type { Machine, ToolPost, Dial, Rest, Holding, HoldingMeans, KeptHolder } from './machine';
export type { Tool, Gauge } from './tool';
export type { Allowances, Bodies, CuttingValues } from './values';
export type { HandMinutes, SetupMinutes, OutsideValues } from './minutes';

/** Whatever the shop says is data: what is on the rack, in the drawer and on the wall, and how this house does things. */
export interface Shop {
  materials: Material[];
  machines: Machine[];
  tools: Tool[];
  allowances: Allowances;
  cutting: CuttingValues;
  bodies: Bodies;
  /** Means of holding the second side beside the chuck and the collets of the machines. */
  holdings: HoldingMeans[];
  /** What was made to hold by and is kept. */
  holders: KeptHolder[];
  handMinutes: HandMinutes;
  setupMinutes: SetupMinutes;
  outside: OutsideValues;
  stops: StopValues;
  /** Added to a piece for everything that no element covers, as a fraction. */
  timeAllowance: number;
  gauges: Gauge[];
  /** How many pieces between two measurements, by where the tolerance comes from. */
  checkEvery: { general: number; toleranced: number };
  houseRules: HouseRules;
  /** What is made beyond the quantity: for the first-off, and as a share for scrap. */
  /** Pieces beyond the quantity: for the first-off and for scrap; of so few none, the first-off is one of them. */
  spares: { firstOff: number; scrapShare: number; noneUpTo: number };
  rates: Rates;
  /** About what a tool costs that is got or made, by the kind of operation that it does; and a gauge. */
  toGet: Record<string, number>;
  /** Edges of tools by what they are made of: how long they last, and what they cost. */
  edges: Record<EdgeMaterial, EdgeLife>;
  /** A programmed machine that could make the run instead. */
  programmed: ProgrammedMachine;
  /** What each risk of a route weighs. */
  riskPrices: RiskPrices;
  /** Between a reading and the next cut, and what is learned from minutes. */
  lathe: LatheValues;
  /** What the pace of a machine makes of its cuts and of work by hand. */
  paces: Record<Pace, PaceFactors>;
  /** How far what is planned may be off, as shares either way: the honest range of each. */
  spreads: Spreads;
  /** Fits by what they are for. */
  fits: FitPurpose[];
  /** What is on the rack and free for the run; without it nothing is known of the rack, and it is not asked. */
  rack?: OnHand[];
}

/** A section that is on the rack: how much of it is free, and the longest bar. Lengths mm. */
export interface OnHand {
  material: string;
  form: StockForm;
  size: number;
  bore: number;
  condition: BarCondition;
  free: number;
  longest: number;
}

/** What two mates are to do together, and the pairs of fits that serve, the usual one first. */
export interface FitPurpose {
  purpose: string;
  /** In words, for who does not know the letters. */
  means: string;
  pairs: FitPair[];
}

/** A hole and a shaft by their letters, and when to take them. */
export interface FitPair {
  hole: string;
  shaft: string;
  when: string;
}

/** The life of an edge by Taylor's law, v · T^n constant, and what a new one costs. */
export interface EdgeLife {
  /** Minutes of cutting at the cutting speed of the material's table. */
  life: number;
  /** The exponent n. */
  exponent: number;
  /** Money for a new edge, or for grinding it anew. */
  cost: number;
  /** Minutes to change and set it. */
  change: number;
  /** The thinnest cut that it takes, mm a side. */
  thinnest: number;
}

/** A programmed machine: minutes once, what a piece takes of the time of the hand lathe, and an hour of it. */
export interface ProgrammedMachine {
  programming: number;
  proving: number;
  setup: number;
  /** Cutting and handling there, as shares of what they are here. */
  cuttingShare: number;
  handShare: number;
  hour: number;
}

/** How far minutes may be off: down and up, as shares of what is planned. */
export interface Spread {
  down: number;
  up: number;
}

/** By what they are minutes of. */
export interface Spreads {
  cutting: Spread;
  hand: Spread;
  setup: Spread;
}

/** What things cost. */
export interface Rates {
  /** As it is written behind an amount. */
  currency: string;
  /** An hour of the machine with whoever runs it. */
  machineHour: number;
  /** What it costs to have bars come in: asking, paying, putting away. */
  order: number;
}

/** The shop as one run sees it: the machine and the material it names, and the run's own rules. */
export interface ShopForRun extends Omit<Shop, 'materials' | 'machines'> {
  machine: Machine;
  material: Material;
}
