import { cutsOf, uncut, type CutList, type Cuts } from '@/core/saw/cutList';
import { formatLength, formatNominal, type UnitSystem } from '@/core/model/units/length';

/** How many bars, and how sure that is. */
export const verdict = ({ barsOpened, lowerBound, proven, because }: Cuts): string =>
  `${barsOpened} ${barsOpened === 1 ? 'bar' : 'bars'}, at least ${lowerBound} needed${proven ? '' : ` (not proven: ${because ?? ''})`}`;

/** Solved cuts for people: what to open, and what to saw from it in order. */
export function describeCuts(cuts: Cuts, list: CutList, units: UnitSystem): string {
  const lines = cuts.patterns.flatMap((pattern) => [
    `${String(pattern.times).padStart(4)} × ${pattern.bar}, ${formatNominal(pattern.barLength, units)} ${units}`,
    ...cutsOf(pattern).map(({ label, length, times, pieces }) =>
      uncut(pattern)
        ? `       into the lathe as it is: ${pieces ?? 0} pieces, ${label}`
        : `       stop ${formatLength(length, units).padStart(9)}  ${String(times).padStart(4)} cuts  ${label}${pieces ? `, ${pieces} pieces turned from it` : ''}`,
    ),
    `       left ${formatLength(pattern.remnant, units).padStart(9)}`,
  ]);
  return [
    verdict(cuts),
    `kerf ${formatNominal(list.kerf, units)} ${units}, ${list.pieces.reduce((total, { count }) => total + count, 0)} pieces`,
    '',
    ...lines,
    '',
    'The shop’s rules, the saw’s manual and local law come first.',
  ].join('\n');
}
