import { middlesOf, type Link } from '../../model/part/chain';
import type { Run } from '../../model/run';
import type { Setup } from '../../model/plan/setup';
import { shareOut } from './share';

/** A face as it is worked: in which set-up, how far from the face that the set-up measures from, and how closely. */
export interface WorkedFace {
  /** Counted from the front: 0 the front face, n the end of the n-th step. */
  face: number;
  setup: number;
  /** The end that its set-up measures from. */
  from: 'front' | 'back';
  /** What is aimed at, mm from there: the middle of what the drawing's lengths allow. */
  distance: number;
  /** How far off it may be, mm either way, so that every length of the drawing still holds. */
  within: number;
}

/** A length of the drawing as it comes out when it is worked from other faces. */
export interface WorkedLink extends Link {
  /** Faces whose errors add up in it. */
  errors: number[];
  /** What is left of its limits around what is aimed at, mm either way. */
  allowed: number;
}

/** The place of a feature as it comes out: the same of what lies between its face and it. */
export interface WorkedPlace extends Pick<WorkedLink, 'path' | 'size' | 'allowed'> {
  name: string;
  /** The face that the drawing counts from. */
  face: number;
  /** Faces whose errors add up in it, beside its own. */
  errors: number[];
}

export interface WorkedLengths {
  faces: WorkedFace[];
  links: WorkedLink[];
  places: WorkedPlace[];
}

/** The set-up that finishes each face, and the datum of each set-up: the face that it finishes first. */
function setupsOfFaces({ part }: Run, setups: readonly Setup[]): { setup: Setup | undefined; first: boolean }[] {
  const last = part.steps.length;
  const [one] = setups;
  const two = setups.find(({ end }) => end !== one?.end);
  return Array.from({ length: last + 1 }, (_, face) => {
    const isDatum = (setup: Setup | undefined) => setup !== undefined && face === (setup.end === 'front' ? 0 : last);
    if (isDatum(one)) return { setup: one, first: true };
    if (isDatum(two)) return { setup: two, first: false };
    // A face between two steps is finished where its shoulder is turned; a parted end where it is parted.
    const [before, behind] = [part.steps[face - 1]?.path, part.steps[face]?.path];
    const made = setups.find(({ turned, end }) => {
      const name = end === 'front' ? before : behind;
      return turned.some(({ path, shoulder }) => path === name && shoulder);
    });
    // Whatever measures from the face that was finished first.
    return { setup: made ?? one, first: (made ?? one)?.end === one?.end };
  });
}

/**
 * The drawing's lengths as they are worked (trade: Shop arithmetic): every set-up measures from the face that it finishes first, so
 * a length between two shoulders is the difference of two lengths, and one between a shoulder of each side has the
 * length over all in it as well. Tolerances add up along that way. What the drawing allows is shared out so that the
 * closest share is as wide as it can be.
 */
export function workedLengths(run: Run, setups: readonly Setup[]): WorkedLengths {
  const { part } = run;
  const count = part.steps.length + 1;
  const middles = middlesOf(count, part.links);
  const made = setupsOfFaces(run, setups);
  const datum = setups[0]?.end === 'back' ? count - 1 : 0;
  const far = count - 1 - datum;
  /** Faces whose errors stand between the first datum and a face. */
  const way = (face: number): number[] => {
    if (face === datum) return [];
    return made[face]?.first || face === far ? [face] : [face, far];
  };
  const place = (face: number) => middles[face] ?? 0;
  const links = part.links.map((link): WorkedLink => {
    const [a, b] = [way(link.from), way(link.to)];
    const errors = [...a.filter((face) => !b.includes(face)), ...b.filter((face) => !a.includes(face))];
    const { nominal, lower, upper } = link.size;
    const aimed = place(link.to) - place(link.from);
    const allowed = Math.min(nominal + upper - aimed, aimed - nominal - lower);
    return { ...link, errors, allowed };
  });
  const places = part.features.flatMap(({ path, name, place: drawn }): WorkedPlace[] => {
    const maker = setups.find(({ features }) => features.includes(path));
    if (!drawn || drawn.size.nominal === 0 || !maker) return [];
    const { face, size } = drawn;
    // The tool counts from the face of its set-up, as for a shoulder.
    const [a, b] = [way(face), maker.end === setups[0]?.end ? [] : [far]];
    const errors = [...a.filter((figure) => !b.includes(figure)), ...b.filter((figure) => !a.includes(figure))];
    const allowed = (size.upper - size.lower) / 2;
    return [{ path, name, face, size, errors, allowed }];
  });
  // Each place has an error of its own, numbered behind those of the faces.
  const shares = shareOut(count + places.length, [
    ...links.map(({ errors, allowed }) => ({ of: errors, most: allowed })),
    ...places.map(({ errors, allowed }, index) => ({ of: [...errors, count + index], most: allowed })),
  ]);
  const faces = made.flatMap(({ setup }, face): WorkedFace[] => {
    if (face === datum || !setup) return [];
    const from = face === far ? (datum === 0 ? 'front' : 'back') : setup.end;
    const distance = from === 'front' ? place(face) : place(count - 1) - place(face);
    return [{ face, setup: setup.number, from, distance, within: shares[face] ?? Infinity }];
  });
  return { faces, links, places };
}
