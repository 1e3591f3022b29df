import { featureKind } from '../featureKind';
import { andThen, good, refuse } from '../../model/result';
import { say, sayDiameter } from '../../model/words';
import type { Thread } from '../../model/part/feature';
import { BOLT_CLASSES, readThread, threadDepth } from '../../model/part/thread';
import { AT, DATUM, NAME, lowestRadius, offPart, radiusBeside } from './at';
import { CLOSE } from '../../model/tolerances';

/** How far a diameter may lie from the thread's and still carry it: its own limits, and a fifth of the pitch. */
const fits = (diameter: number, { diameter: nominal, pitch }: Thread) =>
  diameter <= nominal + 0.05 && diameter >= nominal - 0.2 * pitch;

/** An external thread, by designation, with the run-out that the drawing allows. */
export const thread = featureKind({
  kind: 'thread',
  label: 'Thread',
  fields: [
    AT,
    { key: 'length', label: 'Length', takes: 'length', needed: true },
    { key: 'designation', label: 'Thread', takes: 'text', needed: true, hint: 'M6, M14x1, 1/4-20' },
    { key: 'class', label: 'Class', takes: BOLT_CLASSES },
    { key: 'hand', label: 'Hand', takes: ['right', 'left'] },
    { key: 'runOut', label: 'Run-out', takes: 'length', hint: 'beyond the full thread, where the drawing allows it' },
    NAME,
    DATUM,
  ],
  read(values, path, around) {
    const { units, outside } = around;
    const [z0, length] = [values.at.nominal, values.length];
    const z1 = z0 + length;
    const runOut = values.runOut;
    const off = offPart(`${path}.length`, z0, z1, around);
    if (off) return off;
    const told = { hand: values.hand, of: values.class };
    return andThen(readThread(values.designation, `${path}.designation`, BOLT_CLASSES, told), (thread) => {
      const surface = radiusBeside(outside, z0, 1);
      const least = lowestRadius(outside, z0, z1);
      if (!fits(2 * surface, thread) || Math.abs(least - surface) > CLOSE)
        return refuse(
          `${path}.designation`,
          `${thread.designation} cannot be cut here: it needs ${sayDiameter(Number(thread.diameter.toFixed(3)), units)} along its whole length, and the outside has ${sayDiameter(2 * surface, units)}${Math.abs(least - surface) > CLOSE ? ` down to ${sayDiameter(2 * least, units)}` : ''}`,
        );
      if (surface <= threadDepth(thread)) return refuse(`${path}.designation`, `${thread.designation} leaves no core`);
      return good({
        path,
        kind: 'thread',
        name: `thread ${thread.designation}, ${say(length, units)} long`,
        z0,
        z1,
        thread: { ...thread, ...(runOut === undefined ? {} : { runOut }) },
        dimensions: [
          { kind: 'note', z: (z0 + z1) / 2, r: surface, text: thread.designation },
          { kind: 'length', z0, z1 },
        ],
      });
    });
  },
});
