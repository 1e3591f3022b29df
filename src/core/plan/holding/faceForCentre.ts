import type { Part } from '../../model/part/part';
import type { Problem, Result } from '../../model/result';
import { good, refuse } from '../../model/result';
import type { Run } from '../../model/run';
import { CLOSE } from '../../model/tolerances';
import { sayDiameter } from '../../model/words';
import { finishedPart } from '../../model/workpiece/finishedPart';
import { radiusAt } from '../../model/workpiece/profile';
import { centreDrillFor } from '../cutting/centres';

/** Whether the finished face of an end is wide enough for a centre: that of a ball or a needle is not. @returns how wide it is, mm */
export function faceForCentre(run: Run, view: Part, end: 'front' | 'back', wants: Problem['wants']): Result<number> {
  const face = 2 * radiusAt(finishedPart(view).outside, CLOSE);
  const seat = centreDrillFor(run.shop, face)?.diameter ?? 0;
  return face < seat + CLOSE
    ? refuse(
        'part.outside',
        `its ${end} face of ${sayDiameter(Number(face.toFixed(2)), run.units)} is no wider than the smallest centre`,
        wants,
      )
    : good(face);
}
