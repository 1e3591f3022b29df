import { readThread } from '../part/thread';
import type { BarList, Material, Shop, Tool } from './shop';

/**
 * The start values of a new shop, in one place (handbook 3 to 8, 12). They are seeded into the database and edited
 * there; the command line plans with them as they stand. Values the handbook leaves open are marked “ours”.
 */

const METRIC = [5, 6, 7, 8, 10, 12, 14, 15, 16, 18, 20, 22, 25, 28, 30, 32, 35, 40, 45, 50, 55, 60, 70, 80];
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
const HEX = [8, 10, 11, 12, 13, 14, 17, 19, 22, 24, 27, 30, 32, 36, 41];
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

const SOFT: Habits = { deepestCut: 2.5, drillFeed: 0.025, tough: false, stringy: false };
const STEEL: Habits = { deepestCut: 1.5, drillFeed: 0.015, tough: true, stringy: true };

const material = ([id, name, density, hss, carbide, kc, m]: Row, habits: Habits): Material => ({
  id,
  name,
  density,
  speed: { hss, carbide },
  force: { kc, m },
  ...habits,
  bars: barsOf(id),
});

const drill = (diameter: number, size = String(diameter)): Tool => ({
  id: `drill-${size.replace('/', '-')}`,
  name: `drill ⌀${size}`,
  does: ['drill'],
  edge: 'hss',
  mount: 'tailstock',
  offset: 0,
  diameter,
  point: 118,
  // Flute of a jobber drill, about ten diameters and never under 25 (ours).
  flute: Math.round(Math.max(25, Math.min(180, 25 + 7 * diameter))),
});

const range = (from: number, upTo: number, by: number) =>
  Array.from({ length: Math.round((upTo - from) / by) + 1 }, (_, index) => Number((from + index * by).toFixed(4)));

/** A fraction of an inch in sixty-fourths, in its lowest terms: 24 is `3/8`. */
function sixtyFourths(n: number): string {
  const common = [32, 16, 8, 4, 2, 1].find((divisor) => n % divisor === 0) ?? 1;
  return `${n / common}/${64 / common}`;
}

const DRILLS = [
  ...[...range(1, 10, 0.1), ...range(10.5, 13, 0.5), ...range(14, 25, 1)].map((size) => drill(size)),
  ...range(4, 32, 1).map((n) => drill((n * 25.4) / 64, `${sixtyFourths(n)}″`)),
];

const reamer = (diameter: number): Tool => ({
  id: `reamer-${diameter}`,
  name: `reamer ⌀${diameter}`,
  does: ['ream'],
  edge: 'hss',
  mount: 'tailstock',
  offset: 0,
  diameter,
  // About seven diameters, and never under 30 (ours).
  flute: Math.round(Math.max(30, 20 + 5 * diameter)),
});

const REAMERS = [3, 4, 5, 6, 8, 10, 12, 14, 16, 18, 20].map(reamer);

const countersinkOf = (point: number): Tool => ({
  id: `countersink-${point}`,
  name: `countersink ${point}°`,
  does: ['countersink'],
  edge: 'hss',
  mount: 'tailstock',
  offset: 0,
  diameter: 25,
  point,
});

const bar = (diameter: number, least: number, deep: number): Tool => ({
  id: `boring-bar-${diameter}`,
  name: `boring bar ⌀${diameter}`,
  does: ['bore', 'counterbore'],
  edge: 'carbide',
  mount: 'post',
  offset: 0,
  diameter,
  least,
  deep,
  nose: 0.2,
  thinnestCut: 0.05,
});

const knurlOf =
  (pattern: 'straight' | 'diamond') =>
  (pitch: number): Tool => ({
    id: `knurl-${pattern}-${pitch}`,
    name: `${pattern} knurl ${pitch}`,
    does: ['knurl'],
    edge: 'hss',
    mount: 'post',
    offset: 0,
    pitch,
    pattern,
  });

