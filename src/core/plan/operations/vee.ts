import { sayFigure, sayFixed } from '../../model/units/mark';
import { term } from '../../model/figure';
import { halfAngle, slideFor } from '../cutting/compound';
import type { Feature } from '../../model/part/feature';
import { largestRadius, type Segment } from '../../model/workpiece/profile';
import { good } from '../../model/result';
import type { Tool } from '../../model/shop/shop';
import { say } from '../../model/words';
import type { OperationKind, Pass } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { stopSetting } from './tools';
import { reachedOf } from './holeNeed';
import { clearOf, plunge } from './edgePaths';

/** Half of a vee's included angle, from square to the axis, degrees, where its bottom is, and whether that is flat. */
interface VeeShape {
  half: number;
  bottom: number;
  depth: number;
  isFlat: boolean;
}

function shapeOf({ outside = [] }: Feature): VeeShape | undefined {
  const [first, second] = outside;
  if (!first || !second) return undefined;
  const depth = first.r0 - first.r1;
  const half = 90 - halfAngle(first.r0, first.r1, first.z1 - first.z0);
  return { half, bottom: first.z1, depth, isFlat: second.r0 === second.r1 };
}

/** A tool of the vee's own angle; else one that is sharper, so that its flanks can be cut one after the other. */
function toolOf(feature: Feature, { run }: Setup): Tool | undefined {
  const included = 2 * (shapeOf(feature)?.half ?? 0);
  return run.shop.tools
    .filter(({ does, point = 180 }) => does.includes('vee') && point <= included + 0.01)
    .sort((a, b) => (b.point ?? 0) - (a.point ?? 0))[0];
}

/** Straight in with the vee's own angle: not where a blade has made room down to a flat bottom. */
const goesStraight = (tool: Tool, { half, isFlat }: VeeShape) =>
  !isFlat && Math.abs((tool.point ?? 0) - 2 * half) < 0.01;

/** A flank in so many cuts side by side, each as wide along the axis as a pass of it may be, mm. */
const cutsOf = (wide: number, most: number): number[] => {
  const count = Math.max(1, Math.ceil(wide / most - 1e-9));
  return Array.from({ length: count }, (_, index) => wide - (wide * (index + 1)) / count);
};

/**
 * Cut a vee groove: straight in with a tool of its angle, or the middle first and then both flanks; of one with a flat bottom the
 * flanks, beside the room that a blade has made (trade: Shop arithmetic).
 */
export const vee: OperationKind = {
  kind: 'vee',
  handFed: true,
  across: true,
  turnsAtOverhang: false,
  underCentre: true,
  demand: (setup) =>
    good(
      reachedOf(setup, 'vee').flatMap((feature) => {
        const [tool, shape] = [toolOf(feature, setup), shapeOf(feature)];
        if (!tool || !shape || !feature.outside) return [];
        return [
          {
            key: `vee:${feature.path}`,
            kind: 'vee',
            // Beside the room of a blade its flanks are turned with the tip.
            ...(shape.isFlat ? { cutsAs: 'taper' } : {}),
            feature: feature.path,
            makes: [feature.path],
            name: `Vee ${sayFigure(2 * shape.half, 1)}°, ${say(shape.depth, setup.run.units)} deep`,
            tool,
            from: feature.z0,
            to: feature.z1,
            ...(goesStraight(tool, shape) ? {} : { compound: 90 - shape.half }),
            removal: { outside: feature.outside },
            // The tip stands at the bottom.
            stop: {
              means: 'carriage' as const,
              settings: [{ edge: 'tip' as const, setting: stopSetting(shape.bottom, tool) }],
            },
            checks: [],
          },
        ];
      }),
    ),
  cut({ from, to, feature, tool }, work, { run, part }) {
    const groove = part.features.find(({ path }) => path === feature);
    const shape = groove && shapeOf(groove);
    if (!shape) return good({ diameter: 0, passes: [] });
    const { half, bottom, depth, isFlat } = shape;
    const approach = term('a', 'approach', run.shop.allowances.approach, 'mm', 'start value');
    const [top, ...rest] = groove.outside ?? [];
    const low = top?.r1 ?? 0;
    const clear = clearOf(work, from, to, run.shop.allowances.approach);
    const straight: Pass = {
      depth,
      z: bottom,
      path: plunge(bottom, low, clear),
      wide: 2 * depth * Math.tan(((tool.point ?? 0) * Math.PI) / 360),
      way: [term('t', 'depth of the vee', depth, 'mm', 'drawing'), approach],
    };
    /** From the edge of the vee down its flank, so far beside it. */
    const flank = (side: string, { r0, r1, z0, z1 }: Segment, beside: number): Pass => {
      const [edge, foot] = r0 > r1 ? [z0 + beside, z1 + beside] : [z1 - beside, z0 - beside];
      const left = { r0, r1, z0: Math.min(edge, foot), z1: Math.max(edge, foot) };
      return {
        depth,
        z: foot,
        path: [
          { z: edge, r: clear },
          { z: edge, r: Math.max(r0, r1) },
          { z: foot, r: low },
          { z: foot, r: clear, by: 'rapid' as const },
        ],
        ...(beside > 0 || isFlat ? { leaves: { outside: [left] } } : {}),
        way: [term('s', 'slide, along the flank', slideFor(depth, 90 - half), 'mm', 'computed'), approach],
        note: `${side} flank, compound at ${sayFixed(half, 1)}° from square to the axis`,
      };
    };
    const last = rest.at(-1);
    const wide = isFlat ? (top?.z1 ?? 0) - (top?.z0 ?? 0) : 0;
    // Where the room is narrow, what the tool stands on beside its tip must go in too.
    const room = (rest[0]?.z1 ?? 0) - (rest[0]?.z0 ?? 0) - (tool.ahead ?? 0);
    const cuts = cutsOf(wide, run.shop.cutting.flankStep).filter(
      (beside) => !isFlat || beside <= Math.max(0, room) + 1e-9,
    );
    return good({
      diameter: 2 * largestRadius(work.outside, from, to),
      passes: goesStraight(tool, shape)
        ? [straight]
        : [
            ...(isFlat ? [] : [{ ...straight, note: 'the middle first, to the depth' }]),
            ...(top ? cuts.map((beside) => flank('right', top, beside)) : []),
            ...(last ? cuts.map((beside) => flank('left', last, beside)) : []),
          ],
    });
  },
  cautions: [
    {
      kind: 'mistake',
      text: 'The tip stands for the bottom: its flanks cut wide at once, so slow and in small feeds.',
    },
  ],
};
