import { strokesOf } from './quill';
import { figure, sum, term, type Figure } from '../../model/figure';
import type { Feature } from '../../model/part/feature';
import { good } from '../../model/result';
import { cylinder } from '../../model/workpiece/profile';
import type { Tool } from '../../model/shop/shop';
import { sayDiameter } from '../../model/words';
import type { Operation, OperationKind } from '../../model/plan/operation';
import { goesThrough } from '../reach/reached';
import type { Setup } from '../../model/plan/setup';
import { straightIn } from './tools';
import { fullDepthOf } from './fullDepth';
import { leftToReam } from '../../model/shop/reaming';
import { drilledFor, reachedOf, widthFound, type HoleNeed } from './holeNeed';

function reamerFor({ size }: Feature, depth: number, { run }: Setup): Tool | undefined {
  return run.shop.tools.find(
    ({ does, diameter, flute = 0 }) =>
      does.includes('ream') && Math.abs((diameter ?? 0) - (size?.nominal ?? 0)) < 1e-6 && flute >= depth - 1e-6,
  );
}

/** What a reamer finds: a hole that leaves it enough and not too much, at the end of those that the house likes. */
function needOf(feature: Feature, setup: Setup): HoleNeed {
  const { part, run } = setup;
  const nominal = feature.size?.nominal ?? 0;
  const { least, most } = leftToReam(nominal, run.shop.cutting);
  return {
    feature: feature.path,
    purpose: 'for the reamer',
    atLeast: nominal - most,
    atMost: nominal - least,
    aim: nominal - (run.shop.houseRules.reamAllowance === 'small' ? least : most),
    through: goesThrough(feature, part),
    depth: feature.z1,
  };
}

/** Reamed holes that there is a reamer for. */
function reamable(features: readonly Feature[], setup: Setup): { feature: Feature; tool: Tool; depth: Figure }[] {
  return features.flatMap((feature) => {
    const depth = fullDepthOf({ through: goesThrough(feature, setup.part), depth: feature.z1 }, setup);
    const tool = reamerFor(feature, depth.value, setup);
    return tool ? [{ feature, tool, depth }] : [];
  });
}

/** Holes that reamers need first. */
export const reamNeeds = (setup: Setup): HoleNeed[] =>
  reamable(drilledFor(setup, 'ream'), setup).map(({ feature }) => needOf(feature, setup));

/** Ream a drilled hole to size. */
export const ream: OperationKind = {
  kind: 'ream',
  handFed: true,
  shutIn: true,
  keepsFeed: true,
  turnsAtOverhang: false,
  underCentre: false,
  demand(setup) {
    const { run } = setup;
    return good(
      reamable(reachedOf(setup, 'ream'), setup).flatMap(({ feature, tool, depth }): Operation[] => {
        const { size, path } = feature;
        // Without a hole for it to follow it stays undone, and is told (route/doubts).
        if (!size || widthFound(needOf(feature, setup), setup) === undefined) return [];
        return [
          {
            key: `ream:${path}`,
            kind: 'ream',
            feature: path,
            makes: [path],
            name: `Ream ${sayDiameter(size.nominal, run.units)}${size.fit ? ` ${size.fit}` : ''}`,
            tool,
            from: 0,
            to: depth.value,
            fullDepth: depth.value,
            diameter: size.aim,
            removal: { bore: [cylinder(-1, depth.value, size.aim / 2)] },
            stop: { means: 'quill', settings: [{ edge: 'tip', setting: sum('quill stop', 'mm', depth.terms) }] },
            checks: [{ what: `bore ${sayDiameter(size.nominal, run.units)}`, measures: 'inside', size }],
          },
        ];
      }),
    );
  },
  feed({ diameter = 0 }, { run }) {
    const { drillFeed } = run.shop.material;
    const { mostDrillFeed, reamFeedTimes } = run.shop.cutting;
    return figure({
      name: 'feed',
      unit: 'mm/rev',
      value: reamFeedTimes * Math.min(drillFeed * diameter, mostDrillFeed),
      formula: 'k · min(q · d, m)',
      terms: [
        term('k', 'times the feed of a drill', reamFeedTimes, '', 'start value'),
        term('q', 'feed per diameter', drillFeed, '', 'material'),
        term('d', 'reamer', diameter, 'mm', 'tool'),
        term('m', 'at most, of a drill', mostDrillFeed, 'mm/rev', 'start value'),
      ],
    });
  },
  cut: ({ to, diameter = 0 }, _work, { run }) =>
    good({ ...strokesOf(to, run), diameter, passes: [straightIn(to, run)] }),
  cautions: [
    {
      kind: 'mistake',
      text: 'Never turn a reamer backwards; clear the chips first, plenty of oil, out with the spindle still turning forward.',
    },
  ],
};
