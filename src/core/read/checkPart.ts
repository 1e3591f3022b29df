import { finishedPart, holeCut } from '../model/workpiece/finishedPart';
import { remove, type Workpiece } from '../model/workpiece/workpiece';
import { crossings, radiusOn } from '../model/workpiece/segment';
import { largestRadius, radiusAt, volume, widen } from '../model/workpiece/profile';
import type { Problem } from '../model/result';
import { say, sayDiameter } from '../model/words';
import type { UnitSystem } from '../model/units/length';
import type { Feature } from '../model/part/feature';
import type { Hole, Part } from '../model/part/part';
import { minorLimits } from '../model/part/threadLimits';
import { pitchDiameter } from '../model/part/thread';
import { CLOSE } from '../model/tolerances';

/** The first place along z where nothing is left between outside and bore. */
function openAt({ outside, bore }: Workpiece): number | undefined {
  for (const outer of outside)
    for (const inner of bore) {
      if (inner.r0 < CLOSE && inner.r1 < CLOSE) continue;
      const [from, to] = [Math.max(outer.z0, inner.z0), Math.min(outer.z1, inner.z1)];
      if (to - from < CLOSE) continue;
      const gone = [from, ...crossings(outer, inner, from, to), (from + to) / 2, to].find(
        (z) => radiusOn(inner, z) > CLOSE && radiusOn(outer, z) - radiusOn(inner, z) < CLOSE,
      );
      if (gone !== undefined) return gone;
    }
  return undefined;
}

/** Where in the entry the size stands that takes the wall away. */
const sizeOf: Record<string, string> = {
  groove: '.bottom',
  'inner-groove': '.bottom',
  bore: '.diameter',
  ream: '.diameter',
  counterbore: '.diameter',
};

/** Puts holes and details into the part one after the other; the one after which a wall is gone is the one to blame. */
function checkWalls(part: Part, units: UnitSystem): Problem[] {
  const bare = finishedPart({
    ...part,
    holes: [],
    features: part.features.filter(({ path }) => path.startsWith('part.outside')),
  });
  const cuts: { path: string; what: string; at: string; removal: Parameters<typeof remove>[1] }[] = [
    ...part.features
      .filter(({ path, outside }) => outside && !path.startsWith('part.outside'))
      .map((feature) => cutOf(feature)),
    ...part.holes.map((hole) => ({
      path: hole.path,
      at: '.diameter',
      what: `a hole of ${say(hole.diameter.nominal, units)}`,
      removal: { bore: holeCut(hole, part.length) },
    })),
    ...part.features.filter(({ bore }) => bore).map((feature) => cutOf(feature)),
  ];
  let work = bare;
  for (const { path, what, at, removal } of cuts) {
    work = remove(work, removal);
    const z = openAt(work);
    if (z === undefined) continue;
    const step = part.steps.find(({ zFrom, zTo }) => zFrom - CLOSE <= z && z < zTo - CLOSE);
    return [
      {
        path: `${path}${at}`,
        message: `${what} leaves no wall at ${say(Number(z.toFixed(3)), units)}${step ? `, in the step of ${say(step.diameter.nominal, units)} (${step.path})` : ''}`,
      },
    ];
  }
  return [];
}

const cutOf = ({ path, kind, name, outside, bore }: Feature) => ({
  path,
  what: name,
  at: sizeOf[kind] ?? '',
  removal: { ...(outside ? { outside } : {}), ...(bore ? { bore } : {}) },
});

const rangeOf = ({ from, depth }: Hole, length: number) =>
  (from === 'front' ? [0, depth] : [length - depth, length]) as [number, number];

/** A drilled hole that lies wholly in another, as wide and as deep, is not there. */
function checkHolesMeet({ holes, length }: Part, units: UnitSystem): Problem[] {
  return holes.flatMap((hole, index) => {
    const [from, to] = rangeOf(hole, length);
    const swallowing = holes.find((other, at) => {
      const [a, b] = rangeOf(other, length);
      if (at === index || a > from + CLOSE || b < to - CLOSE) return false;
      const more = other.diameter.nominal - hole.diameter.nominal;
      return more > 0 || (more === 0 && at < index);
    });
    if (!swallowing) return [];
    return [
      {
        path: `${hole.path}.depth`,
        message: `nothing is left of this hole: ⌀${formatted(swallowing.diameter.nominal, units)} (${swallowing.path}) is as wide and as deep`,
      },
    ];
  });
}

const formatted = (mm: number, units: UnitSystem) => sayDiameter(mm, units).slice(1);

