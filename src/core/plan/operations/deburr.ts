import type { Part } from '../../model/part/part';
import { edgesOf, type Edge } from '../../model/workpiece/edges';
import { finishedPart } from '../../model/workpiece/finishedPart';
import { good } from '../../model/result';
import type { UnitSystem } from '../../model/units/length';
import { say, sayDiameter } from '../../model/words';
import { BY_HAND, type OperationKind } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { toolFor } from './tools';
import { CLOSE } from '../../model/tolerances';

/** An edge in words: where it is, in the z of whoever looks. */
const sayEdge = ({ z, r, inside }: Edge, units: UnitSystem): string =>
  `${inside ? 'mouth of ' : ''}${sayDiameter(Number((2 * r).toFixed(2)), units)} at ${say(Number(Math.abs(z).toFixed(2)), units)}`;

/** Edges of the finished part that nothing on the drawing breaks, seen from a set-up. A thread's are broken by its tool. */
export function sharpEdges(part: Part, sharpFrom: number): Edge[] {
  const threads = part.features.filter(({ thread }) => thread);
  return edgesOf(finishedPart(part), sharpFrom).filter(
    ({ z, inside }) =>
      !threads.some(({ z0, z1, bore }) => Boolean(bore) === inside && z > z0 + CLOSE && z < z1 + CLOSE),
  );
}

/** Whether two edges are one; a mouth is as wide as its drill, give or take. */
const isSameEdge = (a: Edge, b: Edge): boolean =>
  a.inside === b.inside && Math.abs(a.z - b.z) < CLOSE && (a.inside || Math.abs(a.r - b.r) < CLOSE);

/** Whether a set-up leaves both surfaces that make an edge, one of them its own, and a hand gets at it. */
function isLeft({ z, inside }: Edge, setup: Setup): boolean {
  const { part, holding, turned, features, drilled, stock, earlier, facing, number } = setup;
  // What is parted in part way has its back edge bare.
  const behind = setup.finishes && !inside ? part.length + CLOSE : part.length - CLOSE;
  if (z > Math.min(holding.from, behind)) return false;
  if (inside) {
    const opens = [
      ...part.features.filter(({ path, bore }) => bore && [...features, ...earlier].includes(path)),
      ...part.holes.filter(({ path }) => [...drilled, ...earlier, ...stock.asDrawn].includes(path)),
    ];
    return z < CLOSE && opens.length > 0;
  }
  const touch = <T extends { from: number; to: number }>({ from, to }: T) => from < z + CLOSE && to > z - CLOSE;
  const steps = part.steps.filter(({ zFrom, zTo }) => touch({ from: zFrom, to: zTo }));
  const cuts = part.features.filter(
    ({ outside, leaves, z0, z1 }) => (outside || leaves) && touch({ from: z0, to: z1 }),
  );
  // What the bar brought is everybody's: its edges are broken the first time they are there.
  const here = [...features, ...turned.map(({ path }) => path), ...(number === 1 ? stock.asDrawn : [])];
  const surfaces = [...steps, ...cuts].map(({ path }) => path);
  return (
    surfaces.every((path) => [...here, ...earlier, ...stock.asDrawn].includes(path)) &&
    // The face is this set-up's own.
    ((z < CLOSE && facing > 0) || surfaces.some((path) => here.includes(path)))
  );
}

/** Break every edge that nothing else breaks: the spindle slow, away from the jaws, or off the lathe (trade: Small practices). */
export const deburr: OperationKind = {
  kind: 'deburr',
  handFed: true,
  turnsAtOverhang: false,
  underCentre: false,
  byHand: 'turning',
  demand(setup, others) {
    const { run, part, number } = setup;
    const broken = others.flatMap(({ breaks = [] }) => breaks);
    const edges = sharpEdges(part, run.shop.cutting.sharpFrom).filter(
      (edge) => isLeft(edge, setup) && !broken.some((other) => isSameEdge(edge, other)),
    );
    if (edges.length === 0 || others.length === 0) return good([]);
    const tool = toolFor(setup, 'deburr', 'part.outside');
    if (!tool.ok) return tool;
    const places = edges.map(({ z }) => z);
    // What lies nearer to turning jaws than a hand may come is broken when the piece is out.
    const isNear = ({ z }: Edge) => setup.holding.from - z < run.shop.allowances.handClear;
    return good([
      {
        ...BY_HAND,
        key: `deburr:${number}`,
        kind: 'deburr',
        feature: 'edges',
        name: edges.length === 1 ? 'Break an edge' : `Break ${edges.length} edges`,
        tool: tool.value,
        from: Math.min(...places),
        to: Math.max(...places),
        diameter: 2 * Math.max(...edges.map(({ r }) => r)),
        does: edges.map((edge) => `${sayEdge(edge, run.units)}${isNear(edge) ? ', off the lathe' : ''}`),
        breaks: edges,
      },
    ]);
  },
  cut({ diameter = 0, does = [] }, _, { run }) {
    const minutes = does.length * run.shop.handMinutes.deburrEdge;
    return good({ diameter, passes: [], byHand: [{ name: `${does.length} × break an edge`, minutes }] });
  },
  cautions: [
    {
      kind: 'danger',
      text: 'Edges are sharp until they are broken; those nearer to the jaws than a hand may come are broken off the lathe. Tool or file with a handle, left hand away from the chuck; no cloth wrapped round the work.',
    },
  ],
};
