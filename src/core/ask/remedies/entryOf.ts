/** Lists of a drawing whose entries can be left out, and what one is called. */
export const LISTS = {
  details: 'detail',
  bores: 'hole',
  lengths: 'length between faces',
  runout: 'run-out',
  mates: 'gauge',
  elsewhere: 'work elsewhere',
} as const;

export type ListName = keyof typeof LISTS;

/** The entry of a list that a problem is about: which list, and its place. */
export function entryOf(path: string): { list: ListName; index: number } | undefined {
  const match = /^part\.(\w+)\[(\d+)\]/.exec(path);
  return match?.[1] && match[1] in LISTS ? { list: match[1] as ListName, index: Number(match[2]) } : undefined;
}
