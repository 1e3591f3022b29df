import type { Part, Step } from '../../model/part/part';
import type { Size } from '../../model/part/size';
import { thinnestBetween, type Workpiece } from '../../model/workpiece/workpiece';
import { finishedPart, isBlank } from '../../model/workpiece/finishedPart';
import type { Run } from '../../model/run';
import { say, sayDiameter } from '../../model/words';
import type { Surface } from './means/holding';
import { CLOSE } from '../../model/tolerances';

const nominal = (step: Step | undefined) => step?.diameter.nominal ?? 0;

/** From here on a surface is not called by its nominal size, mm: limits to one side of it, or metal left for work elsewhere. */
const OFF_NOMINAL = 0.05;

/** The diameter at which a surface stands when the lathe has made it. */
const standsAt = ({ nominal: drawn, aim }: Size): number =>
  Math.abs(aim - drawn) < OFF_NOMINAL ? drawn : Number(aim.toFixed(2));

interface Stretch {
  from: number;
  to: number;
  gaps: number;
  thread: boolean;
  threadName?: string;
  knurl: boolean;
}

/** Features that jaws reach across, where enough of the diameter is left beside them. */
const CROSSED = ['groove', 'vee', 'cross-hole', 'flats'];

/** Where a step begins behind the edges that are broken at its front. */
const frontOf = ({ chamfers }: Part, { path, zFrom }: Step): number =>
  chamfers
    .filter(({ step, end, z }) => step === path && end === 'front' && Math.abs(z - zFrom) < CLOSE)
    .reduce((z, { size }) => z + size, zFrom);

/** The stretches of a step that nothing is cut into, those that carry a thread or a knurl, and all of it across grooves. */
function stretchesOf(view: Part, step: Step): Stretch[] {
  const { features } = view;
  const { zTo } = step;
  const begins = frontOf(view, step);
  const over = features.filter(
    ({ bore, inFace, z0, z1 }) => !bore && !inFace && z0 < zTo - CLOSE && z1 > begins + CLOSE,
  );
  const places = [begins, zTo, ...over.flatMap(({ z0, z1 }) => [z0, z1])].filter((z) => z >= begins && z <= zTo);
  const sorted = [...new Set(places)].sort((a, b) => a - b);
  const across = over.length > 0 && over.every(({ kind }) => CROSSED.includes(kind));
  const gaps = over.reduce((total, { z0, z1 }) => total + Math.min(z1, zTo) - Math.max(z0, begins), 0);
  const whole: Stretch[] = across ? [{ from: begins, to: zTo, gaps, thread: false, knurl: false }] : [];
  const free = sorted.slice(1).flatMap((to, index): Stretch[] => {
    const from = sorted[index] ?? to;
    const here = over.filter(({ z0, z1 }) => z0 < to - CLOSE && z1 > from + CLOSE);
    if (to - from < CLOSE || here.some(({ outside }) => outside)) return [];
    const threadName = here.find(({ thread }) => thread)?.thread?.designation;
    return [
      {
        from,
        to,
        gaps: 0,
        thread: here.some(({ thread }) => thread),
        ...(threadName === undefined ? {} : { threadName }),
        knurl: here.some(({ knurl }) => knurl),
      },
    ];
  });
  return [...free, ...whole];
}

/** Whether the wall over a bore is thin between two places. */
function isThin(work: Workpiece, from: number, to: number, { shop }: Run): boolean {
  const wall = thinnestBetween(work, from, to);
  return wall !== undefined && wall.wall / wall.diameter < shop.cutting.thinWall;
}

