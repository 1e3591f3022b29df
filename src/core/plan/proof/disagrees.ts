import { isCutInto } from '../../model/plan/isCutInto';
import type { Run } from '../../model/run';
import { disagreements } from './agree';
import { withCorners } from './corners';
import { drawnLimits } from './drawn';
import type { Fault } from './faults';
import { placeOf } from './placeOf';
import type { Section } from './section/section';
import { toolNamed } from './standing';
import type { WrittenPlan } from './written';

/** The rule by which a plan tells of a feature that nothing makes. */
const NOT_MADE = 'NO-OPERATION';

/** Centre holes that its operations leave in a face. */
const centresOf = ({ setups }: WrittenPlan, run: Run) =>
  setups.flatMap(({ end, operations }) =>
    operations
      .filter(({ kind }) => kind === 'centre')
      .flatMap((operation) => {
        const deepest = Math.max(
          ...operation.passes.flatMap(({ path = [] }) =>
            path.map(({ z }) => (end === 'front' ? z : run.part.length - z)),
          ),
        );
        const diameter = toolNamed(operation, run)?.diameter ?? 0;
        return deepest > 0 ? [{ end, depth: deepest, diameter }] : [];
      }),
  );

/** Where the finished piece is not the drawing's, but for what the plan says that nothing makes. z of the part. */
export function disagreesWith(piece: Section, plan: WrittenPlan, run: Run): Fault[] {
  const { part } = run;
  const untouched = new Set(plan.doubts.flatMap(({ rule, path }) => (rule === NOT_MADE ? [path] : [])));
  const made = new Set(
    [...part.features, ...part.holes, ...part.chamfers].map(({ path }) => path).filter((path) => !untouched.has(path)),
  );
  const limits = drawnLimits(part, made, centresOf(plan, run), run.shop.cutting.silentCorner);
  const allowed = { ...limits, most: withCorners(limits.most, run.shop.cutting.silentCorner) };
  const last = plan.setups.at(-1)?.number ?? 0;
  const done = new Set(plan.setups.flatMap(({ operations }) => operations.flatMap(({ makes = [] }) => makes)));
  const arrives = run.stock === 'choose' ? undefined : run.stock.piece;
  // A thread leaves no trace in the section, nor does a knurl.
  const notMade = part.features
    .filter((feature) => (feature.thread ?? feature.knurl) && made.has(feature.path) && !done.has(feature.path))
    .filter((feature) => !(arrives && isCutInto(arrives, feature)))
    .map(({ path, name }): Fault => ({ code: 'not-made', setup: last, what: name, path }));
  const wrong = disagreements(piece, allowed).map((place): Fault => ({
    code: place.kind === 'too much' ? 'too-much-metal' : 'too-little-metal',
    setup: last,
    what: `${place.kind} metal`,
    path: placeOf(part, place),
    z: (place.z0 + place.z1) / 2,
    diameter: 2 * (place.kind === 'too much' ? place.r1 : place.r0),
    amount: place.by,
  }));
  return [...notMade, ...wrong];
}
