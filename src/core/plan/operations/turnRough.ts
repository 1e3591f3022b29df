import { loadOf } from '../cutting/load';
import { term } from '../../model/figure';
import { andThen, good } from '../../model/result';
import { largestRadius } from '../../model/workpiece/profile';
import { sayDiameter } from '../../model/words';
import { CLOSE } from '../../model/tolerances';
import type { OperationKind } from '../../model/plan/operation';
import { stopSetting, toolFor } from './tools';
import { equalPasses } from './equalPasses';
import { turnedAway, turnedStepsOf } from './turned';
import { along, clearOf } from './edgePaths';
import { approachTo } from './underCentre';

/** Rough one diameter from the free end to just before its shoulder, leaving the finish allowance. */
export const turnRough: OperationKind = {
  kind: 'turn-rough',
  handFed: false,
  turnsAtOverhang: true,
  underCentre: true,
  load: loadOf,
  towardsChuck: true,
  takesDepth: true,
  demand(setup) {
    const { run } = setup;
    const all = turnedStepsOf(setup);
    const roughed = all.flatMap((step) =>
      step.roughRadius === undefined ? [] : [{ ...step, roughRadius: step.roughRadius }],
    );
    if (roughed.length === 0) return good([]);
    // Drawn out, what lies before these steps is finished.
    const begins = Math.min(...all.map(({ step }) => step.zFrom));
    const tool = toolFor(setup, 'turn-rough', 'part.outside');
    if (!tool.ok) return tool;
    return good(
      roughed.map((turned) => {
        const { step, to, shoulder, roughRadius } = turned;
        // Where a smaller one lies behind, so far into it that the nose leaves no ridge at the edge.
        const behind = all.find((other) => other.to > to + CLOSE && other.step.zFrom < to + CLOSE);
        const goesOn = !shoulder && behind !== undefined && behind.step.diameter.aim / 2 < roughRadius - CLOSE;
        const past = goesOn ? (tool.value.nose ?? 0) : 0;
        const end = shoulder ? to - run.shop.allowances.shoulder : to + past;
        return {
          key: `turn-rough:${step.path}`,
          kind: 'turn-rough',
          feature: step.path,
          name: `Rough ${sayDiameter(2 * roughRadius, run.units)}`,
          tool: tool.value,
          from: begins < CLOSE || !setup.drawnOut ? 0 - setup.centreEnd : begins,
          to: end,
          ...(shoulder ? { intoShoulder: true as const } : {}),
          diameter: 2 * roughRadius,
          removal: { outside: turnedAway(turned, -setup.centreEnd - 1, end, roughRadius, setup) },
          stop: {
            means: 'carriage' as const,
            settings: [{ edge: 'tip' as const, setting: stopSetting(end, tool.value) }],
          },
          checks: [],
        };
      }),
    );
  },
  cut(operation, work, setup) {
    const { allowances } = setup.run.shop;
    const { from, to, diameter = 0, tool } = operation;
    const radius = largestRadius(work.outside, from, to - 1e-6);
    const perSide = radius - diameter / 2;
    const thinnest = tool.thinnestCut ?? 0;
    // Roughing that finds nothing to take is no operation.
    if (perSide < Math.max(thinnest, 1e-9) - 1e-9) return good({ diameter: 2 * radius, passes: [] });
    const clear = clearOf(work, from, to, allowances.approach);
    const way = [
      term('l', 'length', to - from, 'mm', 'computed'),
      term('a', 'approach', allowances.approach, 'mm', 'start value'),
      term('u', 'overrun', allowances.overrun, 'mm', 'start value'),
    ];
    return andThen(
      equalPasses(operation, { depth: perSide, diameter: 2 * radius, way, pushesAcross: true }, work, setup),
      ({ passes, depth, limitedBy, ...held }) =>
        good({
          ...held,
          diameter: 2 * radius,
          passes: Array.from({ length: passes }, (_, index) => ({
            depth,
            on: 2 * (radius - depth * index),
            diameter: 2 * (radius - depth * (index + 1)),
            z: to,
            way,
            path: along(
              from - approachTo(radius - depth * (index + 1), tool.nose ?? 0, work, setup),
              to,
              radius - depth * (index + 1),
              clear,
            ),
            limitedBy,
          })),
        }),
    );
  },
  cautions: [{ kind: 'danger', text: 'Swarf by hook or brush, with the spindle stopped; never by hand.' }],
};
