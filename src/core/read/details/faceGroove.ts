import { featureKind } from '../featureKind';
import { good, refuse } from '../../model/result';
import { formatNominal } from '../../model/units/length';
import { say, sayDiameter } from '../../model/words';
import { NAME, radiusBeside } from './at';

/** A groove in a flat face, between two diameters, as for a seal. */
export const faceGroove = featureKind({
  kind: 'face-groove',
  label: 'Face groove',
  fields: [
    { key: 'face', label: 'Face', takes: ['front', 'back'], needed: true },
    { key: 'inner', label: 'Inner diameter', takes: 'size', needed: true },
    { key: 'outer', label: 'Outer diameter', takes: 'size', needed: true },
    { key: 'depth', label: 'Depth', takes: 'size', needed: true },
    NAME,
  ],
  read(values, path, { units, length, outside }) {
    const face = values.face === 'back' ? 'back' : 'front';
    const [inner, outer, deep] = [values.inner, values.outer, values.depth];
    const depth = deep.aim;
    if (inner.nominal >= outer.nominal)
      return refuse(
        `${path}.inner`,
        `${sayDiameter(inner.nominal, units)} is not less than the outer ${sayDiameter(outer.nominal, units)}`,
      );
    const edge = 2 * radiusBeside(outside, face === 'front' ? 0 : length, face === 'front' ? 1 : -1);
    if (outer.nominal >= edge)
      return refuse(
        `${path}.outer`,
        `${sayDiameter(outer.nominal, units)} leaves no wall: the face there is ${sayDiameter(edge, units)}`,
      );
    if (depth >= length)
      return refuse(`${path}.depth`, `${say(depth, units)} is as deep as the part is long (${say(length, units)})`);
    const words = `${sayDiameter(inner.nominal, units)} to ${sayDiameter(outer.nominal, units)}`;
    return good({
      path,
      kind: 'face-groove',
      name: `groove in the ${face} face, ${words}, ${say(depth, units)} deep`,
      from: face,
      z0: face === 'front' ? 0 : length - depth,
      z1: face === 'front' ? depth : length,
      inFace: { inner, outer },
      deep,
      dimensions: [
        {
          kind: 'note',
          z: face === 'front' ? 0 : length,
          r: outer.nominal / 2,
          text: `face ⌀${formatNominal(inner.nominal, units)}/${formatNominal(outer.nominal, units)} × ${formatNominal(depth, units)}`,
        },
      ],
    });
  },
});