/** What of the outside is finished when the first set-up ends: its steps up to a count, and those that the bar brings. */
function outsideSurfaces(
  run: Run,
  view: Part,
  count: number,
  asDrawn: readonly string[],
  made: readonly string[],
  walls: Workpiece | undefined,
): Surface[] {
  const { toolClearance, closest } = run.shop.allowances;
  return view.steps.flatMap((step, index) => {
    if (index >= count && !asDrawn.includes(step.path)) return [];
    // A hexagon that the bar does not bring is round until it is milled.
    const flats = asDrawn.includes(step.path)
      ? view.features.find(({ path, flats: brought }) => path === step.path && brought)?.flats
      : undefined;
    const against = nominal(view.steps[index + 1]) > nominal(step) + CLOSE && index + 1 < count;
    const before = view.steps[index - 1];
    const begins = frontOf(view, step);
    const seats = !before || nominal(step) - nominal(before) >= 2 * run.shop.cutting.seatLeast - CLOSE;
    return stretchesOf(view, step).flatMap(({ from, to, gaps, thread, threadName, knurl }): Surface[] => {
      // What the second set-up still works before it wants the same room as its face, where there is any; a shape has its tool beside it.
      const worked = view.features.flatMap(({ path, z0, bore, cross }) =>
        made.includes(path) || bore || cross || z0 < to - CLOSE ? [] : [Math.max(to, z0 - closest)],
      );
      const next = Math.min(against ? Infinity : step.zTo, ...worked);
      const on = flats
        ? `${say(2 * flats.fromAxis, run.units)} across flats`
        : sayDiameter(standsAt(step.diameter), run.units);
      const surface = {
        path: step.path,
        name: step.name ?? on,
        on,
        diameter: isBlank(view, step) ? step.diameter.aim : standsAt(step.diameter),
        from,
        gaps,
        inside: false,
        fit: step.critical || step.diameter.from !== 'general',
        thread,
        ...(threadName === undefined ? {} : { threadName }),
        knurl,
        ...(flats ? { flats: flats.count } : {}),
        thin: walls !== undefined && isThin(walls, from, to, run),
        seat: seats && from < begins + CLOSE,
      };
      const clear = { ...surface, end: Math.min(to, next - toolClearance), close: false };
      return clear.end < to ? [clear, { ...surface, end: Math.min(to, next - closest), close: true }] : [clear];
    });
  });
}

/** Bores that the first set-up finishes, straight from the face that then looks into the chuck. */
function boredSurfaces(run: Run, view: Part, made: readonly string[]): Surface[] {
  // Right through, what holds stays clear of the face that is worked.
  const clearOf = (z: number) => Math.min(z, view.length - run.shop.allowances.toolClearance);
  const common = { gaps: 0, close: false, inside: true, knurl: false, thin: false, from: 0 };
  const drilled = view.holes.filter(({ path, from, through }) => made.includes(path) && (from === 'front' || through));
  return [
    ...view.features.flatMap(({ path, bore, size, thread, called, z0, z1, name, critical }): Surface[] => {
      const straight = bore?.length === 1 && bore[0]?.r0 === bore[0]?.r1 && !bore[0]?.arc;
      if (!bore || !straight || z0 > CLOSE || !size || !made.includes(path)) return [];
      return [
        {
          ...common,
          path,
          name: called ?? name,
          on: sayDiameter(standsAt(size), run.units),
          diameter: standsAt(size),
          end: clearOf(z1),
          fit: critical === true || size.from !== 'general',
          thread: thread !== undefined,
        },
      ];
    }),
    ...drilled.map(({ path, name, diameter, depth, through, critical }): Surface => ({
      ...common,
      path,
      name: name ?? `bore ${sayDiameter(diameter.nominal, run.units)}`,
      on: sayDiameter(standsAt(diameter), run.units),
      diameter: standsAt(diameter),
      end: clearOf(through ? view.length : depth),
      fit: critical === true || diameter.from !== 'general',
      thread: false,
    })),
  ];
}

/**
 * Everything finished in the first set-up that the second side could be held by. z of the first set-up's view.
 * @param made paths of the holes and features that the first set-up makes
 */
export function finishedSurfaces(
  run: Run,
  view: Part,
  count: number,
  asDrawn: readonly string[],
  made: readonly string[],
): Surface[] {
  // A wall that the second side bores gets thin under what grips it.
  const isSolid = view.holes.length === 0 && !view.features.some(({ bore }) => bore);
  const walls = isSolid ? undefined : finishedPart(view);
  return [...outsideSurfaces(run, view, count, asDrawn, made, walls), ...boredSurfaces(run, view, made)];
}
