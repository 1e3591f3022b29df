import { finishedPart } from '../../model/workpiece/finishedPart';
import { radiusAt } from '../../model/workpiece/profile';
import { faceForCentre } from './faceForCentre';
import { stiffnessOf } from './stiffness';
import { timesByItself } from './support';
import type { Setup, Turned } from '../../model/plan/setup';
import { refuse, good, type Result } from '../../model/result';
import { say } from '../../model/words';
import { CLOSE } from '../../model/tolerances';
import { askedStickOut } from '../../model/overrule';
import { clearanceOf, workedWhole, type Attempt, type Layout, type MadeFirst, type Worked } from './layout';

/**
 * What is made at one end while it stands out so far: everything, or as much as is cut near enough to the jaws before it is
 * drawn out for the rest. z of the view, mm.
 */
export interface Pull extends Omit<MadeFirst, 'turned'>, Worked {
  turned: Turned[];
  /** It makes the centre that a later one wants. */
  centres: boolean;
}

/** Something to be made, and between which places its tools go. */
interface Piece {
  path: string;
  from: number;
  to: number;
}

/** What is cut while the work stands out so far (paths), and between which places. */
interface Group {
  from: number;
  to: number;
  paths: string[];
}

/** All of an end in one pull. */
export const wholePull = (layout: Layout, { drilled, features, chamfered }: MadeFirst): Pull => ({
  ...workedWhole(layout),
  turned: layout.turned,
  drilled,
  features,
  chamfered,
  centres: false,
});

/**
 * How far a step is turned before the work is drawn out: past its end where what comes behind is no wider and is turned
 * later, so that the nose leaves nothing standing at its edge.
 */
const turnedTo = ({ run }: Attempt, { view, turned }: Layout, { path, to, shoulder }: Turned): number => {
  const next = view.steps[view.steps.findIndex((step) => step.path === path) + 1];
  const isTurnedLater = turned.some((other) => other.path === next?.path);
  return isTurnedLater && !shoulder ? to + run.shop.allowances.overrun : to;
};

/** What is cut from outside, the nearest first; what is cut into a step, or breaks its edge, waits for the step. */
function outsidePieces(attempt: Attempt, layout: Layout, made: MadeFirst): Piece[] {
  const { stock } = attempt;
  const { view, turned } = layout;
  const steps = turned.map((each): Piece => {
    const step = view.steps.find(({ path }) => path === each.path);
    return { path: each.path, from: step?.zFrom ?? 0, to: turnedTo(attempt, layout, each) };
  });
  const under = (z0: number, z1: number) =>
    steps.filter(({ path }) => view.steps.some((s) => s.path === path && s.zFrom < z1 + CLOSE && s.zTo > z0 - CLOSE));
  const cut = view.features.filter(
    ({ path, bore, inFace }) => !bore && !inFace && made.features.includes(path) && !stock.asDrawn.includes(path),
  );
  const cutInto = cut.map(({ path, thread, z0, z1 }): Piece => {
    // The relief of a thread is there before the thread (trade: Order, RELIEF-FIRST).
    const reliefs = thread ? cut.filter((other) => Math.abs(other.z0 - z1) < CLOSE) : [];
    const ends = [...under(z0 + 2 * CLOSE, z1 - 2 * CLOSE).map(({ to }) => to), ...reliefs.map((relief) => relief.z1)];
    return { path, from: z0, to: Math.max(z1, ...ends) };
  });
  const edges = view.chamfers
    .filter(({ path }) => made.chamfered.includes(path))
    .map(({ path, z, step }): Piece => ({
      path,
      from: z,
      to: Math.max(z, ...steps.filter((one) => one.path === step).map(({ to }) => to)),
    }));
  return [...steps, ...cutInto, ...edges].sort((a, b) => a.to - b.to || a.from - b.from);
}

/** Whether what is cut in one leans out farther than is borne, mm. */
const leaningBy =
  (borne: number, clearance: number) =>
  ({ from, to }: Pick<Group, 'from' | 'to'>): boolean =>
    to + clearance - from > borne + CLOSE;

