import { workedLengths } from '../lengths/workedLengths';
import type { CutSetup } from '../cuts/planCuts';
import { CLOSE } from '../../model/tolerances';
import type { Chain, PlaceRef } from './choose/choose';
import type { Demand } from './demand';

/** Operations that end at a face and do not make it. */
export const BESIDE: readonly string[] = [
  'chamfer',
  'deburr',
  'knurl',
  'thread',
  'inner-thread',
  'die',
  'polish',
  'inspect',
  'by-hand',
  'centre',
];

/** The place at which a set-up makes something that lies at a z of its view: that of the last operation which ends there. */
function placeAt(demands: readonly Demand[], z: number): number | undefined {
  const at = demands.findLastIndex(
    ({ axis, cuts }) =>
      axis === 'carriage' && cuts.some(({ kind, to }) => !BESIDE.includes(kind) && Math.abs(to - z) < CLOSE),
  );
  return at < 0 ? undefined : at;
}

/** The place at which a feature is made. */
function placeOf(demands: readonly Demand[], path: string): number | undefined {
  const at = demands.findLastIndex(
    ({ axis, cuts }) => axis === 'carriage' && cuts.some(({ feature }) => feature === path),
  );
  return at < 0 ? undefined : at;
}

const isSame = (a: PlaceRef, b: PlaceRef): boolean => a.setup === b.setup && a.place === b.place;

/**
 * What stands in every length of the drawing: the places of the faces that it is worked by, and the stop of the work where they are
 * made in two holdings (trade: Stops). All that spreads in it together, as a root of squares, is at most a share of its limits.
 */
export function chainsOf(setups: readonly CutSetup[], demands: readonly (readonly Demand[])[]): Chain[] {
  const [first] = setups;
  if (!first) return [];
  const { run } = first.setup;
  const { stops } = run.shop;
  const { part } = run;
  const { faces, links, places } = workedLengths(
    run,
    setups.map(({ setup }) => setup),
  );
  const last = part.steps.length;
  const zOf = (face: number) => (face === 0 ? 0 : (part.steps[face - 1]?.zTo ?? 0));
  const viewed = (face: number, end: 'front' | 'back') => (end === 'front' ? zOf(face) : part.length - zOf(face));
  const refOf = (face: number): PlaceRef | undefined => {
    const number = faces.find((worked) => worked.face === face)?.setup;
    const datum = first.setup.end === 'front' ? 0 : last;
    const index = face === datum ? 0 : setups.findIndex(({ setup }) => setup.number === number);
    const made = setups[index];
    const place = made && placeAt(demands[index] ?? [], viewed(face, made.setup.end));
    return place === undefined ? undefined : { setup: index, place };
  };
  const chainOf = (refs: readonly (PlaceRef | undefined)[], width: number): Chain[] => {
    const members = refs
      .filter((ref) => ref !== undefined)
      .filter((ref, index, all) => all.findIndex((other) => isSame(other, ref)) === index);
    const fixer = [...members].sort((a, b) => b.setup - a.setup || b.place - a.place)[0];
    if (!fixer) return [];
    const held = new Set(members.map(({ setup }) => setups[setup]?.setup.end)).size > 1;
    return [{ members, fixer, most: width * stops.shareOfLimits, fixed: held ? (2 * stops.workRepeats) ** 2 : 0 }];
  };
  const drawn = links.flatMap(({ from, to, size, errors }) => {
    // The face that a set-up measures from stands in what it measures from there; a piece that is turned round leans on it.
    const ends = [from, to].map(refOf);
    const [one, other] = ends.map((ref) => ref && setups[ref.setup]?.setup.end);
    return chainOf([...(one === other ? ends : []), ...errors.map(refOf)], size.upper - size.lower);
  });
  const placed = places.flatMap(({ path, face, errors, size }) => {
    const index = setups.findIndex(({ setup }) => setup.features.includes(path));
    const place = placeOf(demands[index] ?? [], path);
    return place === undefined
      ? []
      : chainOf([{ setup: index, place }, refOf(face), ...errors.map(refOf)], size.upper - size.lower);
  });
  const own = demands.flatMap((all, setup) =>
    all.flatMap(({ width, axis }, place): Chain[] =>
      axis === 'quill' && Number.isFinite(width)
        ? [{ members: [{ setup, place }], fixer: { setup, place }, most: width * stops.shareOfLimits, fixed: 0 }]
        : [],
    ),
  );
  return [...drawn, ...placed, ...own];
}
