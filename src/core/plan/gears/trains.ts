import type { GearTrain } from '../../model/plan/gearing';
import type { Leadscrew } from '../../model/shop/machine';

/** A thread as wheels see it. mm */
export interface WantedPitch {
  pitch: number;
  hand?: 'left' | 'right';
}

/** Less than this is arithmetic, not an error, ppm. */
const EXACT = 1e-3;

export const isExact = ({ error }: Pick<GearTrain, 'error'>): boolean => Math.abs(error) < EXACT;

/** How many wheels are put on. */
export const wheelsOf = ({ drivers, driven, idlers }: GearTrain): number[] => [...drivers, ...idlers, ...driven];

type Quadrant = Pick<Leadscrew, 'pairs'>;

/** Whether two wheels can stand in mesh: the quadrant takes neither less nor more. */
const meshes = (a: number, b: number, { pairs }: Quadrant): boolean =>
  !pairs || (a + b >= pairs.least && a + b <= pairs.most);

/** Whether the wheels on one stud clear the shafts beside them. */
const clears = ([a, b, c, d]: readonly [number, number, number, number], { pairs }: Quadrant): boolean =>
  !pairs || (a + b >= c + pairs.clear && c + d >= b + pairs.clear);

/** Wheels of which so many of a number of teeth are taken. */
function without(wheels: readonly number[], taken: readonly number[]): number[] {
  const left = [...wheels];
  for (const teeth of taken) left.splice(left.indexOf(teeth), 1);
  return left;
}

/** Idlers that bring one wheel to another, so many of them and the smallest; undefined where none do. */
function idlersBetween(
  from: number,
  to: number,
  many: number,
  left: readonly number[],
  quadrant: Quadrant,
): number[] | undefined {
  if (many === 0) return meshes(from, to, quadrant) ? [] : undefined;
  for (const idler of [...new Set(left)].sort((a, b) => a - b)) {
    if (!meshes(from, idler, quadrant)) continue;
    const more = idlersBetween(idler, to, many - 1, without(left, [idler]), quadrant);
    if (more) return [idler, ...more];
  }
  return undefined;
}

/**
 * A train of these drivers over these driven ones as it goes on the quadrant. A simple one goes by an idler, which leaves the
 * hand as the spindle's, a compound one by none; a left hand wants one more, unless the machine has a tumbler for that.
 */
function mounted(
  drivers: readonly number[],
  driven: readonly number[],
  { hand }: WantedPitch,
  leadscrew: Leadscrew,
): Pick<GearTrain, 'drivers' | 'driven' | 'idlers'> | undefined {
  const [a = 0, c = 0] = drivers;
  const [b = 0, d = 0] = driven;
  const left = without(leadscrew.gears, [...drivers, ...driven]);
  const turned = hand === 'left' && !leadscrew.tumbler ? 1 : 0;
  if (drivers.length === 1) {
    const idlers = idlersBetween(a, b, 1 + turned, left, leadscrew);
    return idlers && { drivers: [a], driven: [b], idlers };
  }
  const ways: [number, number, number, number][] = [
    [a, b, c, d],
    [a, d, c, b],
    [c, b, a, d],
    [c, d, a, b],
  ];
  for (const way of ways) {
    const [first, onto, second, last] = way;
    if (!meshes(second, last, leadscrew) || !clears(way, leadscrew)) continue;
    const idlers = idlersBetween(first, onto, turned, left, leadscrew);
    if (idlers) return { drivers: [first, second], driven: [onto, last], idlers };
  }
  return undefined;
}

const product = (wheels: readonly number[]): number => wheels.reduce((all, teeth) => all * teeth, 1);

/** Every choice of drivers and driven ones of which the pitch is within so many ppm; equal numbers of teeth are one. */
function* ratios({ pitch }: WantedPitch, { pitch: lead, gears }: Leadscrew, within: number) {
  const kinds = [...new Set(gears)].sort((a, b) => a - b);
  const has = (taken: readonly number[]): boolean =>
    taken.every((teeth) => gears.filter((g) => g === teeth).length >= taken.filter((t) => t === teeth).length);
  const wanted = pitch / lead;
  const errorOf = (drivers: readonly number[], driven: readonly number[]) =>
    1e6 * (product(drivers) / product(driven) / wanted - 1);
  const isNear = (error: number) => Math.abs(error) <= within + EXACT;
  for (const a of kinds)
    for (const b of kinds) {
      const error = errorOf([a], [b]);
      if (has([a, b]) && isNear(error)) yield { drivers: [a], driven: [b], error };
    }
  for (const [index, a] of kinds.entries())
    for (const c of kinds.slice(index))
      for (const [place, b] of kinds.entries()) {
        const exact = (a * c) / (b * wanted);
        for (const d of kinds.slice(place)) {
          // From here on each is only further off.
          if (d > exact && !isNear(errorOf([a, c], [b, d]))) break;
          const error = errorOf([a, c], [b, d]);
          if (isNear(error) && has([a, c, b, d])) yield { drivers: [a, c], driven: [b, d], error };
        }
      }
}

/** Fewest wheels first, then the nearest, then the smallest. */
const byWheels = (a: GearTrain, b: GearTrain): number =>
  wheelsOf(a).length - wheelsOf(b).length ||
  (Math.abs(Math.abs(a.error) - Math.abs(b.error)) > EXACT ? Math.abs(a.error) - Math.abs(b.error) : 0) ||
  wheelsOf(a).reduce((sum, teeth) => sum + teeth, 0) - wheelsOf(b).reduce((sum, teeth) => sum + teeth, 0);

/**
 * Every train of the wheels on hand that meshes, clears and comes within so many ppm of a pitch, the best first (trade: Wheels).
 * Pitch / leadscrew = drivers / driven; each wheel is used once.
 */
export function trainsWithin(wanted: WantedPitch, leadscrew: Leadscrew, within: number): GearTrain[] {
  const trains: GearTrain[] = [];
  for (const { drivers, driven, error } of ratios(wanted, leadscrew, within)) {
    const train = mounted(drivers, driven, wanted, leadscrew);
    if (train) trains.push({ ...train, pitch: wanted.pitch * (1 + error / 1e6), error });
  }
  return trains.sort(byWheels);
}

/** The train that comes nearest, however far that is; undefined where no two wheels can be put on. */
export function nearestTrain(wanted: WantedPitch, leadscrew: Leadscrew): GearTrain | undefined {
  for (const within of [10, 1e3, 1e5, 1e7]) {
    const found = trainsWithin(wanted, leadscrew, within);
    if (found.length > 0)
      return found.reduce((best, train) => (Math.abs(train.error) < Math.abs(best.error) - EXACT ? train : best));
  }
  return undefined;
}
