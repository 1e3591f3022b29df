import { radiusOn, type Segment } from '../../model/workpiece/segment';

/** One step of a round form: turn to this diameter up to this z. mm */
export interface FormStep {
  z: number;
  diameter: number;
  /** The stretch of the form that it clears. */
  z0: number;
  z1: number;
}

/**
 * Steps that rough out a round form, and the corner that each leaves to be filed or blended (trade: Shop arithmetic). Equal angles
 * on the arc; the corner between two steps is at most half of the arc between them.
 * @param scallop what may be left, mm
 */
export function stepTable(piece: Segment, scallop: number): FormStep[] {
  const { arc, z0, z1 } = piece;
  if (!arc) return [];
  const angle = (z: number) => Math.acos(Math.max(-1, Math.min(1, (z - arc.z) / arc.radius)));
  const [from, to] = [angle(z0), angle(z1)];
  const count = Math.max(2, Math.ceil((Math.abs(from - to) * arc.radius) / (2 * scallop) - 1e-9));
  const places = Array.from(
    { length: count + 1 },
    (_, index) => arc.z + arc.radius * Math.cos(from + ((to - from) * index) / count),
  );
  // Each step goes as far as the form is no lower: to the end of the stretch that is nearer to the axis.
  return places.slice(1).map((z, index) => {
    const before = places[index] ?? z;
    const high = Math.max(radiusOn(piece, before), radiusOn(piece, z));
    return { z: radiusOn(piece, z) >= radiusOn(piece, before) ? z : before, diameter: 2 * high, z0: before, z1: z };
  });
}
