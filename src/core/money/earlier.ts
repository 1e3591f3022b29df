import type { CostTaught } from '../lathe/learnFrom';
import { sameNumber } from '../model/part/partNumber';
import type { ReallyCost } from './really';

/** What a run teaches of its cost, once all of it is made and some of it is good. @param on the day of its last press */
export function costTaught(
  { piece, isWhole, paid }: Pick<ReallyCost, 'piece' | 'isWhole' | 'paid'>,
  good: number,
  on: string,
): CostTaught | undefined {
  if (!isWhole || !piece) return undefined;
  const { reckoned, really } = piece;
  return { good, reckoned, really, ...(paid === undefined ? {} : { soldAt: paid / good }), on };
}

/** Earlier runs of a part that say what they cost, the newest first. @param own this run, which is none of them */
export const earlierCosts = <Run extends { run: number; number: string; cost?: CostTaught }>(
  learned: readonly Run[],
  number: string,
  own: number,
): (Run & { cost: CostTaught })[] =>
  learned
    .filter((one): one is Run & { cost: CostTaught } => one.cost !== undefined)
    .filter((one) => one.run !== own && sameNumber(one.number) === sameNumber(number))
    .sort((a, b) => b.cost.on.localeCompare(a.cost.on));
