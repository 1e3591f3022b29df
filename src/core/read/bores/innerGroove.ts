import { featureKind } from '../featureKind';
import { cylinder } from '../../model/workpiece/segment';
import { good, refuse } from '../../model/result';
import { say, sayDiameter } from '../../model/words';
import { FROM, NAME, placeOf, seenFrom } from './hole';

/** A groove in the wall of a bore, by its place from the face, width and bottom. */
export const innerGroove = featureKind({
  kind: 'groove',
  label: 'Internal groove',
  fields: [
    FROM,
    { key: 'at', label: 'At', takes: 'place', needed: true, hint: 'from the face it goes in at' },
    { key: 'width', label: 'Width', takes: 'size', needed: true },
    { key: 'bottom', label: 'Bottom ⌀', takes: 'size', needed: true },
    NAME,
  ],
  read(values, path, around) {
    const { length, units } = around;
    const { from } = values;
    const [at, width, bottom] = [values.at.nominal, values.width, values.bottom];
    if (at < 0 || at + width.nominal > length)
      return refuse(
        `${path}.at`,
        `lies from ${say(at, units)} to ${say(at + width.nominal, units)}, and the part is ${say(length, units)} long`,
      );
    const bore = seenFrom(from, [cylinder(at, at + width.nominal, bottom.nominal / 2)], length);
    const [z0, z1] = [bore[0]?.z0 ?? 0, bore.at(-1)?.z1 ?? 0];
    return good({
      path,
      kind: 'inner-groove',
      name: `internal groove ${say(width.nominal, units)} wide to ${sayDiameter(bottom.nominal, units)}`,
      from,
      z0,
      z1,
      bore,
      size: bottom,
      place: { face: from === 'front' ? 0 : around.edges.length - 1, size: values.at },
      dimensions: [
        { kind: 'diameter', z: placeOf(from, at + width.nominal / 2, length), size: bottom },
        { kind: 'length', z0, z1, size: width },
      ],
    });
  },
});
