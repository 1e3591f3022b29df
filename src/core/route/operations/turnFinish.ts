import { dividePasses } from '../../cutting/divide';
import { feedForRoughness } from '../../cutting/speed';
import { figure, sum, term } from '../../figure';
import { standardTolerance } from '../../part/tolerance';
import { good, refuse } from '../../result';
import { largestRadius, radiusAt } from '../../removal/profile';
import type { Run } from '../../run';
import { say, sayDiameter } from '../../words';
import type { OperationKind } from '../operation';
import { toolFor } from '../tools';
import { filletOf, turnedAway, turnedStepsOf } from './turned';

const sumOf = (depths: readonly number[]): number => depths.reduce((total, own) => total + own, 0);

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

/** Finish one diameter to the middle of its limits, and its shoulder with it, facing outwards. */
export const turnFinish: OperationKind = {
  kind: 'turn-finish',
  handFed: false,
  turnsAtOverhang: true,
  underCentre: true,
  alongOutside: true,
  towardsChuck: true,
  mayBeLeft: () => false,
  demand(setup) {
    const { run } = setup;
    const steps = turnedStepsOf(setup);
    if (steps.length === 0) return good([]);
    const usual = toolFor(setup, 'turn-finish', 'part.outside');
    if (!usual.ok) return usual;
    return good(
      steps.map((turned) => {
        const { step, to, shoulder } = turned;
        const fillet = filletOf(turned, setup);
        const tool = fillet?.tool ?? usual.value;
        const { diameter, length } = step;
        const first = step.zFrom < 1e-6;
        const from = first ? 0 - setup.centreEnd : step.zFrom;
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
          name: `Finish ${sayDiameter(diameter.nominal, run.units)}${diameter.fit ? ` ${diameter.fit}` : ''}${step.name ? `, ${step.name}` : ''}${sayLeft(step.leaves, run)}`,
          ...(fillet ? { makes: [fillet.own.path] } : {}),
          tool,
          from,
          to,
          diameter: diameter.aim,
          removal: { outside: turnedAway(turned, from - (first ? 1 : 0), to, diameter.aim / 2, setup) },
          stop: { means: 'carriage' as const, settings: [{ edge: 'tip' as const, setting }] },
          checks: [
            { what: sayDiameter(diameter.nominal, run.units), measures: 'outside' as const, size: diameter },
            ...(shoulder
              ? [{ what: `length ${say(length.nominal, run.units)}`, measures: 'length' as const, size: length }]
              : []),
          ],
          ...(step.roughness === undefined ? {} : { roughness: step.roughness }),
        };
      }),
    );
  },
  feed({ roughness, tool }, { run }) {
    const usual = run.shop.cutting.feed['turn-finish'] ?? 0;
    const start = term('s', 'usual finishing feed', usual, 'mm/rev', 'start value');
    if (roughness === undefined) return sum('feed', 'mm/rev', [start]);
    const nose = tool.nose ?? 0;
    return figure({
      name: 'feed',
      unit: 'mm/rev',
      value: Math.min(feedForRoughness(roughness, nose), usual),
      formula: 'min(√(32 · r · Ra / 1000), s)',
      terms: [
        term('r', 'nose radius', nose, 'mm', 'tool'),
        term('Ra', 'roughness wanted, µm', roughness, '', 'drawing'),
        start,
      ],
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
      );
    const springs = tight && run.shop.houseRules.springPass === 'on-fits';
    const depths = springs ? [...division.finish, 0] : division.finish;
    const atShoulder = setup.turned.some(({ path, shoulder }) => path === feature && shoulder);
    const shoulder = atShoulder ? Math.max(0, radiusAt(work.outside, to) - diameter / 2) : 0;
    return good({
      diameter: 2 * radius,
      passes: depths.map((depth, index, all) => {
        const last = index === all.length - 1;
        return {
          depth,
          diameter: 2 * (radius - sumOf(depths.slice(0, index + 1))),
          z: to,
          way: [
            term('l', 'length', to - from, 'mm', 'computed'),
            term('a', 'approach', allowances.approach, 'mm', 'start value'),
            term('u', 'overrun', allowances.overrun, 'mm', 'start value'),
            ...(last && shoulder > 0 ? [term('h', 'shoulder, faced outwards', shoulder, 'mm', 'computed')] : []),
          ],
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
