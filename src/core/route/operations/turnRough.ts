import { LIMITS, type CutLimits } from '../../cutting/limits';
import { bendsPerNewton, loadOf } from '../../cutting/load';
import { deepestAt, fewestMinutes, type QuickestCuts, type Roughing } from '../../cutting/roughing';
import { notAbove } from '../../cutting/speed';
import { term } from '../../figure';
import type { Run } from '../../run';
import type { Workpiece } from '../../removal/workpiece';
import { good, refuse } from '../../result';
import { largestRadius } from '../../removal/profile';
import { speedFor } from '../../cutting/speedFor';
import { say, sayDiameter } from '../../words';
import type { Operation, OperationKind } from '../operation';
import { isBetweenCentres, type Setup } from '../setup';
import { stopSetting, toolFor } from '../tools';
import { turnedAway, turnedStepsOf } from './turned';

/** As many passes as a depth that was decided takes. */
function asDecided(own: Roughing, depth: number): QuickestCuts {
  const passes = Math.ceil(own.perSide / depth - 1e-9);
  const [feed, speed] = [own.feeds.at(-1) ?? 0, own.speeds.at(-1) ?? 0];
  const minutes = passes * (own.way / (feed * speed) + own.handling);
  return { passes, feed, speed, minutes, limitedBy: passes === 1 ? 'stock' : 'decided' };
}

/** A depth that was decided and is beyond a limit. */
function beyondOf(own: Roughing, { feed, speed }: QuickestCuts, depth: number, { units }: Run): string[] {
  const { depth: most, limit } = deepestAt(own, feed, speed);
  return depth > most + 1e-6
    ? [`So decided, and beyond a limit: ${LIMITS[limit]}; ${say(Number(most.toFixed(2)), units)} a side is within it.`]
    : [];
}

/** What a roughing cut on a diameter may reach here (handbook 4, 6): of the material, the motor, the grip and the work. */
function limitsOn(operation: Operation, diameter: number, work: Workpiece, setup: Setup): CutLimits {
  const { material, machine, cutting, allowances } = setup.run.shop;
  const perNewton = bendsPerNewton(operation, work, setup);
  const grips = (cutting.gripFriction * cutting.gripForce * setup.holding.diameter) / diameter / cutting.gripSafety;
  return {
    material: material.deepestCut,
    power: machine.motorKilowatts * machine.efficiency,
    // A dog does not slip.
    holding: isBetweenCentres(setup) ? Infinity : grips,
    ...(perNewton === undefined ? {} : { bending: { most: cutting.roughBend * allowances.finishPerSide, perNewton } }),
  };
}

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
    const thinnest = tool.thinnestCut ?? 0;
    // Roughing that finds nothing to take is no operation.
    if (perSide < Math.max(thinnest, 1e-9) - 1e-9) return good({ diameter: 2 * radius, passes: [] });
    const way = [
      term('l', 'length', to - from, 'mm', 'computed'),
      term('a', 'approach', allowances.approach, 'mm', 'start value'),
      term('u', 'overrun', allowances.overrun, 'mm', 'start value'),
    ];
    const speed = speedFor(operation, 2 * radius, setup, true).value;
    const feed = notAbove(machine.feeds, cutting.feed['turn-rough'] ?? 0);
    const { asked = {} } = operation;
    const roughing: Roughing = {
      perSide,
      thinnest,
      diameter: 2 * radius,
      way: way.reduce((total, { value }) => total + value, 0),
      handling: run.shop.handMinutes.approach,
      speeds: asked.speed ? [asked.speed] : machine.speeds.filter((own) => own <= speed),
      feeds: asked.feed ? [asked.feed] : machine.feeds.filter((own) => own <= feed),
      material: material.force,
      approachAngle: cutting.approachAngle,
      limits: limitsOn(operation, 2 * radius, work, setup),
    };
    // What was decided is done, and told where it is beyond a limit.
    const found: QuickestCuts | undefined = asked.depth ? asDecided(roughing, asked.depth) : fewestMinutes(roughing);
    if (!found)
      return refuse(
        'part.outside',
        `${operation.name}: no cut that ${tool.name} takes (${say(thinnest, run.units)} at least) is within what motor, holding and the work allow: hold it shorter or on a larger diameter, or support its end`,
      );
    const depth = perSide / found.passes;
    const slower = found.feed < feed || found.speed < speed;
    return good({
      diameter: 2 * radius,
      passes: Array.from({ length: found.passes }, (_, index) => ({
        depth,
        diameter: 2 * (radius - depth * (index + 1)),
        z: to,
        way,
        limitedBy: found.limitedBy,
      })),
      ...(slower ? { slower: { feed: found.feed, speed: found.speed } } : {}),
      warnings: asked.depth
        ? beyondOf(roughing, found, depth, run)
        : found.heldBackBy && (slower || found.passes > Math.ceil(perSide / material.deepestCut - 1e-9))
          ? [
              `Held back: ${LIMITS[found.heldBackBy]}. ${found.passes} ${found.passes === 1 ? 'pass' : 'passes'} of ${say(Number(depth.toFixed(2)), run.units)}${slower ? `, at ${found.speed} rev/min and ${found.feed} mm/rev,` : ''} ${found.passes === 1 ? 'is' : 'are'} the quickest within that.`,
            ]
          : [],
    });
  },
  cautions: [{ kind: 'danger', text: 'Swarf by hook or brush, with the spindle stopped; never by hand.' }],
};