/** Round noses for reliefs, hollow forms and fillets, and hollow edges for corners (ours). */
const roundNose = (nose: number): Tool => ({
  id: `round-nose-${nose}`,
  name: `round-nose tool r ${nose}`,
  does: ['form'],
  edge: 'hss',
  mount: 'post',
  offset: 0,
  nose,
  thinnestCut: 0.05,
});
const cornerRounding = (hollowEdge: number): Tool => ({
  id: `corner-rounding-${hollowEdge}`,
  name: `corner-rounding tool R${hollowEdge}`,
  does: ['form'],
  edge: 'hss',
  mount: 'post',
  offset: 0,
  hollowEdge,
});

/** Inside grooving tools (ours). */
const grooveInside = (width: number): Tool => ({
  id: `inside-groove-${width}`,
  name: `inside groove tool ${width} wide`,
  does: ['inner-groove'],
  edge: 'hss',
  mount: 'post',
  offset: 0,
  width,
  reach: 1.5 * width,
  least: 10,
  deep: 30,
  touched: 'left',
});

/** Taps of the coarse threads and of the unified ones that are about as large (handbook 15). */
const TAPPED = [
  ...['M3', 'M4', 'M5', 'M6', 'M8', 'M10', 'M12', 'M16'],
  ...['4-40', '6-32', '8-32', '10-24', '10-32', '1/4-20', '1/4-28', '5/16-18', '3/8-16'],
];

const threadCutter =
  (kind: 'tap' | 'die') =>
  (designation: string): Tool => {
    const thread = readThread(designation, '');
    if (!thread.ok) throw new Error(`${designation} is no thread`);
    return {
      id: `${kind}-${designation.replace('/', '-')}`,
      name: `${kind} ${designation}`,
      does: [kind],
      edge: 'hss',
      mount: 'tailstock',
      offset: 0,
      diameter: thread.value.diameter,
      pitch: thread.value.pitch,
    };
  };

const blade = (width: number, reach: number): Tool => ({
  id: `blade-${width}`,
  name: `parting blade ${width} wide`,
  does: ['part-off', 'groove'],
  edge: 'hss',
  mount: 'post',
  offset: 0,
  width,
  reach,
  touched: 'left',
});