/** What a bore feature meets: a groove or seat that is narrower than its hole, a tap without metal to cut. */
function checkBores(part: Part, units: UnitSystem): Problem[] {
  const bores = part.features.filter(({ bore }) => bore);
  return bores.flatMap((feature): Problem[] => {
    const others = finishedPart({ ...part, features: bores.filter((other) => other !== feature) }).bore;
    const pieces = feature.bore ?? [];
    const { thread } = feature;
    const drilled =
      thread &&
      part.holes.find(
        (hole) => hole.diameter.nominal > pitchDiameter(thread) && overlapsAll(feature, hole, part.length),
      );
    if (thread && drilled)
      return [
        {
          path: `${feature.path}.designation`,
          message: `${thread.designation} finds no metal: the hole is ${sayDiameter(drilled.diameter.nominal, units)} already (${drilled.path}), and its tap drill is ${sayDiameter(Number((thread.diameter - thread.pitch).toFixed(2)), units)}`,
        },
      ];
    const limits = thread && minorLimits(thread);
    const wide =
      limits &&
      part.holes.find((hole) => hole.diameter.nominal > limits.most + CLOSE && overlapsAll(feature, hole, part.length));
    if (thread && limits && wide)
      return [
        {
          path: `${feature.path}.class`,
          message: `the core of ${thread.designation} lies between ${sayDiameter(Number(limits.least.toFixed(3)), units)} and ${sayDiameter(Number(limits.most.toFixed(3)), units)}, and the hole is ${sayDiameter(wide.diameter.nominal, units)} (${wide.path}): a narrower hole, or a wider class`,
        },
      ];
    // A hole of the same size may be drilled first; one that is wider everywhere leaves nothing to cut.
    const nothing = volume(widen(others, pieces)) - volume(others) < 1e-6;
    // A core hole a little over is drilled so, as long as its thread finds metal.
    const most = (r0: number, r1: number) => (thread ? pitchDiameter(thread) / 2 : Math.max(r0, r1));
    if (nothing && pieces.every(({ z0, z1, r0, r1 }) => most(r0, r1) < radiusAt(others, (z0 + z1) / 2) - CLOSE))
      return [
        {
          path: `${feature.path}${sizeOf[feature.kind] ?? ''}`,
          message: `${feature.name} lies wholly within a wider hole: nothing would be cut`,
        },
      ];
    const through = feature.kind === 'countersink' && pieces.find(({ r0, r1 }) => Math.min(r0, r1) > CLOSE);
    if (through && Math.min(through.r0, through.r1) > radiusAt(others, (through.z0 + through.z1) / 2) + CLOSE)
      return [{ path: `${feature.path}.mouth`, message: `${feature.name} is deeper than the part is long` }];
    if (feature.kind === 'inner-groove' && pieces.some(({ z0, z1 }) => radiusAt(others, (z0 + z1) / 2) < CLOSE))
      return [{ path: `${feature.path}.at`, message: 'there is no bore here for a groove to sit in' }];
    return [];
  });
}

/** A groove in a face wants a wall on its inner side, where there is a bore, and metal under its outer one. */
function checkFaceGrooves(part: Part, units: UnitSystem): Problem[] {
  const { outside, bore } = finishedPart(part);
  return part.features.flatMap(({ path, z0, z1, inFace }): Problem[] => {
    if (!inFace) return [];
    const widest = largestRadius(bore, z0, z1);
    const narrowest = Math.min(radiusAt(outside, z0 + CLOSE), radiusAt(outside, z1 - CLOSE));
    if (inFace.inner.nominal / 2 <= widest + CLOSE)
      return [
        { path: `${path}.inner`, message: `leaves no wall: the bore there is ${sayDiameter(2 * widest, units)} wide` },
      ];
    return inFace.outer.nominal / 2 < narrowest - CLOSE
      ? []
      : [
          {
            path: `${path}.outer`,
            message: `leaves no wall: the outside there is down to ${sayDiameter(2 * narrowest, units)}`,
          },
        ];
  });
}

const overlapsAll = ({ z0, z1 }: Feature, hole: Hole, length: number) => {
  const [from, to] = rangeOf(hole, length);
  return from <= z0 + CLOSE && to >= z1 - CLOSE;
};

/** Blind holes end inside the part, with their points. */
function checkBreakOut({ holes, length }: Part, units: UnitSystem): Problem[] {
  return holes.flatMap((hole) => {
    if (hole.through) return [];
    const ends = holeCut(hole, length).map(({ z0, z1 }) => (hole.from === 'front' ? z1 : length - z0));
    const deepest = Math.max(...ends);
    return deepest < length - CLOSE
      ? []
      : [
          {
            path: `${hole.path}.depth`,
            message: `its point would come through: ${say(Number(deepest.toFixed(3)), units)} with the point, and the part is ${say(length, units)} long; write “through” or make it shallower`,
          },
        ];
  });
}

/** Whether such a part can be at all: walls, holes that meet, threads with metal to cut. */
export function checkPart(part: Part, units: UnitSystem): Problem[] {
  const walls = checkWalls(part, units);
  if (walls.length > 0) return walls;
  const holes = [...checkHolesMeet(part, units), ...checkBreakOut(part, units)];
  return holes.length > 0 ? holes : [...checkBores(part, units), ...checkFaceGrooves(part, units)];
}
