import type { Allocated, StopRoom } from './allocate';
import { holds } from './choose/choose';
import { isSafe, serveOf, spoils, type Allocation, type Facility, type Place, type Served } from './choose/problem';
import type { StopMeans } from './devices';
import type { With } from './devices/device';

/** What else would stop a slide at a place, and what that costs over the batch, minutes. */
export interface NextBest {
  means: StopMeans;
  /** What is laid in then. */
  with?: With;
  minutes: number;
}

/** What a place counts for by one means, beside hard stops as deep as they are; infinite where it may not. */
function minutesBy({ problem }: StopRoom, served: Served, at: number, deepest: number): number {
  const place = problem.places[at] as Place;
  if ('own' in served) return place.own[served.own]?.minutes ?? Infinity;
  const { hard, serves } = problem.facilities[served.facility] as Facility;
  const serve = serves[at];
  if (!serve || (hard && !isSafe(place, deepest))) return Infinity;
  return serve.minutes + (hard ? spoils(place, deepest) : 0);
}

/** Everything that could serve a place as the others stand: its own means, and what is made ready already. */
const couldServe = ({ own, problem }: StopRoom, { open }: Allocation, at: number): Served[] => [
  ...(own[at] ?? []).flatMap((_, index) => (problem.places[at]?.own[index]?.counted ? [] : [{ own: index }])),
  ...open.map((facility) => ({ facility })),
];

/**
 * The next best means of a place, as all others stand: what it takes more over the batch, less what need not be made ready then.
 * @param setup which of the set-ups
 */
export function nextBest({ rooms, chosen, chains }: Allocated, setup: number, at: number): NextBest | undefined {
  const room = rooms[setup] as StopRoom;
  const allocation = chosen.allocations[setup] as Allocation;
  const { facilities } = room.problem;
  const now = allocation.served[at] as Served;
  const demand = room.at[at]?.demand;
  const meansOf = (served: Served): Pick<NextBest, 'means' | 'with'> | undefined => {
    const own = 'own' in served ? room.own[at]?.[served.own] : undefined;
    if (own) return { means: own.means, ...(own.by.with ? { with: own.by.with } : {}) };
    const shared = 'facility' in served ? room.shared[served.facility] : undefined;
    const laidIn = demand && shared?.made.serves(demand)?.with;
    return shared && { means: shared.means, ...(laidIn ? { with: laidIn } : {}) };
  };
  const deepest = Math.max(
    -Infinity,
    ...allocation.open.map((index) => (facilities[index]?.hard ? facilities[index].setting : -Infinity)),
  );
  const countedAt = (served: Served, place: number) =>
    'own' in served ? room.problem.places[place]?.own[served.own]?.counted : undefined;
  const isSharedWith = (other: Served, place: number) =>
    'facility' in now
      ? 'facility' in other && other.facility === now.facility
      : countedAt(now, at) !== undefined && countedAt(other, place)?.one === countedAt(now, at)?.one;
  const isAlone = !allocation.served.some((other, place) => place !== at && isSharedWith(other, place));
  const ready = 'facility' in now ? facilities[now.facility]?.ready : countedAt(now, at)?.ready;
  const freed = isAlone ? (ready ?? 0) : 0;
  const isSame = (other: Served) => JSON.stringify(other) === JSON.stringify(now);
  const others = couldServe(room, allocation, at).flatMap((served): NextBest[] => {
    const by = meansOf(served);
    if (isSame(served) || by === undefined) return [];
    const instead = { ...allocation, served: allocation.served.with(at, served) };
    const allocations = chosen.allocations.with(setup, instead);
    const problems = rooms.map(({ problem }) => problem);
    if (!Number.isFinite(minutesBy(room, served, at, deepest)) || !serveOf(room.problem, instead, at)) return [];
    if (!chains.every((chain) => holds(chain, problems, allocations))) return [];
    return [{ ...by, minutes: minutesBy(room, served, at, deepest) - minutesBy(room, now, at, deepest) - freed }];
  });
  return others.sort((a, b) => a.minutes - b.minutes)[0];
}
