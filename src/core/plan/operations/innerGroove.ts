import { sum, term } from '../../model/figure';
import type { Feature } from '../../model/part/feature';
import { cylinder, radiusAt } from '../../model/workpiece/profile';
import { lowestRadius } from '../../read/details/at';
import { finishedPart } from '../../model/workpiece/finishedPart';
import { exactly } from '../../model/part/size';
import { good } from '../../model/result';
import type { Tool } from '../../model/shop/shop';
import { say, sayDiameter } from '../../model/words';
import type { Operation, OperationKind } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { alongBottom } from './groove';
import { plunges } from './squareGroove';
import { reachedOf } from './holeNeed';
import { plungeInside } from './edgePaths';

/** The widest tool that goes in through the bore before the groove, reaches along it, and down to the bottom. */
function toolOf({ z0, z1, size }: Feature, { part, run }: Setup): Tool | undefined {
  const { bore } = finishedPart(part);
  // Through the narrowest place on the way, and from the bore that the groove sits in.
  const way = 2 * Math.max(0, lowestRadius(bore, 0, z0));
  const depth = (size?.aim ?? 0) / 2 - radiusAt(bore, z0 - 1e-3);
  return run.shop.tools
    .filter(
      ({ does, width = Infinity, reach = 0, least = Infinity, deep = 0 }) =>
        does.includes('inner-groove') &&
        width <= z1 - z0 + 1e-6 &&
        reach >= depth - 1e-6 &&
        least <= way + 1e-6 &&
        deep >= z1 - 1e-6,
    )
    .sort((a, b) => (b.width ?? 0) - (a.width ?? 0))[0];
}

function operationOf(feature: Feature, tool: Tool, { run }: Setup): Operation {
  const { path, z0, z1, size, dimensions } = feature;
  const bottom = size ?? exactly(0);
  const across = dimensions.find((drawn) => drawn.kind === 'length')?.size;
  const setting = sum('stop setting, left edge touched', 'mm', [
    term('z', 'far edge of the groove, from the face', z1, 'mm', 'drawing'),
    term('o', 'offset of the tool to the one that set the zero', tool.offset, 'mm', 'tool'),
  ]);
  return {
    key: `inner-groove:${path}`,
    kind: 'inner-groove',
    feature: path,
    makes: [path],
    name: `Groove inside ${say(z1 - z0, run.units)} to ${sayDiameter(bottom.nominal, run.units)}`,
    tool,
    from: z0,
    to: z1,
    diameter: bottom.aim,
    removal: { bore: [cylinder(z0, z1, bottom.aim / 2)] },
    stop: { means: 'carriage', settings: [{ edge: 'left', setting }] },
    checks: [
      { what: `groove bottom ${sayDiameter(bottom.nominal, run.units)}`, measures: 'inside', size: bottom },
      ...(across
        ? [{ what: `groove width ${say(across.nominal, run.units)}`, measures: 'length' as const, size: across }]
        : []),
    ],
  };
}

/** Groove the wall of a bore: by one plunge, or by several and a pass along the bottom (trade: Shop arithmetic). */
export const innerGroove: OperationKind = {
  kind: 'inner-groove',
  handFed: true,
  across: true,
  shutIn: true,
  turnsAtOverhang: false,
  underCentre: false,
  demand: (setup) =>
    good(
      reachedOf(setup, 'inner-groove').flatMap((feature) => {
        const tool = toolOf(feature, setup);
        return tool ? [operationOf(feature, tool, setup)] : [];
      }),
    ),
  cut({ from, to, diameter = 0, tool }, work, { run }) {
    const { allowances, cutting } = run.shop;
    const width = tool.width ?? 0;
    const depth = diameter / 2 - radiusAt(work.bore, from);
    const places = plunges(from, to, width, cutting.plungeStep);
    return good({
      diameter,
      passes: [
        ...places.map((z) => ({
          depth,
          diameter,
          z: z + width,
          way: [
            term('t', 'depth of the groove', depth, 'mm', 'computed'),
            term('a', 'approach', allowances.approach, 'mm', 'start value'),
          ],
          leaves: { bore: [cylinder(z, z + width, diameter / 2)] },
          wide: width,
          path: plungeInside(z, z, diameter / 2, (tool.least ?? 0) / 2, -allowances.approach),
        })),
        ...(places.length > 1
          ? [
              alongBottom(
                to,
                diameter,
                to - from - width,
                plungeInside(from, to - width, diameter / 2, (tool.least ?? 0) / 2, -allowances.approach),
              ),
            ]
          : []),
      ],
    });
  },
  cautions: [
    {
      kind: 'mistake',
      text: 'Back to the middle of the bore before the tool is drawn out: it hangs in the groove otherwise.',
    },
  ],
};
