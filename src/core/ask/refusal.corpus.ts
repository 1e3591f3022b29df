import type { RunFile } from '../read/runFile';
import { runOf, step } from '../testing';

/** What a step of ⌀20 × 30 cannot have, or a run of it cannot be. */
const round = (part: Partial<RunFile['part']>, more: Partial<RunFile> = {}): RunFile =>
  runOf({ outside: [step(20, 30, { name: 'body' })], ...part }, more);

type Details = NonNullable<RunFile['part']['details']>;
type Bores = NonNullable<RunFile['part']['bores']>;

const detail = (entry: Details[number], bores: Bores = []): RunFile => round({ details: [entry], bores });
const hole = (...bores: Bores): RunFile => round({ bores });
const through = (diameter: number): Bores[number] => ({
  from: 'front',
  shape: 'drill',
  diameter,
  depth: 'through',
});

/**
 * Runs that are refused, each a slip or a wish of whoever enters it, and a change that whoever stands beside would name:
 * the path of it, or how that begins. Written before any change was tried.
 */
export const REFUSED: [string, RunFile, string][] = [
  // What the drawing cannot be.
  ['a groove through to the bore', detail({ kind: 'groove', at: 10, width: 3, bottom: 11 }, [through(12)]), 'part.'],
  ['a groove that takes nothing', detail({ kind: 'groove', at: 10, width: 3, bottom: 22 }), 'part.details'],
  ['a groove off the end', detail({ kind: 'groove', at: 29, width: 4, bottom: 16 }), 'part.details'],
  ['a chamfer larger than its step', detail({ kind: 'chamfer', at: 0, size: 12 }), 'part.details'],
  [
    'chamfers as long as their step',
    runOf({ outside: [step(20, 1, { chamfers: { front: 0.6, back: 0.6 } }), step(16, 20)] }),
    'part.',
  ],
  ['a vee to the axis', detail({ kind: 'vee', at: 15, included: 30, depth: 11 }), 'part.details'],
  ['a vee off the end', detail({ kind: 'vee', at: 1, included: 60, depth: 4 }), 'part.details'],
  ['a form deeper than its radius', detail({ kind: 'hollow', at: 15, radius: 2, depth: 3 }), 'part.details'],
  ['a form to the axis', detail({ kind: 'hollow', at: 15, radius: 14, depth: 10 }), 'part.details'],
  [
    'a fillet larger than its shoulder',
    round({ outside: [step(18, 10), step(20, 20)], details: [{ kind: 'radius', at: 10, size: 3, form: 'fillet' }] }),
    'part.details',
  ],
  [
    'a thread that is not its diameter',
    detail({ kind: 'thread', at: 0, length: 12, designation: 'M30' }),
    'part.details',
  ],
  ['a thread of no known pitch', detail({ kind: 'thread', at: 0, length: 12, designation: 'M20.3' }), 'part.details'],
  ['a thread off the end', detail({ kind: 'thread', at: 25, length: 12, designation: 'M20' }), 'part.details'],
  ['a knurl off the end', detail({ kind: 'knurl', at: 25, length: 12, pattern: 'straight', pitch: 1 }), 'part.details'],
  ['flats that leave it round', detail({ kind: 'flats', at: 0, length: 10, count: 2, across: 22 }), 'part.details'],
  ['flats off the end', detail({ kind: 'flats', at: 25, length: 10, count: 2, across: 16 }), 'part.details'],
  ['a cross hole as wide as the piece', detail({ kind: 'cross-hole', at: 15, diameter: 22 }), 'part.details'],
  ['a cross hole off the end', detail({ kind: 'cross-hole', at: 29, diameter: 6 }), 'part.details'],
  [
    'a groove in a face, inside out',
    detail({ kind: 'face-groove', face: 'front', inner: 14, outer: 8, depth: 2 }),
    'part.details',
  ],
  [
    'a groove in a face without a wall',
    detail({ kind: 'face-groove', face: 'front', inner: 14, outer: 20, depth: 2 }),
    'part.details',
  ],
  [
    'a groove in a face over its bore',
    detail({ kind: 'face-groove', face: 'front', inner: 11, outer: 15, depth: 2 }, [through(12)]),
    'part.',
  ],
  ['a hole as wide as the piece', hole(through(20)), 'part.bores'],
  ['a hole deeper than the piece', hole({ from: 'front', shape: 'drill', diameter: 6, depth: 40 }), 'part.bores'],
  ['a hole whose point comes through', hole({ from: 'front', shape: 'drill', diameter: 10, depth: 29 }), 'part.bores'],
  ['a hole within another', hole(through(10), { from: 'front', shape: 'drill', diameter: 8, depth: 10 }), 'part.bores'],
  [
    'a tap without metal',
    hole(
      { from: 'front', shape: 'drill', diameter: 6, depth: 16 },
      { from: 'front', shape: 'tap', designation: 'M6', depth: 10 },
    ),
    'part.bores',
  ],
  ['a tap wider than the piece', hole({ from: 'front', shape: 'tap', designation: 'M24', depth: 10 }), 'part.bores'],
  [
    'a counterbore wider than the piece',
    hole(through(6), { from: 'front', shape: 'counterbore', diameter: 22, depth: 4 }),
    'part.bores',
  ],
  [
    'a countersink wider than the piece',
    hole(through(6), { from: 'front', shape: 'countersink', mouth: 24 }),
    'part.bores',
  ],
  [
    'a cone with its small end outside',
    hole({ from: 'front', shape: 'cone', mouth: 6, small: 9, included: 30 }),
    'part.bores',
  ],
  [
    'a groove in a bore that is not there',
    hole({ from: 'front', shape: 'groove', at: 10, width: 2, bottom: 12 }),
    'part.bores',
  ],
  [
    'a bore within a wider hole',
    hole(through(12), { from: 'front', shape: 'bore', diameter: 10, depth: 10 }),
    'part.bores',
  ],
  ['a fit that does not exist', runOf({ outside: [step('20 z8', 30)] }), 'part.outside'],
  ['limits the wrong way round', runOf({ outside: [step({ size: 20, limits: [0.1, -0.1] }, 30)] }), 'part.outside'],
  ['a diameter of nothing', runOf({ outside: [step(0, 30)] }), 'part.outside'],
  ['a length beyond every tolerance', runOf({ outside: [step(30, 450)] }), 'part.outside'],
  [
    'lengths that contradict one another',
    round({ lengths: [{ from: 'front', to: 'back', size: 31 }] }),
    'part.lengths',
  ],
  ['a run-out to what is not there', round({ runout: [{ of: 'body', to: 'spigot', limit: 0.02 }] }), 'part.runout'],
  ['a gauge for what is not there', round({ mates: [{ of: 'spigot', name: 'the hub' }] }), 'part.mates'],
  ['grinding what is not there', round({ elsewhere: [{ kind: 'grind', on: 'spigot' }] }), 'part.elsewhere'],
  // What the shop has not got.
  ['a material by half its name', round({ material: 'brass-cw614' }), 'part.material'],
  ['a machine that was sold', round({}, { machine: 'centre-lathe-b' }), 'machine'],
  ['no piece at all', round({}, { quantity: 0 }), 'quantity'],
  ['half a piece', round({}, { quantity: 2.5 }), 'quantity'],
  ['a tube whose bore is its outside', round({}, { stock: { form: 'tube', size: 22, bore: 22 } }), 'stock'],
  ['no blade at all', round({}, { allowances: { bladeWidth: 0 } }), 'allowances'],
  // What the planner cannot hold, reach or clean up.
  [
    'longer than between the centres',
    runOf({ outside: [step({ size: 30, limits: [-1, 1] }, { size: 1500, limits: [-1, 1] })] }),
    'part.outside',
  ],
  ['larger than it swings', runOf({ outside: [step({ size: 300, limits: [-1, 1] }, 30)] }), 'part.outside'],
  ['from a bar that does not go through the spindle', runOf({ outside: [step(50, 30)] }, { way: 'from-bar' }), 'way'],
  [
    'a disc that nothing holds for its second side',
    runOf({ outside: [step(6, 1.5), step(20, 1.5)] }, { way: 'from-bar' }),
    'rules.nib',
  ],
  [
    'a flange whose blank may have no spigot',
    runOf({ outside: [step('13 h8', 20), step(60, 2.5)] }, { allowances: { spigot: 'none' } }),
    'allowances',
  ],
  [
    'a bar that is too small, named',
    runOf({ outside: [step(19.9, 20), step(12, 10)] }, { stock: { size: 16 } }),
    'stock',
  ],
  [
    'a hole that no drill of the list makes',
    hole({ from: 'front', shape: 'drill', diameter: { size: 4.55, limits: [-0.01, 0.01] }, depth: 8 }),
    'part.bores[0].diameter',
  ],
  [
    'slender work without room for its rest',
    runOf(
      { outside: [step(5.5, 120)], bores: [{ from: 'front', shape: 'drill', diameter: 2, depth: 5 }] },
      { way: 'from-bar', allowances: { jawClearance: 5 } },
    ),
    'allowances',
  ],
];
