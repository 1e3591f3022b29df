import type { RemedyKind } from './remedy';

/** How many letters two words begin alike with. */
function alike(a: string, b: string): number {
  let count = 0;
  while (count < a.length && a[count]?.toLowerCase() === b[count]?.toLowerCase()) count += 1;
  return count;
}

/** How many names are offered for one that is not known. */
const NEAR = 2;

/** What the shop calls it, where a run names a material or a machine that the shop has not got. */
export const nearestName: RemedyKind = ({ part, machine }, shop, problems) => {
  const offered = (path: string, asked: string, known: readonly { id: string; name: string }[]) =>
    problems.some((problem) => problem.path === path)
      ? known
          .toSorted((a, b) => alike(b.id, asked) - alike(a.id, asked))
          .slice(0, NEAR)
          .map(({ id, name }) => ({ path, value: id, words: `Take ${name} (${id}), which the shop has` }))
      : [];
  return [
    ...offered('part.material', [part.material].flat()[0] ?? '', shop.materials),
    ...(typeof machine === 'string' ? offered('machine', machine, shop.machines) : []),
  ];
};
