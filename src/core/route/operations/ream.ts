import { figure, sum, term } from '../../figure';
import type { Feature } from '../../part/feature';
import type { Hole } from '../../part/part';
import { good } from '../../result';
import { cylinder } from '../../removal/profile';
import type { Tool } from '../../shop/shop';
import { say, sayDiameter } from '../../words';
import type { Operation, OperationKind } from '../operation';
import { goesThrough } from '../reached';
import type { Setup } from '../setup';
import { straightIn } from '../tools';
import { fullDepthOf } from './drillChain';

/** The drilled hole that a reamer follows: narrower, from the same end, and deep enough. */
function drilledFor({ z1, size }: Feature, { part, drilled }: Setup): Hole | undefined {
  return part.holes
    .filter(
      ({ path, diameter, depth }) =>
        drilled.includes(path) && diameter.nominal < (size?.nominal ?? 0) && depth >= z1 - 1e-6,
    )
    .sort((a, b) => b.diameter.nominal - a.diameter.nominal)[0];
}

function reamerFor({ size }: Feature, depth: number, { run }: Setup): Tool | undefined {
  return run.shop.tools.find(
    ({ does, diameter, flute = 0 }) =>
      does.includes('ream') && Math.abs((diameter ?? 0) - (size?.nominal ?? 0)) < 1e-6 && flute >= depth - 1e-6,
  );
}

/** What a reamer may be left at most, mm on the diameter (handbook 6): by the size that it is up to. */
export function mostToReam(allowances: Record<string, number>, nominal: number): number | undefined {
  const upTo = Object.keys(allowances)
    .map(Number)
    .sort((a, b) => a - b)
    .find((size) => nominal <= size + 1e-9);
  return upTo === undefined ? undefined : allowances[upTo];
}

/** Ream a drilled hole to size. */
export const ream: OperationKind = {
  kind: 'ream',
  handFed: true,
  turnsAtOverhang: false,
  underCentre: false,
  demand(setup) {
    const { part, features, run } = setup;
    const reamed = part.features.filter(({ kind, path }) => kind === 'ream' && features.includes(path));
    return good(
      reamed.flatMap((own): Operation[] => {
        const { size, path } = own;
        const depth = fullDepthOf({ through: goesThrough(own, part), depth: own.z1 }, setup);
        const tool = reamerFor(own, depth.value, setup);
        // Without a reamer, or a hole for it to follow, it stays undone, and is told (route/doubts).
        if (!tool || !size || !drilledFor(own, setup) || depth.value > run.shop.machine.quillTravel) return [];
        return [
          {
            key: `ream:${path}`,
            kind: 'ream',
            feature: path,
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
  cut(operation, _work, setup) {
    const { run, part } = setup;
    const { units } = run;
    const { to, diameter = 0, feature } = operation;
    const own = part.features.find(({ path }) => path === feature);
    const hole = own && drilledFor(own, setup);
    const left = (own?.size?.nominal ?? diameter) - (hole?.diameter.nominal ?? 0);
    const most = mostToReam(run.shop.cutting.reamAllowance, own?.size?.nominal ?? diameter);
    const tooMuch = most !== undefined && left > most + 1e-9;
    return good({
      diameter,
      passes: [straightIn(to, run)],
      warnings: tooMuch
        ? [
            `The drill leaves ${say(Number(left.toFixed(3)), units)} to the reamer, more than the usual ${say(most, units)}: bore it first, or drill larger.`,
          ]
        : [],
    });
  },
  cautions: [
    {
      kind: 'mistake',
      text: 'Never turn a reamer backwards; clear the chips first, plenty of oil, out with the spindle still turning forward.',
    },
  ],
};
