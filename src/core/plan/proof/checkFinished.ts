import type { Profile } from '../../model/workpiece/segment';
import type { CutSetup } from '../cuts/planCuts';
import type { Feature } from '../../model/part/feature';
import type { Hole, Part } from '../../model/part/part';
import type { Size } from '../../model/part/size';
import { good, refuse, type Result } from '../../model/result';
import { sayDiameter } from '../../model/words';
import { lowestRadius } from '../../read/details/at';
import { madeChamfers, madeFeatures } from '../reach/reached';
import { outsideOf } from '../../model/workpiece/finishedPart';
import { lower, volume, widen } from '../../model/workpiece/profile';
import type { Workpiece } from '../../model/workpiece/workpiece';

/** Arithmetic only: a share of the part's volume, and a hair along z. */
const EXACT = 1e-6;

/** A profile at the size that is aimed at rather than the nominal one. */
const atAim = (profile: Profile, size: Size | undefined): Profile => {
  const by = size ? (size.aim - size.nominal) / 2 : 0;
  return profile.map((segment) => ({ ...segment, r0: segment.r0 + by, r1: segment.r1 + by }));
};

/** Whether the bore of a feature is there: where it is narrowest within its limits, or nothing of its profile left. */
function isBored({ bore, size, z0, z1 }: Feature, left: Workpiece): boolean {
  if (!bore) return true;
  if (!size) return volume(widen(left.bore, bore)) - volume(left.bore) < EXACT * volume(bore);
  const off = 2 * lowestRadius(left.bore, z0, z1) - size.nominal;
  return off > size.lower - EXACT && off < size.upper + EXACT;
}

/** A hole that the work does not have within its limits. */
function missingHole(part: Part, made: Feature[], { bore }: Workpiece): Hole | undefined {
  return part.holes.find(({ from, depth, diameter }) => {
    const [z0, z1] = from === 'front' ? [0, depth] : [part.length - depth, part.length];
    // Where a reamer went over the whole of it, that one is looked at.
    if (made.some((own) => own.bore && own.z0 < z0 + EXACT && own.z1 > z1 - EXACT)) return false;
    // Its mouth may be sunk, and wider holes lie over it: where it is narrowest it is the hole itself.
    const off = 2 * lowestRadius(bore, z0, z1) - diameter.nominal;
    return off < diameter.lower - EXACT || off > diameter.upper + EXACT;
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
  const { stock, run } = last.setup;
  const cuts = setups.flatMap((own) => own.cuts);
  const part = { ...last.setup.part, chamfers: madeChamfers(last.setup.part, cuts) };
  const made = ({ path, diameter }: Part['steps'][number]) =>
    stock.asDrawn.includes(path) ? stock.over : diameter.aim;
  const features = madeFeatures(part, cuts);
  const withFillets = features.reduce<Profile>(
    (profile, { leaves }) => (leaves ? widen(profile, leaves) : profile),
    outsideOf(part, made),
  );
  const wanted = volume(
    features.reduce<Profile>(
      (profile, { outside: cut, size }) => (cut ? lower(profile, atAim(cut, size)) : profile),
      withFillets,
    ),
  );
  const outside = volume(left.outside);
  const cubic = (mm3: number) => (mm3 / 1000).toFixed(4);
  if (Math.abs(outside - wanted) > EXACT * wanted)
    return refuse(
      'part.outside',
      `running the plan leaves ${cubic(outside)} cm³ within the outside where the drawing has ${cubic(wanted)}: this part is not planned right, and nothing is given out for it`,
    );
  const undone = features.find((feature) => !isBored(feature, left));
  if (undone)
    return refuse(
      undone.path,
      `running the plan does not leave the ${undone.name}: this part is not planned right, and nothing is given out for it`,
    );
  const hole = missingHole(part, features, left);
  if (!hole) return good(null);
  return refuse(
    hole.path,
    `running the plan does not leave the hole of ${sayDiameter(hole.diameter.nominal, run.units)} within its limits: this part is not planned right, and nothing is given out for it`,
  );
}
