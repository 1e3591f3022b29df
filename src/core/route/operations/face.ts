import { term } from '../../figure';
import { good } from '../../result';
import { largestRadius, radiusAt } from '../../removal/profile';
import type { OperationKind } from '../operation';
import { stopSetting, toolFor } from '../tools';

/** Face the end that looks out of the chuck; its carriage zero is the zero of the set-up. */
export const face: OperationKind = {
  kind: 'face',
  handFed: false,
  turnsAtOverhang: true,
  underCentre: false,
  demand(setup) {
    const { facing, end, run, part } = setup;
    if (facing <= 0) return good([]);
    const tool = toolFor(setup, 'face', 'part.outside');
    if (!tool.ok) return tool;
    // The length of the part becomes fixed when its second end is faced.
    const total = part.steps.reduce(
      (width, { length }) => ({ lower: width.lower + length.lower, upper: width.upper + length.upper }),
      { lower: 0, upper: 0 },
    );
    const size = { nominal: part.length, ...total, aim: part.length, from: 'general' as const };
    return good([
      {
        key: `face:${end}`,
        kind: 'face',
        feature: 'face',
        name: `Face the ${end}`,
        tool: tool.value,
        from: -facing,
        to: 0,
        removal: { faceAt: 0 },
        stop: { means: 'carriage', settings: [{ edge: 'tip', setting: stopSetting(0, tool.value) }] },
        checks:
          setup.number > 1 && run.part.steps.length > 0 ? [{ what: 'length over all', measures: 'length', size }] : [],
      },
    ]);
  },
  cut(operation, work, { run, facing }) {
    const { shop } = run;
    const deepest = shop.material.deepestCut;
    const outer = largestRadius(work.outside, -facing, 0.001);
    const core = radiusAt(work.bore, -facing / 2);
    const count = Math.max(1, Math.ceil(facing / deepest - 1e-9));
    const depth = facing / count;
    return good({
      diameter: 2 * outer,
      passes: Array.from({ length: count }, (_, index) => ({
        depth,
        z: -facing + depth * (index + 1),
        way: [
          term('R', 'outer radius', outer, 'mm', 'computed'),
          term('a', 'approach', shop.allowances.approach, 'mm', 'start value'),
          term('r', 'core radius, inwards', -core, 'mm', 'computed'),
        ],
      })),
    });
  },
  cautions: [{ kind: 'mistake', text: 'A tool below or above centre leaves a nib; it leads a small drill astray.' }],
};
