import { cuttingSpeed } from '../../cutting/speed';
import { depthForPower } from '../../cutting/force';
import { dividePasses } from '../../cutting/divide';
import { term } from '../../figure';
import { good } from '../../result';
import { largestRadius } from '../../removal/profile';
import { speedFor } from '../../cutting/speedFor';
import { say, sayDiameter } from '../../words';
import type { OperationKind } from '../operation';
import { stopSetting, toolFor } from '../tools';
import { turnedAway, turnedStepsOf } from './turned';

/** Rough one diameter from the free end to just before its shoulder, leaving the finish allowance. */
export const turnRough: OperationKind = {
  kind: 'turn-rough',
  handFed: false,
  turnsAtOverhang: true,
  underCentre: true,
  alongOutside: true,
  towardsChuck: true,
  demand(setup) {
    const { run } = setup;
    const roughed = turnedStepsOf(setup).flatMap((turned) =>
      turned.roughRadius === undefined ? [] : [{ ...turned, roughRadius: turned.roughRadius }],
    );
    if (roughed.length === 0) return good([]);
    const tool = toolFor(setup, 'turn-rough', 'part.outside');
    if (!tool.ok) return tool;
    return good(
      roughed.map((turned) => {
        const { step, to, shoulder, roughRadius } = turned;
        const end = shoulder ? to - run.shop.allowances.shoulder : to;
        return {
          key: `turn-rough:${step.path}`,
          kind: 'turn-rough',
          feature: step.path,
          name: `Rough ${sayDiameter(2 * roughRadius, run.units)}`,
          tool: tool.value,
          from: 0 - setup.centreEnd,
          to: end,
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
    const { run } = setup;
    const { material, machine, allowances, cutting } = run.shop;
    const { from, to, diameter = 0, tool } = operation;
    const radius = largestRadius(work.outside, from, to - 1e-6);
    const perSide = radius - diameter / 2;
    const speed = speedFor(operation, 2 * radius, setup, true);
    const feed = cutting.feed['turn-rough'] ?? 0;
    const byPower = depthForPower(
      { ...material.force, feed, approachAngle: cutting.approachAngle },
      cuttingSpeed(speed.value, 2 * radius),
      machine.motorKilowatts * machine.efficiency,
    );
    const deepest = Math.min(material.deepestCut, byPower);
    const shallower = Math.ceil(perSide / deepest - 1e-9) > Math.ceil(perSide / material.deepestCut - 1e-9);
    const thinnest = tool.thinnestCut ?? 0;
    const division = dividePasses(perSide, {
      deepest,
      thinnestRough: thinnest,
      thinnestFinish: 0,
      finish: 0,
      equalLastTwo: false,
    });
    const depths = perSide <= 1e-9 ? [] : (division?.rough ?? []);
    return good({
      diameter: 2 * radius,
      passes: depths.map((depth, index) => ({
        depth,
        diameter: 2 * (radius - depth * (index + 1)),
        z: to,
        way: [
          term('l', 'length', to - from, 'mm', 'computed'),
          term('a', 'approach', allowances.approach, 'mm', 'start value'),
          term('u', 'overrun', allowances.overrun, 'mm', 'start value'),
        ],
      })),
      warnings: shallower
        ? [
            `The motor allows ${say(Number(byPower.toFixed(2)), run.units)} a side here: less depth, so that feed and speed can stay.`,
          ]
        : [],
    });
  },
  cautions: [{ kind: 'danger', text: 'Swarf by hook or brush, with the spindle stopped; never by hand.' }],
};
