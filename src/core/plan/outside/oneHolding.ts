import { sayFigure } from '../../model/units/mark';
import type { Run } from '../../model/run';
import { IN_AND_OUT, pieceMinutes, setupMinutes, type OutsideOp } from './outsideOp';

/** Whether work is done across the axis in a head that indexes: flats and holes of this part. */
const isAcross = ({ feature }: OutsideOp, { part }: Run): boolean =>
  part.features.some(({ path, cross, flats }) => path === feature && (cross !== undefined || flats !== undefined));

/** What stays to be done of it when the piece is held already. */
function inThatHolding(operation: OutsideOp, first: OutsideOp, { part, shop }: Run): OutsideOp {
  const turnedTo = (path: string) => part.features.find((feature) => feature.path === path)?.turnedTo ?? 0;
  const by = (((turnedTo(operation.feature) - turnedTo(first.feature)) % 360) + 360) % 360;
  return {
    ...operation,
    setup: setupMinutes(
      operation.setup.name,
      'its tool and its place, in the holding that is there',
      shop.outside.again,
    ),
    piece: pieceMinutes(
      operation.piece.name,
      operation.piece.terms.filter(({ name }) => name !== IN_AND_OUT).map(({ name, value }) => [name, value]),
    ),
    notes: [
      `In the holding of “${first.name}”${by > 1e-6 ? `, turned on by ${sayFigure(by, 3)}°` : ', not turned'}.`,
      ...operation.notes,
    ],
  };
}

/**
 * Work across the axis between the same set-ups of the lathe, in one indexed holding (trade: Shop arithmetic): the piece is
 * loaded, and its axis and its first angle are found, once.
 */
export function inOneHolding(operations: readonly OutsideOp[], run: Run): OutsideOp[] {
  return operations.map((operation, index) => {
    const first = operations.find((other) => other.after === operation.after && isAcross(other, run));
    return first && operations.indexOf(first) < index && isAcross(operation, run)
      ? inThatHolding(operation, first, run)
      : operation;
  });
}
