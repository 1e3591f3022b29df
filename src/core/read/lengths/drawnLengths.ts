import type { LengthFile, StepFile } from '../runFile';
import { bad, collect, good, refuse, type Problem, type Result, missing } from '../../model/result';
import { say } from '../../model/words';
import type { Context, Field } from '../fields';
import { readSize, type Size } from '../../model/part/size';
import { chainBetween, sumOf, treeOf, type Link } from '../../model/part/chain';
import { faceOf, noFace, sayFace } from './faces';
import { CLOSE } from '../../model/tolerances';

/** The fields of a length between faces. */
export const LENGTH_FIELDS: readonly Field[] = [
  { key: 'from', label: 'From', takes: 'face', needed: true },
  { key: 'to', label: 'To', takes: 'face', needed: true },
  { key: 'size', label: 'Length', takes: 'size', needed: true },
];

/** Reads the lengths that the drawing gives between faces, whatever datum each is from. */
export function readLinks(
  entries: readonly LengthFile[] | undefined,
  steps: readonly StepFile[],
  context: Context,
): Result<Link[]> {
  return collect(
    (entries ?? []).map((entry, index): Result<Link> => {
      const path = `part.lengths[${index}]`;
      const [from, to] = [faceOf(entry.from, steps), faceOf(entry.to, steps)];
      if (from === undefined) return refuse(`${path}.from`, noFace(entry.from, steps));
      if (to === undefined) return refuse(`${path}.to`, noFace(entry.to, steps));
      if (from === to) return refuse(`${path}.to`, 'is the face that the length begins at');
      const size = readSize(entry.size, { ...context, path: `${path}.size` });
      return size.ok ? good({ path, from: Math.min(from, to), to: Math.max(from, to), size: size.value }) : size;
    }),
  );
}

/**
 * The lengths of the steps that give none of their own, from the drawing's lengths: each as the chain that leads from
 * its one face to its other, with the tolerance that the chain adds up to.
 * @param own links of the steps that have a length
 * @returns by number of the step, from 0; or what is missing, what contradicts, and what would be less than nothing
 */
export function lengthsFromChains(
  steps: readonly StepFile[],
  given: readonly Link[],
  drawn: readonly Link[],
  { units }: Context,
): Result<Map<number, Size>> {
  const faces = steps.length + 1;
  const links = [...given, ...drawn];
  const tree = treeOf(faces, links);
  const lengths = new Map<number, Size>();
  const problems: Problem[] = [];
  steps.forEach((_, index) => {
    if (given.some(({ from, to }) => from === index && to === index + 1)) return;
    const path = `part.outside[${index}].length`;
    const chain = chainBetween(tree, index, index + 1);
    if (!chain) return problems.push(missing(path, ': no length of the drawing leads to it either'));
    const size = sumOf(chain);
    if (size.nominal < CLOSE)
      return problems.push({
        path,
        message: `follows from the lengths as ${say(Number(size.nominal.toFixed(3)), units)}, which is less than nothing`,
      });
    lengths.set(index, size);
  });
  for (const link of links.filter((one) => !tree.includes(one))) {
    const other = sumOf(chainBetween(tree, link.from, link.to) ?? []);
    if (Math.abs(other.nominal - link.size.nominal) <= CLOSE) continue;
    const where = `from ${sayFace(link.from, steps)} to ${sayFace(link.to, steps)}`;
    problems.push({
      path: link.path,
      message: `says ${say(link.size.nominal, units)} ${where}, and the other lengths make it ${say(Number(other.nominal.toFixed(3)), units)}`,
    });
  }
  return problems.length > 0 ? bad(...problems) : good(lengths);
}
