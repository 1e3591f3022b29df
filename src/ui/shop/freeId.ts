/** An id like another that none of a list has yet. */
export function freeId(like: string, list: readonly { id: string }[]): string {
  const stem = like.replace(/~\d+$/, '');
  for (let number = 2; ; number += 1)
    if (!list.some(({ id }) => id === `${stem}~${number}`)) return `${stem}~${number}`;
}
