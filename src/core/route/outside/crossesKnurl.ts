import type { Feature } from '../../part/feature';
import type { Run } from '../../run';
import type { Reason } from '../../words';

/** CROSS-BEFORE-KNURL (handbook 5): what goes across a knurl comes before it, or the knurl makes the drill wander. */
export function crossesKnurl({ z0, z1 }: Feature, { part }: Run): Reason[] {
  const over = part.features.some(({ knurl, z0: from, z1: to }) => knurl && from < z1 && to > z0);
  return over
    ? [
        {
          rule: 'CROSS-BEFORE-KNURL',
          because:
            'It goes across a knurl, where a drill wanders: best done on the plain diameter, between turning and knurling; else start it with a centre on a flat.',
        },
      ]
    : [];
}
