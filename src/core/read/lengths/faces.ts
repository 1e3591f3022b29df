interface Named {
  name?: string;
}

/** A face as a file names it: `front`, `back`, or a step by its name or number, which is the face behind it. */
export type FaceName = string | number;

const nameOf = (step: Named) => step.name?.trim().toLowerCase();

/** The face of a name, counted from the front; undefined for a name that is none. */
export function faceOf(name: FaceName, steps: readonly Named[]): number | undefined {
  const text = String(name).trim().toLowerCase();
  if (text === 'front') return 0;
  if (text === 'back') return steps.length;
  const called = steps.findIndex((step) => nameOf(step) === text);
  if (called >= 0) return called + 1;
  const number = /^(?:step\s*)?(\d+)$/.exec(text)?.[1];
  return number !== undefined && Number(number) >= 1 && Number(number) <= steps.length ? Number(number) : undefined;
}

/** Every face by the name that says most: the ends, and between them each step's name or number. */
export const faceNames = (steps: readonly Named[]): string[] => [
  'front',
  ...steps.slice(0, -1).map((step, index) => step.name?.trim() || String(index + 1)),
  'back',
];

/** A face in a sentence: `the front face`, `the shoulder behind step 2 (head)`. */
export function sayFace(face: number, steps: readonly Named[]): string {
  if (face === 0) return 'the front face';
  if (face === steps.length) return 'the back face';
  const name = steps[face - 1]?.name?.trim();
  return `the shoulder behind step ${face}${name ? ` (${name})` : ''}`;
}

/**
 * A place counted from a face, z from the front: from the back towards the front, from every other face towards the back.
 * @param edges z of every face, the front first
 */
export const countedFrom = (face: number, edges: readonly number[], at: number): number =>
  (edges[face] ?? 0) + (face === edges.length - 1 ? -at : at);

/** What is wrong with a name that is no face. */
export const noFace = (name: FaceName, steps: readonly Named[]): string =>
  `“${name}” is no face of this part; there are ${faceNames(steps).join(', ')}`;
