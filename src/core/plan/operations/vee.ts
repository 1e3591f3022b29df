import { term } from '../../model/figure';
import { halfAngle, slideFor } from '../cutting/compound';
import type { Feature } from '../../model/part/feature';
import { largestRadius } from '../../model/workpiece/profile';
import { good } from '../../model/result';
import type { Tool } from '../../model/shop/shop';
import { say } from '../../model/words';
import type { OperationKind } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { stopSetting } from './tools';
import { reachedOf } from './holeNeed';
import { clearOf, plunge } from './edgePaths';

/** Half of a vee's included angle, from square to the axis, degrees, and where its bottom is. */
function shapeOf({ outside = [] }: Feature): { half: number; bottom: number; depth: number } | undefined {
  const [first, second] = outside;
  // One with a flat bottom wants a blade for that first.
  if (!first || second?.r0 === second?.r1) return undefined;
  const depth = first.r0 - first.r1;
  return { half: 90 - halfAngle(first.r0, first.r1, first.z1 - first.z0), bottom: first.z1, depth };
}

/** A tool of the vee's own angle; else one that is sharper, so that its flanks can be cut one after the other. */
function toolOf(feature: Feature, { run }: Setup): Tool | undefined {
  const included = 2 * (shapeOf(feature)?.half ?? 0);
  return run.shop.tools
    .filter(({ does, point = 180 }) => does.includes('vee') && point <= included + 0.01)
    .sort((a, b) => (b.point ?? 0) - (a.point ?? 0))[0];
}

const sameAngle = (tool: Tool, half: number) => Math.abs((tool.point ?? 0) - 2 * half) < 0.01;

/** Cut a vee groove: straight in with a tool of its angle, or the middle first and then both flanks (trade: Shop arithmetic). */
export const vee: OperationKind = {
  kind: 'vee',
  handFed: true,
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
            feature: feature.path,
            makes: [feature.path],
            name: `Vee ${Number((2 * shape.half).toFixed(1))}°, ${say(shape.depth, setup.run.units)} deep`,
            tool,
            from: feature.z0,
            to: feature.z1,
            ...(sameAngle(tool, shape.half) ? {} : { compound: 90 - shape.half }),
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
    const { half, bottom, depth } = shape;
    const approach = term('a', 'approach', run.shop.allowances.approach, 'mm', 'start value');
    const [top, ...rest] = groove.outside ?? [];
    const low = top?.r1 ?? 0;
    const clear = clearOf(work, from, to, run.shop.allowances.approach);
    const straight = {
      depth,
      z: bottom,
      path: plunge(bottom, low, clear),
      wide: 2 * depth * Math.tan(((tool.point ?? 0) * Math.PI) / 360),
      way: [term('t', 'depth of the vee', depth, 'mm', 'drawing'), approach],
    };
    /** From the edge of the vee down its flank. */
    const flank = (side: string, edge: number, high: number) => ({
      depth,
      z: bottom,
      path: [
        { z: edge, r: clear },
        { z: edge, r: high },
        { z: bottom, r: low },
        { z: bottom, r: clear, by: 'rapid' as const },
      ],
      way: [term('s', 'slide, along the flank', slideFor(depth, 90 - half), 'mm', 'computed'), approach],
      note: `${side} flank, compound at ${half.toFixed(1)}° from square to the axis`,
    });
    return good({
      diameter: 2 * largestRadius(work.outside, from, to),
      passes: sameAngle(tool, half)
        ? [straight]
        : [
            { ...straight, note: 'the middle first, to the depth' },
            flank('right', top?.z0 ?? from, top?.r0 ?? 0),
            flank('left', rest.at(-1)?.z1 ?? to, rest.at(-1)?.r1 ?? 0),
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
