import type { Run } from '../../model/run';
import type { Tool } from '../../model/shop/shop';
import { rectangle } from './bodies/convex';
import { centreBody, holdingBodies, stopBody, type FixedBody } from './bodies/fixed';
import { shapeOf, type ToolShape } from './bodies/shapes';
import { lowAt, type Section } from './section/section';
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

/** The bar or the blank as the first set-up sees it: from before the face that it finishes to where it ends or is held. */
export function rawWork({ stock }: WrittenPlan, { facing, holding, end }: WrittenSetup, length: number): Section {
  const to = stock.blankLength === null ? viewOf({ end }, length)(holding.to) : stock.blankLength - facing;
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

/** What stands still while an operation is done. z of the set-up. */
export function standing(
  { holding, workStop, end, operations }: WrittenSetup,
  operation: WrittenOperation | undefined,
  metal: Section,
  run: Run,
): FixedBody[] {
  const { machine, bodies } = run.shop;
  const view = viewOf({ end }, run.part.length);
  const [from, to] = [view(holding.from), view(holding.to)].sort((a, b) => a - b) as [number, number];
  const first = metal[0];
  const last = metal.at(-1);
  return [
    ...holdingBodies({ ...holding, from, to }, machine, bodies),
    ...(workStop.means === 'spindle-stop' && last && operations.length > 0 ? [stopBody(last.z1, bodies)] : []),
    ...(operation?.centre && first ? [centreBody(first.z0, lowAt(first, first.z0), bodies)] : []),
  ];
}
