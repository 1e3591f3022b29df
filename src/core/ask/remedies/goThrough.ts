import { entryOf, LISTS } from './entryOf';
import type { RemedyKind } from './remedy';

/** A hole that is as deep as its part is long, or deeper, goes through. */
export const goThrough: RemedyKind = (_file, _shop, problems) =>
  problems.flatMap(({ path, missing }) => {
    const entry = /\.depth$/.test(path) && !missing ? entryOf(path) : undefined;
    return entry?.list === 'bores'
      ? [{ path, value: 'through', words: `Let ${LISTS[entry.list]} ${entry.index + 1} go through` }]
      : [];
  });
