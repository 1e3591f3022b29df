import { sayFigure } from '../../model/units/mark';
import { isOnBar } from '../../model/plan/setup';
import { drillLoad, usualDrillFeed } from '../cutting/drillLoad';
import { figure, term } from '../../model/figure';
import { gradeOf } from '../../model/part/tolerance';
import { good } from '../../model/result';
import { cylinder } from '../../model/workpiece/profile';
import { sayDiameter, type Caution } from '../../model/words';
import type { OperationKind } from '../../model/plan/operation';
import { depthChecks } from './depthChecks';
import type { Tool } from '../../model/shop/shop';
import { drillsOf, type DrillStep } from './drillChain';
import { intoHole } from './edgePaths';
import { strokesOf } from './quill';

/** Withdrawals in a deep hole: after the first few diameters, then every so often (trade: Cutting). */
export function pecksFor(depth: number, diameter: number, firstTimes: number, times: number): number {
  const first = firstTimes * diameter;
  return depth <= first + 1e-9 ? 1 : 1 + Math.ceil((depth - first) / (times * diameter) - 1e-9);
}

const COMES_OUT: Caution = {
  kind: 'mistake',
  text: 'The tip comes out behind: a spindle stop, the jaws and the catcher are clear of it.',
};

/** A word for each drill of a hole: of those that open it there may be several. */
const keyOf = (goes: DrillStep['goes'], feature: string, { diameter = 0 }: Tool): string =>
  goes === 'opens' ? `opens:${feature}:${diameter}` : `${goes === 'pilot' ? 'pilot' : 'drill'}:${feature}`;

/** Drill a hole on the axis with a twist drill in the tailstock. */
export const drill: OperationKind = {
  kind: 'drill',
  handFed: true,
  shutIn: true,
  turnsAtOverhang: false,
  underCentre: false,
  load: drillLoad,
  mayBeLeft: ({ key }) => key.startsWith('pilot:'),
  demand(setup) {
    const { units } = setup.run;
    const chain = drillsOf(setup);
    if (!chain.ok) return chain;
    return good(
      chain.value.map(({ feature, size, purpose, through, tool, goes, fullDepth, tip }) => {
        const radius = (tool.diameter ?? 0) / 2;
        return {
          key: keyOf(goes, feature, tool),
          kind: 'drill',
          feature,
          name: `${goes === 'pilot' ? 'Pilot' : 'Drill'} ${sayDiameter(tool.diameter ?? 0, units)}${through ? ' through' : ''}${goes === 'opens' ? ' first' : ''}${purpose ? ` ${purpose}` : ''}`,
          tool,
          from: 0,
          to: tip.value,
          fullDepth,
          diameter: tool.diameter ?? 0,
          removal: { bore: [cylinder(-1, fullDepth, radius), { z0: fullDepth, z1: tip.value, r0: radius, r1: 0 }] },
          stop: { means: 'quill' as const, settings: [{ edge: 'tip' as const, setting: tip }] },
          checks: size
            ? [
                { what: `bore ${sayDiameter(size.nominal, units)}`, measures: 'inside' as const, size },
                ...depthChecks(setup.part.holes.find(({ path }) => path === feature) ?? {}, setup),
              ]
            : [],
        };
      }),
    );
  },
  feed({ diameter = 0 }, setup) {
    const { run } = setup;
    const { drillFeed } = run.shop.material;
    const { mostDrillFeed } = run.shop.cutting;
    return figure({
      name: 'feed',
      unit: 'mm/rev',
      value: usualDrillFeed(diameter, setup),
      formula: 'min(q · d, m)',
      terms: [
        term('q', 'feed per diameter', drillFeed, '', 'material'),
        term('d', 'drill', diameter, 'mm', 'tool'),
        term('m', 'at most', mostDrillFeed, 'mm/rev', 'start value'),
      ],
      note: 'Fed by hand; timed at this equivalent feed.',
    });
  },
  cut(operation, work, setup) {
    const { run, part } = setup;
    const { diameter = 0, to, fullDepth = to } = operation;
    const through = to > part.length;
    const { firstPeckTimes, peckTimes, drillGrade } = run.shop.cutting;
    const pecks = pecksFor(fullDepth, diameter, firstPeckTimes, peckTimes);
    const hole = part.holes.find(({ path }) => path === operation.feature);
    const finer =
      hole &&
      operation.checks.length > 0 &&
      gradeOf(hole.diameter.upper - hole.diameter.lower, hole.diameter.nominal) < drillGrade;
    const { byHand, cautions } = strokesOf(to, run);
    return good({
      diameter,
      pecks,
      ...(byHand ? { byHand } : {}),
      passes: [
        {
          depth: to,
          z: to,
          way: [
            term('t', 'full depth', fullDepth, 'mm', 'computed'),
            term('p', 'point', to - fullDepth, 'mm', 'tool'),
            term('a', 'approach', run.shop.allowances.approach, 'mm', 'start value'),
          ],
          path: intoHole(-setup.facing - run.shop.allowances.approach, to),
          ...(pecks > 1
            ? { note: `${pecks} pecks: first ${sayFigure(firstPeckTimes)} × d, then every ${sayFigure(peckTimes)} × d` }
            : {}),
        },
      ],
      cautions: [...(through && !isOnBar(setup) ? [COMES_OUT] : []), ...cautions],
      warnings: finer
        ? [`A twist drill holds about IT${drillGrade}; this bore is finer: ream it, or measure and see.`]
        : [],
    });
  },
  cautions: [
    { kind: 'danger', text: 'Tailstock and quill locked; ease the feed as the drill breaks through.' },
    {
      kind: 'mistake',
      text: 'After the drill, see that it has not slipped in its chuck, and run to the stop once more.',
    },
  ],
};
