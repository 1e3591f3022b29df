import { sayFigure } from '../../model/units/mark';
import { featureKind } from '../featureKind';
import { chamferCut } from '../../model/workpiece/chamferCut';
import { radiusOn, type Profile } from '../../model/workpiece/segment';
import { andThen, good, refuse } from '../../model/result';
import { formatNominal } from '../../model/units/length';
import { say } from '../../model/words';
import { AT, DATUM, NAME } from './at';
import { CLOSE } from '../../model/tolerances';
import { cornerAt, wrongSide } from './corner';

/** The plain chamfer of most drawings. */
const USUAL_ANGLE = 45;

/** The radius of an outside at a place, seen from before it or from behind it, mm. */
const radiusBefore = (outside: Profile, z: number): number =>
  Math.max(0, ...outside.filter(({ z0, z1 }) => z0 < z - CLOSE && z1 > z - CLOSE).map((side) => radiusOn(side, z)));
const radiusBehind = (outside: Profile, z: number): number =>
  Math.max(0, ...outside.filter(({ z0, z1 }) => z0 < z + CLOSE && z1 > z + CLOSE).map((side) => radiusOn(side, z)));

/** A chamfer on the outer corner of a shoulder or an end face: 45° by its leg, or any angle by its length along z. */
export const chamfer = featureKind({
  kind: 'chamfer',
  label: 'Chamfer',
  onCorner: true,
  fields: [
    AT,
    { key: 'size', label: 'Length', takes: 'length', needed: true, hint: 'along the axis' },
    { key: 'angle', label: 'Angle', takes: 'angle', hint: 'from the axis; 45° when left empty' },
    { key: 'side', label: 'Faces', takes: ['front', 'back'] },
    NAME,
    DATUM,
  ],
  read(values, path, around) {
    const { units } = around;
    const size = values.size;
    const angle = values.angle ?? USUAL_ANGLE;
    return andThen(cornerAt(values.at.nominal, `${path}.at`, around), (corner) => {
      const turned = wrongSide(values.side, corner, `${path}.side`, units);
      if (turned) return turned;
      if (angle >= 90) return refuse(`${path}.angle`, `${sayFigure(angle)}° from the axis is not a chamfer`);
      const down = size * Math.tan((angle * Math.PI) / 180);
      const height = corner.high - corner.low;
      const [z0, z1] = corner.faces === 'front' ? [corner.z, corner.z + size] : [corner.z - size, corner.z];
      // Along the axis it is as long as is written, also on a cone, where it ends higher or lower than the corner.
      const far = corner.faces === 'front' ? radiusBefore(around.outside, z1) : radiusBehind(around.outside, z0);
      const legs = angle === USUAL_ANGLE ? say(size, units) : `${say(Number(down.toFixed(3)), units)} in height`;
      if (corner.low > CLOSE && down > height - CLOSE)
        return refuse(
          `${path}.size`,
          `a chamfer of ${legs} is as high as the shoulder it sits on (${say(height, units)})`,
        );
      if (down > Math.min(far, corner.high) - CLOSE)
        return refuse(
          `${path}.size`,
          `a chamfer of ${legs} is larger than the radius it sits on (${say(corner.high, units)})`,
        );
      return good({
        path,
        kind: 'chamfer',
        name: `chamfer ${say(size, units)} × ${sayFigure(angle)}°`,
        z0,
        z1,
        outside: chamferCut(corner.z, far, size, down, corner.faces),
        dimensions: [
          {
            kind: 'note',
            z: (z0 + z1) / 2,
            r: far - down / 2,
            text: `${formatNominal(size, units)} × ${sayFigure(angle)}°`,
          },
        ],
      });
    });
  },
});
