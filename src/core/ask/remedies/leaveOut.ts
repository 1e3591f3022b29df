import { valueAt } from '../../model/setPath';
import { entryOf, LISTS } from './entryOf';
import type { RemedyKind } from './remedy';

/** What of the drawing cannot be is not made in this run: whoever may change the drawing decides. */
export const leaveOut: RemedyKind = (file, _, problems) =>
  problems.flatMap(({ path }) => {
    const own = /^(part\.outside\[\d+\]\.chamfers)\./.exec(path)?.[1];
    if (own) return [{ path: own, value: {}, words: 'Leave out the chamfers of this step' }];
    const entry = entryOf(path);
    const entries = entry && valueAt(file, `part.${entry.list}`);
    if (!entry || !Array.isArray(entries)) return [];
    return [
      {
        path: `part.${entry.list}`,
        value: entries.filter((_each, index) => index !== entry.index),
        words: `Leave out ${LISTS[entry.list]} ${entry.index + 1}; the drawing then lacks it`,
      },
    ];
  });
