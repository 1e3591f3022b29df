import { dividePasses } from '../cutting/divide';
import { cuttingForce } from '../cutting/force';
import { bendsPerNewton } from '../cutting/beam';
import { loadOf, springsFor } from '../cutting/load';
import { feedForRoughness, notAbove } from '../cutting/speed';
import { figure, sum, term, type Term } from '../../model/figure';
import { standardTolerance } from '../../model/part/tolerance';
import { good, refuse } from '../../model/result';
import { largestRadius, radiusAt } from '../../model/workpiece/profile';
import type { Run } from '../../model/run';
import { say, sayDiameter } from '../../model/words';
import type { Workpiece } from '../../model/workpiece/workpiece';
import type { Operation, OperationKind } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { toolFor } from './tools';
import { finishingCuts } from './finishingCuts';
import { filletOf, turnedAway, turnedStepsOf } from './turned';
import { EDGE_THROUGH } from '../../model/tolerances';
import { approachTo } from './underCentre';
import { along, clearOf } from './edgePaths';

const sumOf = (depths: readonly number[]): number => depths.reduce((total, count) => total + count, 0);

/** What turning leaves on a diameter for work elsewhere, in its name. */
const sayLeft = (leaves: number | undefined, { units }: Run): string => {
  if (!leaves) return '';
  const much = say(Number(Math.abs(leaves).toFixed(4)), units);
  return leaves > 0 ? `, ${much} left on` : `, ${much} under`;
};

/** What to know of one of the last cuts. */
function noteOf(index: number, cuts: number, depth: number): { note?: string } {
  if (depth === 0) return { note: 'again, without infeed' };
  if (cuts < 2) return {};
  return { note: index === cuts - 1 ? 'the same again' : 'half, then measure' };
}

/** The feed of the gearbox for a finish so deep. */
const feedOf = (operation: Operation, setup: Setup, depth: number): number =>
  operation.asked?.feed ??
  notAbove(setup.run.shop.machine.feeds, turnFinish.feed?.(operation, setup, depth).value ?? 0);

/** What breaks a chip that would come long, where the cut is deep enough for that (trade: Cutting). */
function chipTerm({ tool }: Operation, { run }: Setup, depth: number): Term[] {
  const { material, cutting } = run.shop;
  const { chipFeed, chipDepthTimes } = cutting;
  return material.stringy && depth >= chipDepthTimes * (tool.nose ?? Infinity) - 1e-9
    ? [term('c', `breaks the chip of ${material.name}`, chipFeed, 'mm/rev', 'start value')]
    : [];
}

/** Passes again without infeed: always on fits, or as many as the bending of the last cut asks for (trade: Schools). */
function springsOf(operation: Operation, depth: number, tight: boolean, work: Workpiece, setup: Setup): number {
  const { material, cutting, houseRules } = setup.run.shop;
  if (houseRules.springPass === 'on-fits') return tight ? 1 : 0;
  const size = operation.checks.find(({ measures }) => measures === 'outside')?.size;
  const perNewton = bendsPerNewton(operation, work, setup);
  if (!size || perNewton === undefined) return 0;
  const { approachAngle, mostSprings } = cutting;
  const force = cuttingForce({ ...material.force, feed: feedOf(operation, setup, depth), depth, approachAngle });
  return springsFor(perNewton * force, depth, size.upper - size.lower, mostSprings);
}

