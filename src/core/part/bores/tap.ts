import { andThen, good } from '../../result';
import { say } from '../../words';
import type { FeatureKind } from '../feature';
import { readThread, tapDrill } from '../thread';
import { DEPTH, FROM, NAME, depthDimension, depthOf, endOf, placeOf, straight } from './hole';

/** A tapped hole, by designation; the depth is of the full thread. */
export const tap: FeatureKind = {
  kind: 'tap',
  label: 'Tapped hole',
  fields: [
    FROM,
    { key: 'designation', label: 'Thread', takes: 'text', needed: true, hint: 'M6, M14x1, 1/4-20' },
    DEPTH,
    NAME,
  ],
  read(values, path, around) {
    const { length, units } = around;
    const from = endOf(values);
    return andThen(readThread(values.text('designation') ?? '', `${path}.designation`), (thread) =>
      andThen(depthOf(values, path, around), ({ depth, through }) => {
        const core = tapDrill(thread);
        return good({
          path,
          kind: 'tap',
          name: `tap ${thread.designation}, ${through ? 'through' : `${say(depth, units)} deep`}${from === 'back' ? ', from the back' : ''}`,
          from,
          z0: from === 'front' ? 0 : length - depth,
          z1: from === 'front' ? depth : length,
          bore: straight(from, depth, core / 2, length),
          thread,
          dimensions: [
            { kind: 'note', z: placeOf(from, depth / 2, length), r: core / 2, text: thread.designation },
            ...(through ? [] : [depthDimension(from, depth, length)]),
          ],
        });
      }),
    );
  },
};
