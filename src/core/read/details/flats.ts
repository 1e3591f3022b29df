import { featureKind } from '../featureKind';
import { good, refuse } from '../../model/result';
import { formatNominal } from '../../model/units/length';
import { say, sayDiameter } from '../../model/words';
import { AT, DATUM, NAME, lowestRadius, offPart, radiusBeside } from './at';
import { CLOSE } from '../../model/tolerances';

/** Flats on a round: one, two, four or six. One is measured to the round opposite it. */
export const flats = featureKind({
  kind: 'flats',
  label: 'Flats',
  fields: [
    AT,
    { key: 'length', label: 'Length', takes: 'length', needed: true },
    { key: 'count', label: 'How many', takes: 'count', needed: true, hint: '1, 2, 4 or 6' },
    {
      key: 'across',
      label: 'Across',
      takes: 'size',
      needed: true,
      hint: 'over two flats; one flat to the round opposite',
    },
    { key: 'angle', label: 'About the axis', takes: 'turn', hint: 'degrees from the first' },
    NAME,
    DATUM,
  ],
  read(values, path, around) {
    const { units, outside } = around;
    const [z0, length, count, across] = [values.at.nominal, values.length, values.count, values.across];
    const z1 = z0 + length;
    const turnedTo = values.angle;
    const off = offPart(`${path}.length`, z0, z1, around);
    if (off) return off;
    if (![1, 2, 4, 6].includes(count)) return refuse(`${path}.count`, `${count} is not one of 1, 2, 4 and 6`);
    const surface = radiusBeside(outside, z0, 1);
    if (
      Math.abs(lowestRadius(outside, z0, z1) - surface) > CLOSE ||
      Math.abs(radiusBeside(outside, z1, -1) - surface) > CLOSE
    )
      return refuse(`${path}.length`, 'flats need one diameter along their whole length');
    const fromAxis = count === 1 ? across.nominal - surface : across.nominal / 2;
    const sharp = surface * Math.cos(Math.PI / count);
    if (fromAxis >= surface)
      return refuse(
        `${path}.across`,
        `${say(across.nominal, units)} is not within ${sayDiameter(2 * surface, units)}: nothing would be cut`,
      );
    if (fromAxis <= 0 || (count > 2 && fromAxis < sharp - CLOSE))
      return refuse(
        `${path}.across`,
        count > 2
          ? `${say(across.nominal, units)} across needs no more than ${sayDiameter((2 * fromAxis) / Math.cos(Math.PI / count), units)}: make it a ${count === 6 ? 'hex' : 'square'} step`
          : `${say(across.nominal, units)} lies beyond the axis`,
      );
    return good({
      path,
      kind: 'flats',
      name: `${count === 1 ? 'flat' : `${count} flats`}, ${say(across.nominal, units)} across`,
      z0,
      z1,
      flats: { count, fromAxis },
      ...(turnedTo === undefined ? {} : { turnedTo }),
      size: across,
      dimensions: [
        {
          kind: 'note',
          z: (z0 + z1) / 2,
          r: fromAxis,
          text: `${count} × flat ${formatNominal(across.nominal, units)}`,
        },
        { kind: 'length', z0, z1 },
      ],
    });
  },
});
