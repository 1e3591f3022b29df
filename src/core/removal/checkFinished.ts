import type { CutSetup } from '../cutting/planCuts';
import type { Hole, Part } from '../part/part';
import { good, refuse, type Result } from '../result';
import { sayDiameter } from '../words';
import { outsideOf } from './finishedPart';
import { radiusAt, volume } from './profile';
import type { Workpiece } from './workpiece';

/** Arithmetic only: a share of the part's volume, and a hair along z. */
const EXACT = 1e-6;

/** Just above the bottom of a hole: there no wider hole covers it. */
const bottomOf = ({ from, depth }: Hole, { length }: Part): number =>
  from === 'front' ? depth - EXACT : length - depth + EXACT;

/** A hole that the work does not have within its limits. */
function missingHole(part: Part, { bore }: Workpiece): Hole | undefined {
  return part.holes.find((hole) => {
    const made = 2 * radiusAt(bore, bottomOf(hole, part)) - hole.diameter.nominal;
    return made < hole.diameter.lower - EXACT || made > hole.diameter.upper + EXACT;
  });
}

/** Whether a piece that is to come off the bar still hangs on it when its set-up ends. */
const hangsOnBar = ({ setup, cuts, start }: CutSetup): boolean =>
  setup.partsOff && ((cuts.at(-1)?.after ?? start).outside.at(-1)?.z1 ?? 0) > setup.part.length + setup.behind + EXACT;

/**
 * Checks that running the plan leaves the part of the drawing: its outside exactly, at the sizes that are aimed at and
 * those of a bar left as drawn, and every hole within its limits. A plan that does not is refused, never given out.
 */
export function checkFinished(setups: CutSetup[]): Result<null> {
  const last = setups.at(-1);
  const left = last?.cuts.at(-1)?.after ?? last?.start;
  if (!last || !left) return refuse('part.outside', 'there is nothing to do');
  if (setups.some(hangsOnBar))
    return refuse(
      'part.outside',
      'running the plan leaves the piece on its bar: this part is not planned right, and nothing is given out for it',
    );
  const { part, stock, run } = last.setup;
  const made = ({ path, diameter }: Part['steps'][number]) =>
    stock.asDrawn.includes(path) ? stock.over : diameter.aim;
  const [wanted, outside] = [volume(outsideOf(part, made)), volume(left.outside)];
  const cubic = (mm3: number) => (mm3 / 1000).toFixed(4);
  if (Math.abs(outside - wanted) > EXACT * wanted)
    return refuse(
      'part.outside',
      `running the plan leaves ${cubic(outside)} cm³ within the outside where the drawing has ${cubic(wanted)}: this part is not planned right, and nothing is given out for it`,
    );
  const hole = missingHole(part, left);
  if (!hole) return good(null);
  return refuse(
    hole.path,
    `running the plan does not leave the hole of ${sayDiameter(hole.diameter.nominal, run.units)} within its limits: this part is not planned right, and nothing is given out for it`,
  );
}