/** Finish one diameter to the middle of its limits, and its shoulder with it, facing outwards. */
export const turnFinish: OperationKind = {
  kind: 'turn-finish',
  handFed: false,
  turnsAtOverhang: true,
  underCentre: true,
  load: loadOf,
  towardsChuck: true,
  mayBeLeft: () => false,
  demand(setup, others) {
    const { run } = setup;
    const cuts = finishingCuts(turnedStepsOf(setup), others);
    if (cuts.length === 0) return good([]);
    const usual = toolFor(setup, 'turn-finish', 'part.outside');
    if (!usual.ok) return usual;
    return good(
      cuts.map(({ turned, along, sized, goesOn }) => {
        const { step, shoulder } = turned;
        const fillet = filletOf(turned, setup);
        const tool = fillet?.tool ?? usual.value;
        // Its nose would leave a ridge before what stays rough until it is cut away.
        const to = turned.to + (goesOn ? (tool.nose ?? 0) + EDGE_THROUGH : 0);
        const { length } = step;
        const { diameter, name, leaves, roughness } = sized.step;
        const begins = along.at(-1)?.step.zFrom ?? step.zFrom;
        const first = begins < 1e-6;
        const from = first ? 0 - setup.centreEnd : begins;
        const middle = shoulder ? step.middle.to : 0;
        const setting = sum('stop setting', 'mm', [
          term('z', 'where the cut ends, from the face', to, 'mm', 'drawing'),
          term('m', 'middle of the limits of the lengths to there', middle, 'mm', 'drawing'),
          term('o', 'offset of the tool to the one that set the zero', tool.offset, 'mm', 'tool'),
        ]);
        return {
          key: `turn-finish:${step.path}`,
          kind: 'turn-finish',
          feature: step.path,
          ...(along.length > 0 ? { along: along.map((beside) => beside.step.path) } : {}),
          name: `Finish ${sayDiameter(diameter.nominal, run.units)}${diameter.fit ? ` ${diameter.fit}` : ''}${name ? `, ${name}` : ''}${sayLeft(leaves, run)}`,
          ...(fillet ? { makes: [fillet.feature.path] } : {}),
          tool,
          from,
          to,
          ...(shoulder ? { intoShoulder: true as const } : {}),
          diameter: diameter.aim,
          removal: { outside: turnedAway(turned, from - (first ? 1 : 0), to, diameter.aim / 2, setup) },
          stop: { means: 'carriage' as const, settings: [{ edge: 'tip' as const, setting }] },
          checks: [
            { what: sayDiameter(diameter.nominal, run.units), measures: 'outside' as const, size: diameter },
            ...(shoulder
              ? [{ what: `length ${say(length.nominal, run.units)}`, measures: 'length' as const, size: length }]
              : []),
          ],
          ...(roughness === undefined ? {} : { roughness }),
        };
      }),
    );
  },
  feed(operation, setup, depth) {
    const { roughness, tool } = operation;
    const start = setup.run.shop.cutting.feed['turn-finish'] ?? 0;
    const wanted = [
      term('s', 'usual finishing feed', start, 'mm/rev', 'start value'),
      ...chipTerm(operation, setup, depth),
    ];
    const usual = Math.max(...wanted.map(({ value }) => value));
    const formula = wanted.length > 1 ? 'max(s, c)' : 's';
    const nose = tool.nose ?? 0;
    const fine = [
      term('r', 'nose radius', nose, 'mm', 'tool'),
      term('Ra', 'roughness wanted, µm', roughness ?? 0, '', 'drawing'),
    ];
    return figure({
      name: 'feed',
      unit: 'mm/rev',
      ...(roughness === undefined
        ? { value: usual, formula, terms: wanted }
        : {
            value: Math.min(feedForRoughness(roughness, nose), usual),
            formula: `min(√(32 · r · Ra / 1000), ${formula})`,
            terms: [...fine, ...wanted],
          }),
    });
  },
  cut(operation, work, setup) {
    const { run, part } = setup;
    const { allowances, material, cutting } = run.shop;
    const { from, to, diameter = 0, tool, feature } = operation;
    const step = part.steps.find(({ path }) => path === feature);
    const radius = largestRadius(work.outside, from, to - allowances.shoulder - 1e-6);
    const perSide = radius - diameter / 2;
    const grade = standardTolerance(cutting.equalCutsFinerThan, step?.diameter.nominal ?? 0) ?? 0;
    const tight = step !== undefined && step.diameter.upper - step.diameter.lower < grade - 1e-9;
    const division = dividePasses(perSide, {
      deepest: material.deepestCut,
      thinnestRough: Infinity,
      thinnestFinish: tool.thinnestCut ?? 0,
      finish: perSide,
      equalLastTwo: tight,
    });
    if (!division)
      return refuse(
        `${feature}.diameter`,
        `${say(Number(perSide.toFixed(3)), run.units)} a side is left to finish, thinner than ${tool.name} cuts (${say(tool.thinnestCut ?? 0, run.units)}): take larger stock`,
        'stock',
      );
    const springs = springsOf(operation, division.finish.at(-1) ?? 0, tight, work, setup);
    const clear = clearOf(work, from, to, allowances.approach);
    const depths = [...division.finish, ...Array.from({ length: springs }, () => 0)];
    const atShoulder = setup.turned.some(({ path, shoulder }) => path === feature && shoulder);
    const shoulder = atShoulder ? Math.max(0, radiusAt(work.outside, to) - diameter / 2) : 0;
    return good({
      diameter: 2 * radius,
      ...(division.finish.length > 1 ? { measuredBetween: true as const } : {}),
      passes: depths.map((depth, index, all) => {
        const last = index === all.length - 1;
        const left = radius - sumOf(depths.slice(0, index + 1));
        return {
          depth,
          on: 2 * (radius - sumOf(depths.slice(0, index))),
          diameter: 2 * left,
          z: to,
          path: along(from - approachTo(left, tool.nose ?? 0, work, setup), to, left, clear),
          way: [
            term('l', 'length', to - from, 'mm', 'computed'),
            term('a', 'approach', allowances.approach, 'mm', 'start value'),
            term('u', 'overrun', allowances.overrun, 'mm', 'start value'),
            ...(last && shoulder > 0 ? [term('h', 'shoulder, faced outwards', shoulder, 'mm', 'computed')] : []),
          ],
          limitedBy: depth === 0 ? 'again' : division.finish.length > 1 ? 'tolerance' : 'finish',
          ...noteOf(index, division.finish.length, depth),
        };
      }),
      ...(setup.centreEnd > 0 && operation.checks.some(({ measures }) => measures === 'length')
        ? {
            cautions: [
              {
                kind: 'mistake' as const,
                text: `Lengths are to the finished face, which is ${say(setup.centreEnd, run.units)} behind the end for the centre: measure to that end, and take that much off.`,
              },
            ],
          }
        : {}),
    });
  },
  cautions: [
    {
      kind: 'mistake',
      text: 'Feed dropped 1 mm before the stop and the rest by hand; always come from the same side.',
    },
  ],
};
