import type { Run } from '../../model/run';
import type { Tool } from '../../model/shop/shop';
import { rectangle } from './bodies/convex';
import { catcherBody, centreBody, holdingBodies, restBody, stopBody, type FixedBody } from './bodies/fixed';
import { shapeOf, type ToolShape } from './bodies/shapes';
import { sectionOfWork } from './drawn';
import { highAt, lowAt, mirrored, type Section } from './section/section';
import { sectionsOf } from './sweep';
import type { WrittenOperation, WrittenPlan, WrittenSetup } from './written';

/** z of a set-up for a z of the drawing, and the other way round. */
export const viewOf =
  ({ end }: Pick<WrittenSetup, 'end'>, length: number) =>
  (z: number): number =>
    end === 'front' ? z : length - z;

/** Diameter over the corners of a bar. */
const overCorners = ({ form, size }: WrittenPlan['stock']): number =>
  form === 'hex' ? size / Math.cos(Math.PI / 6) : form === 'square' ? size * Math.SQRT2 : size;

/**
 * What the first set-up begins with: the bar or the blank, from before the face that it finishes to where it ends or is
 * held, of a bar when it is drawn out last, or the piece as the run says that it arrives.
 */
export function rawWork({ stock, setups }: WrittenPlan, { facing, end }: WrittenSetup, run: Run): Section {
  const { length } = run.part;
  const piece = run.stock === 'choose' ? undefined : run.stock.piece;
  if (piece) return end === 'front' ? sectionOfWork(piece) : mirrored(sectionOfWork(piece), length);

  const turnedRound = setups.findIndex((setup) => setup.end !== end);
  const held = setups.slice(0, turnedRound < 0 ? undefined : turnedRound).map(({ holding }) => holding.to);
  const to = stock.blankLength === null ? Math.max(...held.map(viewOf({ end }, length))) : stock.blankLength - facing;
  return sectionsOf(rectangle(-facing, to, (stock.bore ?? 0) / 2, overCorners(stock) / 2)).flat();
}

/** A tool by the id that a plan names it by: one of the list, or that with another edge in it. */
export function toolNamed({ tool: id, width }: WrittenOperation, { shop }: Run): Tool | undefined {
  const listed = shop.tools.find((tool) => tool.id === id) ?? shop.tools.find((tool) => id.startsWith(`${tool.id}:`));
  return listed && (width === undefined ? listed : { ...listed, width });
}

export const shapeNamed = (operation: WrittenOperation, run: Run): ToolShape | undefined => {
  const tool = toolNamed(operation, run);
  return tool && shapeOf(tool, run.shop.bodies, operation.stands);
};

/** The narrowest radius of a bore from the free end to a place; 0 where it does not go there. */
const boreTo = (metal: Section, z: number): number =>
  Math.min(...metal.filter(({ z0 }) => z0 < z).flatMap((slab) => [slab.z0, slab.z1].map((at) => lowAt(slab, at))));

/** A rod in the bore of what is parted off, where the bore lets one through. z of the set-up. */
function catcherFor({ kind, passes, width = 0 }: WrittenOperation, metal: Section, setup: WrittenSetup, run: Run) {
  if (kind !== 'part-off') return [];
  const view = viewOf(setup, run.part.length);
  const places = passes.flatMap(({ path = [] }) => path.map(({ z }) => view(z)));
  const end = Math.max(...places) + width;
  const bore = boreTo(metal, end);
  return bore > run.shop.bodies.catcherPlay / 2 ? [catcherBody(end, bore, run.shop.bodies)] : [];
}

/** The widest that the work is between two places. */
const widestBetween = (metal: Section, from: number, to: number): number =>
  Math.max(
    0,
    ...metal.filter(({ z0, z1 }) => z0 < to && z1 > from).map((slab) => highAt(slab, (slab.z0 + slab.z1) / 2)),
  );

/** What stands still while an operation is done. z of the set-up. */
export function standing(
  setup: WrittenSetup,
  operation: WrittenOperation | undefined,
  metal: Section,
  run: Run,
): FixedBody[] {
  const { holding, workStop, rest, operations } = setup;
  const { machine, bodies } = run.shop;
  const view = viewOf(setup, run.part.length);
  const sorted = (a: number, b: number) => [a, b].map(view).sort((x, y) => x - y) as [number, number];
  const [from, to] = sorted(holding.from, holding.to);
  const first = metal[0];
  const last = metal.at(-1);
  const bearingRest = (is: NonNullable<WrittenSetup['rest']>) => {
    const [near, far] = sorted(is.from, is.to);
    return restBody({ ...is, from: near, to: far }, widestBetween(metal, near, far), bodies);
  };
  return [
    ...holdingBodies({ ...holding, from, to }, machine, bodies),
    ...(workStop.means === 'spindle-stop' && !workStop.drawnBack && last && operations.length > 0
      ? [stopBody(last.z1, bodies)]
      : []),
    ...(operation?.centre && first ? [centreBody(first.z0, lowAt(first, first.z0), bodies)] : []),
    ...(rest && (operation?.centre || rest.kind === 'fixed') ? [bearingRest(rest)] : []),
    ...(operation ? catcherFor(operation, metal, setup, run) : []),
  ];
}
