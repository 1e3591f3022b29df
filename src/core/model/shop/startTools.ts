import type { Tool } from './shop';
import { insideThreadTool, setOf } from './toolSets';

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

/** Blades for grooves in a face, by the walls that their curve clears (ours). */
const grooveInFace = (width: number, reach: number, clearsFrom: number, clearsUpTo: number): Tool => ({
  id: `face-groove-${width}`,
  name: `face groove tool ${width} wide`,
  does: ['face-groove'],
  edge: 'hss',
  mount: 'post',
  offset: 0,
  width,
  reach,
  clearsFrom,
  clearsUpTo,
});

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

const centreDrill = (diameter: number, flute: number): Tool => ({
  id: `centre-${diameter}`,
  name: `centre drill ${diameter}`,
  does: ['centre'],
  edge: 'hss',
  mount: 'tailstock',
  offset: 0,
  diameter,
  point: 60,
  flute,
});

/** Tools of a new shop. Sizes that docs/trade.md does not give are marked “ours”. */
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
  {
    id: 'chamfer-45',
    name: 'chamfer tool 45°',
    does: ['chamfer'],
    edge: 'carbide',
    mount: 'post',
    offset: 0,
    width: 5,
  },
  {
    id: 'chamfer-30',
    name: 'chamfer tool 30°',
    does: ['chamfer'],
    edge: 'carbide',
    mount: 'post',
    offset: 0,
    width: 5,
    point: 120,
  }, // ours
  blade(1.5, 9),
  blade(2, 13),
  blade(2.5, 18),
  blade(3, 24),
  blade(4, 36),
  centreDrill(3.15, 5),
  centreDrill(2.5, 4),
  centreDrill(1.6, 2.5),
  centreDrill(1, 1.6),
  ...setOf('drills-metric'),
  ...setOf('drills-fraction'),
  ...setOf('reamers-metric'),
  countersinkOf(60),
  { ...countersinkOf(90), does: ['countersink', 'lead-in'] },
  countersinkOf(120),
  // Bars by the narrowest hole that they clear, and about four diameters out (ours).
  bar(3, 4, 12),
  bar(5, 6.5, 20),
  bar(8, 10, 32),
  bar(12, 15, 48),
  bar(16, 20, 64),
  ...setOf('taps-metric'),
  ...setOf('taps-unified'),
  ...setOf('dies-metric'),
  ...setOf('dies-unified'),
  {
    id: 'thread-60',
    name: 'threading tool 60°',
    does: ['thread', 'vee'],
    edge: 'hss',
    mount: 'post',
    offset: 0,
    point: 60,
    ahead: 2, // ours
  },
  { id: 'vee-30', name: 'pointed tool 30°', does: ['vee'], edge: 'hss', mount: 'post', offset: 0, point: 30, ahead: 2 },
  // Ours.
  insideThreadTool({ diameter: 8, least: 13, deep: 32, ahead: 1.2 }),
  insideThreadTool({ diameter: 12, least: 19, deep: 48, ahead: 1.6 }),
  ...(['straight', 'diamond'] as const).flatMap((pattern) => [0.5, 0.6, 0.8, 1, 1.2, 1.5].map(knurlOf(pattern))),
  ...[0.2, 0.3, 0.4, 0.5, 0.6, 0.8, 1, 1.2, 1.5, 2, 2.5, 3].map(roundNose),
  ...[0.5, 1, 1.5, 2, 2.5, 3].map(cornerRounding),
  ...[1, 1.5, 2, 3].map(grooveInside),
  grooveInFace(1.5, 4, 12, 30),
  grooveInFace(2, 5, 16, 45),
  grooveInFace(3, 6, 30, 90),
  {
    id: 'cone-tool',
    name: 'pointed tool, r 0.4',
    does: ['taper', 'turn-behind'],
    edge: 'carbide',
    mount: 'post',
    offset: 0,
    nose: 0.4,
    thinnestCut: 0.1,
    slope: 60, // ours
  },
  { id: 'abrasives', name: 'abrasive strips on a backing', does: ['polish'], edge: 'hss', mount: 'hand', offset: 0 },
  { id: 'deburring-tool', name: 'deburring tool', does: ['deburr'], edge: 'hss', mount: 'hand', offset: 0 },
  { id: 'bench', name: 'by hand', does: ['by-hand'], edge: 'hss', mount: 'hand', offset: 0 },
  { id: 'gauges', name: 'gauges at the bench', does: ['inspect'], edge: 'hss', mount: 'hand', offset: 0 },
];
