import { sum, term } from '../../model/figure';
import type { EdgePlace } from '../../model/plan/edgeWay';
import type { Feature } from '../../model/part/feature';
import { exactly } from '../../model/part/size';
import { good } from '../../model/result';
import { cylinder, largestRadius } from '../../model/workpiece/profile';
import type { Tool } from '../../model/shop/shop';
import { say, sayDiameter } from '../../model/words';
import type { Operation, OperationKind, Pass } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { clearOf, plunge, plungeAlong } from './edgePaths';

/** A square groove, or a recess between larger steps: straight down. Rounded corners want a form tool. */
const isSquare = ({ kind, outside }: Feature): boolean =>
  (kind === 'groove' || kind === 'recess') && outside?.length === 1;

/** The room down to the flat bottom of a vee, as a square groove: its flanks follow (trade: Shop arithmetic). */
function roomOf(feature: Feature): Feature[] {
  const flat = feature.kind === 'vee' ? feature.outside?.[1] : undefined;
  if (!flat || flat.r0 !== flat.r1) return [];
  return [{ ...feature, z0: flat.z0, z1: flat.z1, outside: [flat], size: exactly(2 * flat.r0), dimensions: [] }];
}

/** Radius of the metal that a groove is cut into, and that stands so far beside it, mm. */
const outerOf = ({ z0, z1 }: Feature, { part, turned, outerRadius, earlier, stock }: Setup, beside = 0): number =>
  Math.max(
    ...part.steps
      .filter(({ zFrom, zTo }) => zFrom < z1 + beside - 1e-6 && zTo > z0 - beside + 1e-6)
      .map(({ path, diameter }) =>
        turned.some((step) => step.path === path) || earlier.includes(path) || stock.asDrawn.includes(path)
          ? diameter.aim / 2
          : Math.max(outerRadius, diameter.aim / 2),
      ),
  );

/** The widest blade that goes in and reaches the bottom, its holder clear of what stands beside it: fewest plunges. */
function bladeFor(groove: Feature, setup: Setup): Tool | undefined {
  const depth = (holder = 0) => outerOf(groove, setup, holder) - (groove.size?.aim ?? 0) / 2;
  return setup.run.shop.tools
    .filter(
      ({ does, width = Infinity, reach = 0, holder }) =>
        does.includes('groove') && width <= groove.z1 - groove.z0 + 1e-6 && reach >= depth(holder) - 1e-6,
    )
    .sort((a, b) => (b.width ?? 0) - (a.width ?? 0))[0];
}

/** Where the blade goes in, z of its right edge: on both edges, and between them by steps that overlap (trade: Shop arithmetic). */
export function plunges(z0: number, z1: number, blade: number, most: number): number[] {
  const rest = z1 - z0 - blade;
  if (rest < 1e-6) return [z0];
  const steps = Math.ceil(rest / (most * blade) - 1e-9);
  return Array.from({ length: steps + 1 }, (_, index) => z0 + (rest * index) / steps);
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

function operationOf(groove: Feature, tool: Tool, { run }: Setup): Operation {
  const { z0, z1, size, place, middle = 0 } = groove;
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
  const bottom = size ?? exactly(0);
  const across = groove.dimensions.find((dimension) => dimension.kind === 'length')?.size;
  return {
    key: `groove:${groove.path}`,
    kind: 'groove',
    feature: groove.path,
    makes: [groove.path],
    name: `Groove ${say(z1 - z0, run.units)} to ${sayDiameter(bottom.nominal, run.units)}`,
    tool,
    from: z0,
    to: z1,
    diameter: bottom.aim,
    removal: { outside: [cylinder(z0, z1, bottom.aim / 2)] },
    stop: { means: 'carriage', settings: tool.touched === 'right' ? [right, left] : [left, right] },
    checks: [
      { what: `groove bottom ${sayDiameter(bottom.nominal, run.units)}`, measures: 'outside', size: bottom },
      ...(across
        ? [{ what: `groove width ${say(across.nominal, run.units)}`, measures: 'length' as const, size: across }]
        : []),
      ...(place?.size.from === 'limits'
        ? [
            {
              what: `place of the groove ${say(place.size.nominal, run.units)}`,
              measures: 'length' as const,
              size: place.size,
            },
          ]
        : []),
    ],
  };
}

/** Cut a square groove with a blade: by one plunge, or by several and a pass along the bottom (trade: Shop arithmetic). */
export const groove: OperationKind = {
  kind: 'groove',
  handFed: true,
  shutIn: true,
  turnsAtOverhang: false,
  underCentre: true,
  demand(setup) {
    const reached = setup.part.features.filter(({ path }) => setup.features.includes(path));
    const rooms = reached.flatMap(roomOf);
    // A groove that no blade gets into stays as metal, and is told (route/doubts).
    return good(
      [...reached.filter(isSquare), ...rooms].flatMap((feature) => {
        const tool = bladeFor(feature, setup);
        if (!tool) return [];
        const made = operationOf(feature, tool, setup);
        return [rooms.includes(feature) ? { ...made, makes: [], checks: [] } : made];
      }),
    );
  },
  cut({ from, to, diameter = 0, tool }, work, { run }) {
    const { allowances, cutting } = run.shop;
    const width = tool.width ?? 0;
    const outer = largestRadius(work.outside, from, to);
    const depth = outer - diameter / 2;
    const places = plunges(from, to, width, cutting.plungeStep);
    const clear = clearOf(work, from, to, allowances.approach);
    const approach = term('a', 'approach', allowances.approach, 'mm', 'start value');
    return good({
      diameter: 2 * outer,
      passes: [
        ...places.map((z, index) => ({
          depth,
          diameter,
          z,
          way: [term('t', 'depth of the groove', depth, 'mm', 'computed'), approach],
          leaves: { outside: [cylinder(z, z + width, diameter / 2)] },
          wide: width,
          path: plunge(z, diameter / 2, clear),
          ...(places.length > 1 && index === 0 ? { note: 'right edge of the blade at z; all to the same depth' } : {}),
        })),
        ...(places.length > 1
          ? [alongBottom(from, diameter, to - from - width, plungeAlong(to - width, from, diameter / 2, clear))]
          : []),
      ],
    });
  },
  cautions: [
    { kind: 'mistake', text: 'The blade’s width is measured, not believed: position by one edge, and say which.' },
  ],
};
