import { loadOf } from '../cutting/load';
import { term } from '../../model/figure';
import type { Feature } from '../../model/part/feature';
import { andThen, good } from '../../model/result';
import { cylinder, largestRadius } from '../../model/workpiece/profile';
import { sayDiameter } from '../../model/words';
import type { Operation, OperationKind } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { behindOf, type Behind } from './behind';
import { along, clearOf } from './edgePaths';
import { equalPasses } from './equalPasses';
import { bottomOf, checksOf } from './squareGroove';
import { stopSetting } from './tools';

function operationOf(feature: Feature, { tool, blade, from, to }: Behind, setup: Setup): Operation {
  const { run } = setup;
  const bottom = bottomOf(feature);
  const end = to + (blade.width ?? 0) / 2;
  return {
    key: `turn-behind:${feature.path}`,
    kind: 'turn-behind',
    feature: feature.path,
    makes: [feature.path],
    name: `Turn recess ${sayDiameter(bottom.nominal, run.units)}${bottom.fit ? ` ${bottom.fit}` : ''}`,
    tool,
    from,
    to: end,
    diameter: bottom.aim,
    removal: { outside: [cylinder(feature.z0, feature.z1, bottom.aim / 2)] },
    stop: { means: 'carriage', settings: [{ edge: 'tip', setting: stopSetting(end, tool) }] },
    checks: checksOf(feature, setup),
  };
}

/**
 * Turn a wide recess between the rooms that a blade has made at its ends: in at the one, along, and out in the other. The last
 * pass is the finish.
 */
export const turnBehind: OperationKind = {
  kind: 'turn-behind',
  handFed: false,
  turnsAtOverhang: true,
  underCentre: true,
  load: loadOf,
  towardsChuck: true,
  demand: (setup) =>
    good(
      setup.part.features
        .filter(({ path }) => setup.features.includes(path))
        .flatMap((feature) => {
          const behind = behindOf(feature, setup);
          return behind ? [operationOf(feature, behind, setup)] : [];
        }),
    ),
  cut(operation, work, setup) {
    const { allowances } = setup.run.shop;
    const { from, to, diameter = 0 } = operation;
    const radius = largestRadius(work.outside, from, to);
    const perSide = radius - diameter / 2;
    const rough = Math.max(0, perSide - allowances.finishPerSide);
    const clear = clearOf(work, from, to, allowances.approach);
    const way = [
      term('l', 'length', to - from, 'mm', 'computed'),
      term('a', 'approach', allowances.approach, 'mm', 'start value'),
    ];
    const toTake = { depth: rough, diameter: 2 * radius, way, pushesAcross: true };
    return andThen(equalPasses(operation, toTake, work, setup), ({ passes, depth, limitedBy, ...held }) => {
      const depths = [...Array.from({ length: passes }, () => depth), perSide - rough];
      let on = radius;
      return good({
        ...held,
        diameter: 2 * radius,
        passes: depths.map((each, index) => {
          const before = on;
          on -= each;
          return {
            depth: each,
            on: 2 * before,
            diameter: 2 * on,
            z: to,
            way,
            path: along(from, to, on, clear),
            limitedBy: index === passes ? ('finish' as const) : limitedBy,
          };
        }),
      });
    });
  },
  cautions: [
    {
      kind: 'mistake',
      text: 'The tool is let in beside the wall that stands before it: see that its back is clear of that, the spindle stopped.',
    },
  ],
};
