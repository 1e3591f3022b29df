import type { Feature } from '../../model/part/feature';
import type { Part } from '../../model/part/part';
import type { Run } from '../../model/run';
import type { OutsideOp, Rolled } from './outsideOp';

const overlaps = (one: Feature, other: Feature): boolean => one.z0 < other.z1 && one.z1 > other.z0;

/** What another machine makes across the axis: holes, and flats that the bar does not bring. */
const isAcross = ({ cross, flats }: Feature, asDrawn: boolean): boolean =>
  cross !== undefined || (flats !== undefined && !asDrawn);

/** Knurls that something goes across (paths): they are best rolled after it. */
export const crossedKnurls = ({ features }: Part, asDrawn: readonly string[]): string[] =>
  features
    .filter(
      (feature) =>
        feature.knurl &&
        features.some((other) => isAcross(other, asDrawn.includes(other.path)) && overlaps(feature, other)),
    )
    .map(({ path }) => path);

/**
 * CROSS-BEFORE-KNURL (trade: Order): where work across a knurl stands in the route. Before the set-up that rolls the knurl,
 * if that is a later one than turns its diameter; else after the last, and it is told why that is worse.
 */
export function placeAcross(
  feature: Feature,
  { part }: Run,
  setups: readonly Rolled[],
): Pick<OutsideOp, 'after' | 'reasons'> {
  const last = setups.at(-1)?.number ?? 0;
  const knurl = part.features.find((other) => other.knurl && overlaps(feature, other));
  if (!knurl) return { after: last, reasons: [] };
  const rolled = setups.find(({ makes }) => makes.includes(knurl.path))?.number ?? 0;
  const rule = 'CROSS-BEFORE-KNURL';
  if (rolled > 1)
    return {
      after: rolled - 1,
      reasons: [
        {
          rule,
          because: `On the plain diameter, before set-up ${rolled} rolls the knurl: on a knurl a drill wanders.`,
        },
      ],
    };
  return {
    after: last,
    reasons: [
      {
        rule,
        because:
          'It goes across a knurl, where a drill wanders: the knurl is rolled in the one set-up that gets at it. Start it with a centre on a flat.',
      },
    ],
  };
}
