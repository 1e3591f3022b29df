import { sayFigure } from '../../model/units/mark';
import { finishedPart } from '../../model/workpiece/finishedPart';
import { largestRadius } from '../../model/workpiece/profile';
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

/** Flats that the bar does not bring, milled. */
export const mill: OutsideKind = (run, made, setups) =>
  run.part.features.flatMap((feature) => {
    const { flats, path, name, z0, z1 } = feature;
    if (!flats || made.has(path)) return [];
    const { outside } = run.shop;
    const { after, reasons } = placeAcross(feature, run, setups);
    const radius = largestRadius(finishedPart(run.part).outside, z0 + 1e-6, z1 - 1e-6);
    const depth = Number((radius - flats.fromAxis).toFixed(3));
    const indexing = flats.count > 1 ? `${flats.count} flats, indexed by ${sayFigure(360 / flats.count, 3)}°; ` : '';
    return [
      {
        key: `outside-op:${path}`,
        kind: 'outside-op' as const,
        after,
        feature: path,
        name: `Mill ${name}`,
        setup: setupMinutes('setting up the mill', 'vice or dividing head, cutter', outside.millSetup),
        piece: pieceMinutes('milling', [
          [IN_AND_OUT, outside.load],
          [`${flats.count} × a flat`, flats.count * outside.millFlat],
        ]),
        notes: [
          `${indexing}${say(depth, run.units)} deep from the round, ${say(Number((z1 - z0).toFixed(3)), run.units)} long. The first is right when ${say(Number((flats.fromAxis + radius).toFixed(3)), run.units)} are measured over flat and round.`,
          ...sayTurned(feature),
        ],
        reasons: [
          { rule: 'OUTSIDE', because: 'No turning tool makes a flat, and the bar does not bring it.' },
          ...reasons,
        ],
        cautions: [elsewhereCaution('mill'), unmarked],
      },
    ];
  });
