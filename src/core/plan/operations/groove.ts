import { sum, term } from '../../model/figure';
import type { EdgePlace } from '../../model/plan/edgeWay';
import type { Feature } from '../../model/part/feature';
import { exactly } from '../../model/part/size';
import { good } from '../../model/result';
import { cylinder, largestRadius, type Segment } from '../../model/workpiece/profile';
import type { Run } from '../../model/run';
import type { Tool } from '../../model/shop/shop';
import { formatLength } from '../../model/units/length';
import { say, sayDiameter } from '../../model/words';
import type { Operation, OperationKind, Pass } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { behindOf } from './behind';
import { clearOf, plunge, plungeAlong } from './edgePaths';
import { bladeFor, bottomOf, checksOf, isSquare, plunges } from './squareGroove';

/** The room down to the flat bottom of a vee, as a square groove: its flanks follow (trade: Shop arithmetic). */
function roomOf(feature: Feature): Feature[] {
  const flat = feature.kind === 'vee' ? feature.outside?.[1] : undefined;
  if (!flat || flat.r0 !== flat.r1) return [];
  return [{ ...feature, z0: flat.z0, z1: flat.z1, outside: [flat], size: exactly(2 * flat.r0), dimensions: [] }];
}

/** The last pass of several plunges: along the bottom, so that they leave no ridges (trade: Shop arithmetic). */
export const alongBottom = (z: number, diameter: number, length: number, path: EdgePlace[]): Pass => ({
  depth: 0,
  diameter,
  z,
  way: [term('l', 'along the bottom', length, 'mm', 'computed')],
  path,
  note: 'along the bottom, so that the plunges leave no ridges',
});

/** @param rooms what it clears, where that is not the whole */
function operationOf(groove: Feature, tool: Tool, setup: Setup, rooms?: Segment[]): Operation {
  const { run } = setup;
  const { z0, z1, middle = 0 } = groove;
  const width = tool.width ?? 0;
  const far = term('z', 'far edge of the groove, from the face', z1, 'mm', 'drawing');
  const aim = term('m', 'middle of the limits of its place', middle, 'mm', 'drawing');
  const offset = term('o', 'offset of the tool to the one that set the zero', tool.offset, 'mm', 'tool');
  const left = { edge: 'left' as const, setting: sum('stop setting, left edge touched', 'mm', [far, aim, offset]) };
  const right = {
    edge: 'right' as const,
    setting: sum('stop setting, right edge touched', 'mm', [
      far,
      aim,
      term('w', 'blade width, inwards, as measured', -width, 'mm', 'tool'),
      offset,
    ]),
  };
  const bottom = bottomOf(groove);
  return {
    key: `groove:${groove.path}`,
    kind: 'groove',
    feature: groove.path,
    ...(rooms ? {} : { makes: [groove.path] }),
    name:
      rooms && rooms.length > 1
        ? `Groove both ends, ${sayDiameter(bottom.nominal, run.units)}`
        : `Groove ${say(z1 - z0, run.units)} to ${sayDiameter(bottom.nominal, run.units)}`,
    tool,
    from: z0,
    to: z1,
    diameter: bottom.aim,
    removal: { outside: rooms ?? [cylinder(z0, z1, bottom.aim / 2)] },
    stop: { means: 'carriage', settings: tool.touched === 'right' ? [right, left] : [left, right] },
    checks: rooms ? [] : checksOf(groove, setup),
  };
}

/** Where a plunge of several goes in, by the edge that was touched. */
const sayPlace = (z: number, { touched, width = 0 }: Tool, { units }: Run): string =>
  touched === 'right' ? `right edge ${formatLength(z, units)}` : `left edge ${formatLength(z + width, units)}`;

/** Cut a square groove with a blade: by one plunge, or by several and a pass along the bottom (trade: Shop arithmetic). */
export const groove: OperationKind = {
  kind: 'groove',
  handFed: true,
  across: true,
  shutIn: true,
  turnsAtOverhang: false,
  underCentre: true,
  demand(setup) {
    const reached = setup.part.features.filter(({ path }) => setup.features.includes(path));
    const flat = reached.flatMap(roomOf);
    // A groove that no blade gets into stays as metal, and is told (route/doubts).
    return good(
      [...reached.filter(isSquare), ...flat].flatMap((feature) => {
        const tool = bladeFor(feature, setup);
        const rooms = flat.includes(feature) ? feature.outside : behindOf(feature, setup)?.rooms;
        return tool ? [operationOf(feature, tool, setup, rooms)] : [];
      }),
    );
  },
  cut({ from, to, diameter = 0, tool, removal: { outside = [] } }, work, { run }) {
    const { allowances, cutting } = run.shop;
    const width = tool.width ?? 0;
    const outer = largestRadius(work.outside, from, to);
    const depth = outer - diameter / 2;
    const clear = clearOf(work, from, to, allowances.approach);
    const approach = term('a', 'approach', allowances.approach, 'mm', 'start value');
    const passes = outside.flatMap(({ z0, z1 }): Pass[] => {
      const places = plunges(z0, z1, width, cutting.plungeStep);
      const straight = places.map((z) => ({
        depth,
        diameter,
        z,
        way: [term('t', 'depth of the groove', depth, 'mm', 'computed'), approach],
        leaves: { outside: [cylinder(z, z + width, diameter / 2)] },
        wide: width,
        path: plunge(z, diameter / 2, clear),
      }));
      const bottom = plungeAlong(z1 - width, z0, diameter / 2, clear);
      return places.length > 1 ? [...straight, alongBottom(z0, diameter, z1 - z0 - width, bottom)] : straight;
    });
    const several = passes.filter(({ wide }) => wide !== undefined).length > 1;
    return good({
      diameter: 2 * outer,
      passes: passes.map((pass) =>
        several && pass.wide !== undefined ? { ...pass, note: sayPlace(pass.z ?? 0, tool, run) } : pass,
      ),
    });
  },
  cautions: [
    { kind: 'mistake', text: 'The blade’s width is measured, not believed: position by one edge, and say which.' },
  ],
};
