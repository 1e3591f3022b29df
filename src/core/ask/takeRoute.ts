import { isEnd, isHolding, isLeave, isSetup, isSetups, type Overrule } from '../model/overrule';
import type { Plan } from '../plan/plan';
import type { Compared } from '../plan/compared';
import type { Either, Skeleton } from '../plan/skeleton';
import { MM_PER_INCH } from '../model/units/length';
import type { RunFile, StockFile } from '../read/runFile';

/** Decisions that another route is taken in the place of. */
const ofRoutes = (overrule: Overrule): boolean => isLeave(overrule) || isSetups(overrule);

/** Whether a route that was compared can be taken: nothing is wrong with it, but that another was chosen. */
export const canTake = ({ because }: Compared): boolean =>
  because === 'slower' || because === 'dearer' || because === 'riskier' || because === 'quicker';

/** From which end what could be made from either is made, where that was not decided. */
function endsOf(
  end: Compared['end'],
  { later, notLeft }: Required<Pick<Compared, 'notLeft'>> & Required<Pick<Skeleton, 'later'>>,
  others: readonly Overrule[],
): Overrule[] {
  if (!end) return [];
  const isOpen = ({ path }: Either) =>
    !others.some((other) => (isEnd(other) || isSetup(other)) && other.feature === path);
  const from = (made: readonly Either[], at: 'front' | 'back') =>
    made.filter(isOpen).map(({ path }) => ({ feature: path, end: at }));
  return [...from(later, end === 'front' ? 'back' : 'front'), ...from(notLeft, end)];
}

/**
 * A run that keeps to a route which was compared with its plan: its way and end, what is left on its blanks, the room before
 * the jaws, its bar, the number of its set-ups. What the run says beside these stays.
 */
export function takeRoute(
  file: RunFile,
  { setups: taken, skeleton: before }: Pick<Plan, 'setups' | 'skeleton'>,
  { skeleton, setups = 0, end, held, bar, notLeft = [] }: Compared,
): RunFile {
  const { way, spigot, centred, drawnOut = false, endLast, alike, clearance, dearer, later = [] } = skeleton;
  const isMadeSo = setups === taken.length && centred === before.centred && drawnOut === (before.drawnOut ?? false);
  const inUnits = (mm: number) => Number((file.units === 'in' ? mm / MM_PER_INCH : mm).toFixed(6));
  const others = (file.overrules ?? []).filter((overrule) => !ofRoutes(overrule));
  const decided: Overrule[] = [
    ...(endLast ? [{ leave: 'centre-end' as const }] : []),
    ...(spigot ? [{ leave: 'spigot' as const }] : []),
    // What none of the ways leaves on need not be decided.
    ...(!spigot && !centred && way === 'sawn-blanks' ? [{ leave: 'none' as const }] : []),
    // Named, so that it is not sought anew what holds either side.
    ...(held && !others.some(isHolding)
      ? [
          ...(alike ? [{ setup: 1 as const, holding: { kind: held.kind } }] : []),
          { holding: { kind: held.kind, grip: held.grip } },
        ]
      : []),
    ...(isMadeSo ? [] : [{ setups, drawnOut, centred }]),
    ...endsOf(end, { later, notLeft }, others),
  ];
  const stock: StockFile | undefined =
    dearer > 0 && bar && bar.form !== 'piece'
      ? {
          form: bar.form,
          size: inUnits(bar.size),
          condition: bar.condition,
          ...(bar.form === 'tube' ? { bore: inUnits(bar.bore) } : {}),
        }
      : undefined;
  return {
    ...file,
    way,
    // Named, so that it is not sought anew which end comes first.
    ...(end ? { firstEnd: end } : {}),
    ...(stock ? { stock } : {}),
    ...(clearance === undefined ? {} : { allowances: { ...file.allowances, jawClearance: inUnits(clearance) } }),
    overrules: [...others, ...decided],
  };
}