/** What is cut as the work stands, and drawn out; and whether each leans out farther than is borne. */
function groupsOf(
  begin: Group,
  pieces: readonly Piece[],
  leaning: ReturnType<typeof leaningBy>,
): { groups: Group[]; leans: boolean[] } {
  const near: Group[] = [{ ...begin, paths: [] }];
  for (const piece of pieces) {
    const group = near.at(-1);
    const both = group && { from: Math.min(group.from, piece.from), to: Math.max(group.to, piece.to) };
    // Under a centre anyway, what ends where the rest does is cut with it.
    const fits = both && (!leaning(both) || (leaning(group) && piece.to < group.to + CLOSE));
    const into: Group = fits ? group : { from: piece.from, to: piece.from, paths: [] };
    if (!fits) near.push(into);
    Object.assign(into, fits ? both : { to: piece.to });
    into.paths.push(piece.path);
  }
  // With the centre up once, all that wants it is cut as it stands.
  const groups = near.reduce<Group[]>((all, group) => {
    const before = all.at(-1);
    if (!before || !leaning(before) || !leaning(group)) return [...all, group];
    const from = Math.min(before.from, group.from);
    return [...all.slice(0, -1), { from, to: group.to, paths: [...before.paths, ...group.paths] }];
  }, []);
  return { groups, leans: groups.map(leaning) };
}

/**
 * Divides what is made at one end into pulls (trade: Safe holds): each is cut so near to its jaws that it bears it without a
 * centre; what goes on for longer than that wants one, which the first pull makes. From the bar the part-off comes last.
 * @returns at least two, or why it cannot be drawn out
 */
export function pullsOf(attempt: Attempt, layout: Layout, made: MadeFirst): Result<[Pull, ...Pull[]]> {
  const { run, stock } = attempt;
  const clearance = clearanceOf(run, stock);
  const { firstFacing, throughTo, partedAt, view } = layout;
  if (askedStickOut(run.overrules, 1)) return refuse('overrules', 'how far it stands out was decided');
  const pieces = outsidePieces(attempt, layout, made);
  const parting = throughTo === undefined ? [] : [{ path: 'part-off', from: partedAt, to: throughTo }];
  const begin = { from: -firstFacing, to: 0, paths: [] };
  const end = Math.max(0, ...[...pieces, ...parting].map(({ to }) => to)) + clearance;
  // What the bar bears by itself, or else what the work does once it is turned.
  const times = timesByItself(run);
  const [asBar, asTurned] = [times * stock.over, times * stiffnessOf(attempt, view, layout.turned, end)];
  const limits = [asBar, ...(asTurned < asBar ? [asTurned] : [])];
  const divided = limits.map((borne) => ({
    borne,
    ...groupsOf(begin, [...pieces, ...parting], leaningBy(borne, clearance)),
  }));
  const found = divided.find(({ groups }) => groups.length > 1);
  if (!found) return refuse('part.outside', 'all of it is cut near enough to the jaws as it stands out');
  const { borne, groups, leans } = found;
  // What is cut in one is as stout as what of it is turned, however thin the work is that stands before it.
  const wants = groups.some(({ from, to, paths }, index) => {
    const own = layout.turned.filter(({ path }) => paths.includes(path));
    const bears = Math.min(asBar, times * stiffnessOf(attempt, view, own, to + clearance));
    return leans[index] && leaningBy(bears, clearance)({ from, to });
  });
  const mouth = 2 * radiusAt(finishedPart(view).bore, CLOSE);
  // A centre bears in the mouth of a hole as well, as far as its own cone is wide.
  if (wants && (stock.bore > 0 || mouth >= run.shop.bodies.centre))
    return refuse(
      'part.bores',
      `more than ${say(borne, run.units)} of it are cut in one, which wants a centre, and a hole in that face takes its place`,
    );
  const face = wants && mouth < CLOSE ? faceForCentre(run, view, attempt.firstEnd, 'end') : good(0);
  if (!face.ok) return face;
  // A cone has the path of its step: they are made together. A hole is made while the work is shortest and stiffest.
  const places = new Map(groups.flatMap(({ paths }, index) => paths.map((path) => [path, index] as const)));
  const pulls = groups.map(({ from, to }, index): Pull => {
    const here = (path: string) => (places.get(path) ?? 0) === index;
    const first = index === 0;
    const turned = layout.turned.filter(({ path }) => here(path));
    const far = turned.at(-1);
    return {
      turned: turned.map((each) => (each === far ? { ...each, to: turnedTo(attempt, layout, each) } : each)),
      drilled: made.drilled.filter(here),
      features: made.features.filter(here),
      chamfered: made.chamfered.filter(here),
      from,
      to,
      first,
      last: index === groups.length - 1,
      centres: first && wants && mouth < CLOSE,
    };
  });
  return good(pulls as [Pull, ...Pull[]]);
}

/** What pulls before it made (paths). */
export const madeBy = (pulls: readonly Pull[]): Setup['earlier'] =>
  pulls.flatMap(({ turned, drilled, features, chamfered }) => [
    ...turned.map(({ path }) => path),
    ...drilled,
    ...features,
    ...chamfered,
  ]);
