import { featureKind } from '../featureKind';
import { good, refuse } from '../../model/result';
import { formatNominal } from '../../model/units/length';
import { say, sayDiameter } from '../../model/words';
import { AT, DATUM, NAME, lowestRadius, offPart, radiusBeside } from './at';
import { CLOSE } from '../../model/tolerances';

/** A knurl on a cylinder. */
export const knurl = featureKind({
  kind: 'knurl',
  label: 'Knurl',
  fields: [
    AT,
    { key: 'length', label: 'Length', takes: 'length', needed: true },
    { key: 'pattern', label: 'Pattern', takes: ['straight', 'diamond'], needed: true },
    { key: 'pitch', label: 'Pitch', takes: 'length', needed: true },
    NAME,
    DATUM,
  ],
  read(values, path, around) {
    const { units, outside } = around;
    const [z0, length, pitch] = [values.at.nominal, values.length, values.pitch];
    const z1 = z0 + length;
    const off = offPart(`${path}.length`, z0, z1, around);
    if (off) return off;
    const surface = radiusBeside(outside, z0, 1);
    if (
      Math.abs(lowestRadius(outside, z0, z1) - surface) > CLOSE ||
      Math.abs(radiusBeside(outside, z1, -1) - surface) > CLOSE
    )
      return refuse(`${path}.length`, 'a knurl needs one diameter along its whole length');
    if (pitch > surface)
      return refuse(
        `${path}.pitch`,
        `a pitch of ${say(pitch, units)} is not one for ${sayDiameter(2 * surface, units)}`,
      );
    const pattern = values.pattern;
    return good({
      path,
      kind: 'knurl',
      name: `${pattern} knurl, pitch ${say(pitch, units)}`,
      z0,
      z1,
      knurl: { pattern, pitch },
      dimensions: [
        { kind: 'note', z: (z0 + z1) / 2, r: surface, text: `${pattern} knurl ${formatNominal(pitch, units)}` },
        { kind: 'length', z0, z1 },
      ],
    });
  },
});