export const startValues: Shop = {
  materials: [
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
  ],
  machines: [
    {
      id: 'centre-lathe-a',
      name: 'centre lathe A',
      swing: 180,
      betweenCentres: 500,
      spindleBore: 36,
      speeds: [65, 100, 160, 250, 400, 560, 800, 1120, 1600, 2000],
      feeds: [0.04, 0.05, 0.06, 0.08, 0.1, 0.12, 0.15, 0.18, 0.2, 0.25, 0.3],
      motorKilowatts: 1.5,
      efficiency: 0.75,
      stations: 4,
      leadscrew: { pitch: 3, gears: [20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 70, 80, 127] }, // ours
      quillTravel: 100,
      compoundTravel: 60, // ours
      readOut: 'diameter',
      jaws: { from: 3, upTo: 100, length: 25, runOut: 0.1 },
      collets: { from: 3, upTo: 25, length: 25, runOut: 0.03 },
    },
  ],
  tools: [
    {
      id: 'rougher',
      name: 'roughing tool, r 0.8',
      does: ['face', 'turn-rough'],
      edge: 'carbide',
      mount: 'post',
      offset: 0,
      nose: 0.8,
      thinnestCut: 0.1,
    },
    {
      id: 'finisher',
      name: 'finishing tool, r 0.4',
      does: ['turn-finish'],
      edge: 'carbide',
      mount: 'post',
      offset: 0,
      nose: 0.4,
      thinnestCut: 0.1,
    },
    { id: 'chamfer-45', name: 'chamfer tool 45°', does: ['chamfer'], edge: 'hss', mount: 'post', offset: 0, width: 5 },
    blade(1.5, 9),
    blade(2, 13),
    blade(2.5, 18),
    blade(3, 24),
    blade(4, 36),
    {
      id: 'centre-3.15',
      name: 'centre drill 3.15',
      does: ['centre'],
      edge: 'hss',
      mount: 'tailstock',
      offset: 0,
      diameter: 3.15,
      point: 60,
      flute: 5,
    },
    ...DRILLS,
    ...REAMERS,
    countersinkOf(60),
    countersinkOf(90),
    countersinkOf(120),
    // Bars by the narrowest hole that they clear, and about four diameters out (ours).
    bar(3, 4, 12),
    bar(5, 6.5, 20),
    bar(8, 10, 32),
    bar(12, 15, 48),
    bar(16, 20, 64),
    ...TAPPED.map(threadCutter('tap')),
    ...TAPPED.filter((designation) => designation !== 'M16').map(threadCutter('die')),
    {
      id: 'thread-60',
      name: 'threading tool 60°',
      does: ['thread', 'vee'],
      edge: 'hss',
      mount: 'post',
      offset: 0,
      point: 60,
    },
    { id: 'vee-30', name: 'pointed tool 30°', does: ['vee'], edge: 'hss', mount: 'post', offset: 0, point: 30 },
    ...(['straight', 'diamond'] as const).flatMap((pattern) => [0.5, 0.6, 0.8, 1, 1.2, 1.5].map(knurlOf(pattern))),
    ...[0.2, 0.3, 0.4, 0.5, 0.6, 0.8, 1, 1.2, 1.5, 2, 2.5, 3].map(roundNose),
    ...[0.5, 1, 1.5, 2, 2.5, 3].map(cornerRounding),
    ...[1, 1.5, 2, 3].map(grooveInside),
    {
      id: 'cone-tool',
      name: 'pointed tool, r 0.4',
      does: ['taper'],
      edge: 'carbide',
      mount: 'post',
      offset: 0,
      nose: 0.4,
      thinnestCut: 0.1,
      slope: 60, // ours
    },
  ],
  allowances: {
    facingSawn: 1,
    facingParted: 0.3,
    firstEnd: 0.5,
    kerf: 2.5,
    offcutFrom: 150, // ours
    gripRemnantTimes: 1.5,
    gripRemnantLeast: 20,
    jawClearance: 5,
    toolClearance: 2, // ours
    breakthrough: 1,
    bladeSpare: 1,
    bladeWithin: 0.3, // ours
    skin: { drawn: 0, ground: 0, 'hot-rolled': 1, sawn: 1 },
    barGrade: { drawn: 11, ground: 8 },
    finishPerSide: 0.25,
    shoulder: 0.1,
    approach: 2,
    overrun: 1,
    leftOnLeast: 6,
    // Shortest hold of a piece in its second set-up (ours).
    gripTimes: 0.25,
    gripLeast: 6,
  },
  cutting: {
    speedFactor: {
      face: 1,
      'turn-rough': 1,
      'turn-finish': 1,
      groove: 0.5,
      chamfer: 0.3,
      'part-off': 0.5,
      drill: 0.8,
      centre: 0.8,
      ream: 0.4,
      countersink: 0.8,
      bore: 0.8,
      counterbore: 0.8,
      tap: 0.25,
      'inner-groove': 0.5,
      taper: 0.8,
      thread: 0.3,
      die: 0.2,
      knurl: 0.3,
      vee: 0.3,
      form: 0.3,
    },
    feed: {
      face: 0.1,
      'turn-rough': 0.2,
      'turn-finish': 0.08,
      groove: 0.04,
      chamfer: 0.05,
      'part-off': 0.04,
      centre: 0.05,
      countersink: 0.05, // ours
      bore: 0.08,
      counterbore: 0.08,
      'inner-groove': 0.03,
      taper: 0.08,
      vee: 0.03,
      form: 0.03,
      knurl: 0.2, // ours
    },
    mostSpeed: { countersink: 300, thread: 200, tap: 200, die: 100 }, // threads: ours
    plungeStep: 0.9,
    reamFeedTimes: 2.5,
    reamAllowance: { 6: 0.15, 12: 0.25, 25: 0.35 },
    mostDrillFeed: 0.3,
    overhangTimes: 3,
    overhangFactor: 0.7,
    interruptedFactor: 0.7,
    equalCutsFinerThan: 8,
    firstPeckTimes: 3,
    peckTimes: 1,
    deepestBore: 0.5,
    finishBore: 0.15,
    radialForce: 0.4,
    barElasticity: 210_000,
    dieUpTo: 12, // ours
    threadPasses: 4, // ours
    threadPassesPerMm: 3, // ours
    leastThreadCut: 0.02,
    threadSprings: 1,
    threadCompound: 29.5,
    pitchErrorAtMost: 200, // ours
    knurlGrows: 0.5,
    formScallop: 0.1, // ours
    tapLead: 3, // ours
    tapDrillOver: 0.15, // ours
    compoundWithin: 0.25,
    pilotOver: 12,
    pilotFraction: 0.35,
    pilotWithin: 2, // ours
    stoutDrill: 8, // ours
    threadEndTimes: 2, // ours
    finestGrade: 6, // ours
    stopRepeats: 0.02, // ours
    drillGrade: 12,
    bladeReachPerWidth: 8,
    approachAngle: 90,
    restTimes: 10,
    thinWall: 0.1,
  },
  handMinutes: {
    loadJaws: 0.6,
    loadCollet: 0.25,
    loadSoftJaws: 0.4,
    unload: 0.25,
    pullBar: 0.3,
    compoundAgain: 1.5, // ours
    sawBlank: 1, // ours: one cut of a cold saw with a length stop
    changePost: 0.15,
    changeTailstock: 0.35,
    tailstock: 0.15,
    speedChange: 0.1,
    feedChange: 0.08,
    approach: 0.12,
    station: 0.05,
    setStop: 0.5,
    peckReturn: 0.04, // ours
    clear: 0.1,
    clearStringy: 0.2,
    clearEvery: 15,
  },
  setupMinutes: {
    fetchAndRead: 5,
    jawsChange: 6,
    colletChange: 2,
    toolOnHeight: 1,
    tailstockTool: 1,
    setStop: 1,
    touchOff: 0.3,
    changeGears: 15,
    compound: 5,
  },
  outside: { millSetup: 20, load: 0.5, millFlat: 1.2 }, // ours
  timeAllowance: 0.12,
  gauges: [
    { name: 'caliper', repeats: 0.03, minutes: 0.15, measures: ['outside', 'inside', 'length'] },
    { name: 'micrometer', repeats: 0.005, minutes: 0.3, measures: ['outside'] },
    { name: 'depth micrometer', repeats: 0.01, minutes: 0.3, measures: ['length'] },
    { name: 'bore gauge', repeats: 0.01, minutes: 0.6, measures: ['inside'] },
    { name: 'thread gauge', repeats: 0.005, minutes: 0.4, measures: ['thread'] },
  ],
  checkEvery: { general: 5, toleranced: 1 },
  houseRules: { centreDrill: 'always', pilot: 'tough-over-12', stickOut: '4d' },
  spares: { firstOff: 1, scrapShare: 0.02 }, // ours
  rates: { currency: '€', machineHour: 45, order: 12 }, // ours
  // Purposes and pairs are ours, in the letters of the tables (handbook 15).
  fits: [
    {
      purpose: 'running',
      means: 'turns freely on a film of oil',
      pairs: [
        { hole: 'H8', shaft: 'f7', when: 'the usual bearing of a pin or a spindle' },
        { hole: 'H9', shaft: 'd9', when: 'loose: dirt, weather, long bearings' },
        { hole: 'H8', shaft: 'e8', when: 'between the two: fast, or several bearings in line' },
      ],
    },
    {
      purpose: 'sliding',
      means: 'moved by hand along or around, without play to feel',
      pairs: [
        { hole: 'H7', shaft: 'g6', when: 'the usual guide or sleeve' },
        { hole: 'H8', shaft: 'h7', when: 'now and then moved, cheaper to make' },
      ],
    },
    {
      purpose: 'location',
      means: 'puts one part where it belongs on another, and comes apart again',
      pairs: [
        { hole: 'H7', shaft: 'h6', when: 'put together by hand' },
        { hole: 'H7', shaft: 'k6', when: 'light taps; sits without play' },
        { hole: 'H8', shaft: 'h8', when: 'a cover or a spigot where little play does no harm' },
      ],
    },
    {
      purpose: 'press',
      means: 'stays where it was pressed',
      pairs: [
        { hole: 'H7', shaft: 'p6', when: 'the usual press fit; a bush, a pin' },
        { hole: 'H7', shaft: 'n6', when: 'light: thin walls, or held otherwise as well' },
      ],
    },
  ],
};
