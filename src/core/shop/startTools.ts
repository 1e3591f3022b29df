import { readThread } from '../part/thread';
import type { Tool } from './shop';

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
      does: kind === 'tap' ? ['tap', 'hand-tap'] : [kind],
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
  does: ['part-off', 'part-in', 'groove'],
  edge: 'hss',
  mount: 'post',
  offset: 0,
  width,
  reach,
  // Ours.
  holder: 3,
  touched: 'left',
});

/** Tools of a new shop. Sizes that the handbook leaves open are marked “ours”. */
export const startTools: Tool[] = [
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
  {
    id: 'straight-edge-10',
    name: 'straight-edged tool, 10 long',
    does: ['edge-cone'],
    edge: 'hss',
    mount: 'post',
    offset: 0,
    width: 10,
  }, // ours
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
    ahead: 3, // ours
  },
  { id: 'vee-30', name: 'pointed tool 30°', does: ['vee'], edge: 'hss', mount: 'post', offset: 0, point: 30, ahead: 2 },
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
  { id: 'deburring-tool', name: 'deburring tool', does: ['deburr'], edge: 'hss', mount: 'hand', offset: 0 },
  { id: 'bench', name: 'by hand', does: ['by-hand'], edge: 'hss', mount: 'hand', offset: 0 },
  { id: 'gauges', name: 'gauges at the bench', does: ['inspect'], edge: 'hss', mount: 'hand', offset: 0 },
];
