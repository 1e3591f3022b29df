import { sum, term } from '../../model/figure';
import type { EdgePlace } from '../../model/plan/edgeWay';
import type { Feature } from '../../model/part/feature';
import { exactly, type Size } from '../../model/part/size';
import { good } from '../../model/result';
import type { Tool } from '../../model/shop/shop';
import { goesIntoFace } from '../../model/shop/tool';
import { sayDiameter } from '../../model/words';
import type { Operation, OperationKind } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { alongBottom } from './groove';
import { plunges } from './squareGroove';
import { reachedOf } from './holeNeed';
import { rapid } from './edgePaths';

const widthOf = ({ inner, outer }: { inner: Size; outer: Size }): number => (outer.aim - inner.aim) / 2;

/** The widest blade that goes in, reaches the bottom, and clears the wall that it first goes down at: fewest plunges. */
function bladeFor({ inFace, z1 }: Feature, { run }: Setup): Tool | undefined {
  if (!inFace) return undefined;
  const groove = { width: widthOf(inFace), deep: z1, outer: inFace.outer.nominal };
  return run.shop.tools.filter(goesIntoFace(groove)).sort((a, b) => (b.width ?? 0) - (a.width ?? 0))[0];
}

function operationOf({ path, inFace, deep, z1, name }: Feature, tool: Tool, { run: { units } }: Setup): Operation[] {
  if (!inFace) return [];
  const { inner, outer } = inFace;
  const setting = sum('stop setting', 'mm', [
    term('t', 'depth of the groove', z1, 'mm', 'drawing'),
    term('o', 'offset of the tool to the one that set the zero', tool.offset, 'mm', 'tool'),
  ]);
  return [
    {
      key: `face-groove:${path}`,
      kind: 'face-groove',
      feature: path,
      makes: [path],
      name: name.replace(/^groove/, 'Groove'),
      tool,
      from: 0,
      to: z1,
      diameter: outer.aim,
      removal: {},
      stop: { means: 'carriage', settings: [{ edge: 'tip', setting }] },
      checks: [
        { what: `outer wall ${sayDiameter(outer.nominal, units)}`, measures: 'inside', size: outer },
        { what: `inner wall ${sayDiameter(inner.nominal, units)}`, measures: 'outside', size: inner },
        { what: 'depth of the groove', measures: 'length', size: deep ?? exactly(z1) },
      ],
    },
  ];
}

/** Along the axis into the face and out again, its inner corner at a radius. */
const intoFace = (deep: number, r: number, approach: number): EdgePlace[] => [
  { z: -approach, r },
  { z: deep, r },
  rapid(-approach, r),
];

/** Cut a groove into a flat face: down at its outer wall first, whose curve the blade must clear, then inwards (trade: Cutting). */
export const faceGroove: OperationKind = {
  kind: 'face-groove',
  handFed: true,
  shutIn: true,
  turnsAtOverhang: false,
  underCentre: false,
  demand: (setup) =>
    good(
      reachedOf(setup, 'face-groove').flatMap((feature) => {
        const tool = bladeFor(feature, setup);
        return tool ? operationOf(feature, tool, setup) : [];
      }),
    ),
  cut({ to, feature, tool }, _work, { run, part }) {
    const { allowances, cutting } = run.shop;
    const inFace = part.features.find(({ path }) => path === feature)?.inFace;
    if (!inFace) return good({ diameter: 0, passes: [] });
    const { inner, outer } = inFace;
    const width = tool.width ?? 0;
    const { approach } = allowances;
    const places = plunges(inner.aim / 2, outer.aim / 2, width, cutting.plungeStep).toReversed();
    const [first = 0] = places;
    return good({
      diameter: outer.aim,
      passes: [
        ...places.map((r, index) => ({
          depth: to,
          diameter: 2 * (r + width),
          z: to,
          way: [
            term('t', 'depth of the groove', to, 'mm', 'computed'),
            term('a', 'approach', approach, 'mm', 'start value'),
          ],
          leaves: {},
          wide: width,
          path: intoFace(to, r, approach),
          ...(index === 0 ? { note: 'outer edge of the blade on that diameter' } : {}),
        })),
        ...(places.length > 1
          ? [
              alongBottom(to, 2 * (first + width), (outer.aim - inner.aim) / 2 - width, [
                { z: -approach, r: inner.aim / 2 },
                { z: to, r: inner.aim / 2 },
                { z: to, r: first },
                rapid(-approach, first),
              ]),
            ]
          : []),
      ],
    });
  },
  cautions: [
    {
      kind: 'mistake',
      text: 'The blade goes down at the outer wall first: its outer flank must clear that curve, so look from above before the feed goes on.',
    },
    { kind: 'mistake', text: 'The blade’s width is measured, not believed: position by its outer edge.' },
  ],
};
