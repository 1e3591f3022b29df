import { say } from '../../model/words';
import { placeAcross } from './acrossKnurl';
import {
  elsewhereCaution,
  IN_AND_OUT,
  pieceMinutes,
  sayTurned,
  setupMinutes,
  unmarked,
  type OutsideKind,
} from './outsideOp';

/** Holes across the axis, drilled on the bench or the mill. */
export const crossDrill: OutsideKind = (run, _made, setups) =>
  run.part.features.flatMap((feature) => {
    const { cross, path, name, z0, z1 } = feature;
    if (!cross) return [];
    const { outside } = run.shop;
    const { after, reasons } = placeAcross(feature, run, setups);
    return [
      {
        key: `outside-op:${path}`,
        kind: 'outside-op' as const,
        after,
        feature: path,
        name: `Drill ${name}`,
        setup: setupMinutes(
          'setting up the drill',
          'vee block, stop for the length, centre and drill',
          outside.drillSetup,
        ),
        piece: pieceMinutes('drilling across', [
          [IN_AND_OUT, outside.load],
          ['centre and drill', outside.crossHole],
        ]),
        notes: [
          `Its middle ${say(Number(((z0 + z1) / 2).toFixed(3)), run.units)} from the front face, found from a stop against that face; across it the axis is half the span between two edges; both mouths are deburred, and the bore where it meets one.`,
          ...sayTurned(feature),
        ],
        reasons: [{ rule: 'OUTSIDE', because: 'It goes across the axis: the lathe does not drill it.' }, ...reasons],
        cautions: [elsewhereCaution('drill'), unmarked],
      },
    ];
  });
