import { featureKind } from '../featureKind';
import { andThen, good } from '../../model/result';
import { say } from '../../model/words';
import { NUT_CLASSES, readThread, tapDrill } from '../../model/part/thread';
import { DEPTH, FROM, NAME, WHY, depthDimension, depthOf, placeOf, straight } from './hole';

/** A tapped hole, by designation; the depth is of the full thread. */
export const tap = featureKind({
  kind: 'tap',
  label: 'Tapped hole',
  fields: [
    FROM,
    { key: 'designation', label: 'Thread', takes: 'text', needed: true, hint: 'M6, M14x1, 1/4-20' },
    DEPTH,
    { key: 'class', label: 'Class', takes: NUT_CLASSES },
    { key: 'hand', label: 'Hand', takes: ['right', 'left'] },
    NAME,
    WHY,
  ],
  read(values, path, around) {
    const { length, units } = around;
    const { from } = values;
    const told = { hand: values.hand, of: values.class };
    return andThen(readThread(values.designation, `${path}.designation`, NUT_CLASSES, told), (thread) =>
      andThen(depthOf(values, path, around), ({ depth, through, deep }) => {
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
          ...(deep ? { deep } : {}),
          dimensions: [
            { kind: 'note', z: placeOf(from, depth / 2, length), r: core / 2, text: thread.designation },
            ...(through ? [] : [depthDimension(from, depth, length, deep)]),
          ],
        });
      }),
    );
  },
});
