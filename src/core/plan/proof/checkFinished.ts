import { bad, good, refuse, type Problem, type Result } from '../../model/result';
import type { Run } from '../../model/run';
import { say, sayDiameter } from '../../model/words';
import type { Setup } from '../../model/plan/setup';
import type { CutOperation } from '../cuts/cutOperation';
import type { CutSetup } from '../cuts/planCuts';
import { bringsWithIt, madeChamfers, madeFeatures } from '../reach/reached';
import { disagreements, type Disagreement } from './agree';
import { placeOf } from './placeOf';
import { drawnLimits, sectionOfWork } from './drawn';
import { mirrored } from './section/section';

/** A hair along z, mm. */
const CLOSE = 1e-6;

/** What of a set-up is looked at: the work before and after its cuts. */
export type FinishedSetup = Pick<CutSetup, 'setup' | 'start' | 'cuts'>;

/** Whether a piece that is to come off the bar still hangs on it when its set-up ends. */
const hangsOnBar = ({ setup, cuts, start }: FinishedSetup): boolean =>
  setup.partsOff && ((cuts.at(-1)?.after ?? start).outside.at(-1)?.z1 ?? 0) > setup.part.length + setup.behind + CLOSE;

const NOT_RIGHT = 'this part is not planned right, and nothing is given out for it';

const problemOf = ({ part, units }: Run, wrong: Disagreement): Problem => ({
  path: placeOf(part, wrong),
  message: `running the plan leaves ${say(Number(wrong.by.toFixed(3)), units)} ${wrong.kind} metal from ${say(Number(wrong.z0.toFixed(3)), units)} to ${say(Number(wrong.z1.toFixed(3)), units)} behind the front face, between ${sayDiameter(Number((2 * wrong.r0).toFixed(3)), units)} and ${sayDiameter(Number((2 * wrong.r1).toFixed(3)), units)}: ${NOT_RIGHT}`,
});

/** What the operations of a plan make, and what the bar brought (paths). */
function madeIn(cuts: readonly CutOperation[], { run: { part }, stock }: Setup): Set<string> {
  // A step has the path of the cone or the ball on it: only what an operation says that it makes is one of those.
  return new Set([
    ...part.holes
      .map(({ path }) => path)
      .filter((path) => stock.asDrawn.includes(path) || cuts.some(({ feature }) => feature === path)),
    ...madeChamfers(part, cuts).map(({ path }) => path),
    // A groove in a face is no part of the two profiles: the proof alone sees it.
    ...madeFeatures(part, cuts).flatMap(({ path, inFace }) => (inFace ? [] : [path])),
    ...bringsWithIt(part, stock).map(({ path }) => path),
  ]);
}

/**
 * Checks that running the plan leaves the part of the drawing: everywhere within its limits, outside and inside, at its
 * own end of the part and place by place. A plan that does not is refused, never given out.
 */
export function checkFinished(setups: readonly FinishedSetup[]): Result<null> {
  const last = setups.at(-1);
  const left = last?.cuts.at(-1)?.after ?? last?.start;
  if (!last || !left) return refuse('part.outside', 'there is nothing to do');
  if (setups.some(hangsOnBar))
    return refuse('part.outside', `running the plan leaves the piece on its bar: ${NOT_RIGHT}`);
  const { run, end } = last.setup;
  const { part } = run;
  const made = madeIn(
    setups.flatMap(({ cuts }) => cuts),
    last.setup,
  );
  const centres = setups.flatMap(({ setup, cuts }) =>
    cuts
      .filter(({ kind, to }) => kind === 'centre' && to > 0)
      .map(({ to, tool }) => ({ end: setup.end, depth: to, diameter: tool.diameter ?? 0 })),
  );
  const seen = sectionOfWork(left);
  const wrong = disagreements(
    end === 'front' ? seen : mirrored(seen, part.length),
    drawnLimits(part, made, centres, run.shop.cutting.silentCorner),
  );
  return wrong.length === 0 ? good(null) : bad(...wrong.map((place) => problemOf(run, place)));
}
