import type { Surroundings } from './featureKind';
import { collect, good, type Result } from '../model/result';
import type { UnitSystem } from '../model/units/length';
import type { PartFile } from './runFile';
import { checkPart } from './checkPart';
import type { Feature } from '../model/part/feature';
import { readDetails } from './readDetails';
import { isDrilled, readHole } from './readHoles';
import type { Context } from './fields';
import { entered, problemsIn, readOutside, type Outside } from './readOutside';
import { readElsewhere } from './readElsewhere';
import { readMates, readTies } from './readTies';
import type { Part, Step } from '../model/part/part';
import type { Size } from '../model/part/size';
import { majorLimits } from '../model/part/threadLimits';
import { CLOSE } from '../model/tolerances';

const surroundingsOf = (file: PartFile, { length, outline, steps }: Outside, context: Context): Surroundings => ({
  ...context,
  length,
  outside: outline,
  edges: [0, ...steps.map(({ zTo }) => zTo)],
  steps: entered(file.outside),
});

/** A feature with the middle of its place: that of the face which it is counted from, and of its own limits. */
function atMiddle(feature: Feature, steps: readonly Step[]): Feature {
  if (!feature.place) return feature;
  const { face, size } = feature.place;
  const [offset, back] = [size.aim - size.nominal, face === steps.length];
  return { ...feature, middle: (steps[face - 1]?.middle.to ?? 0) + (back ? -offset : offset) };
}

/** A step that a thread is cut on: where the drawing gives it no limits of its own, within those of the major diameter. */
function asBlank(step: Step, features: readonly Feature[]): Step {
  const { diameter, zFrom, zTo } = step;
  const on = features.find(({ kind, z0, z1 }) => kind === 'thread' && z0 < zTo - CLOSE && z1 > zFrom + CLOSE);
  if (!on?.thread || diameter.from !== 'general' || diameter.open) return step;
  const { lower, upper } = majorLimits(on.thread);
  const off = on.thread.diameter - diameter.nominal;
  const limits = { lower: lower + off, upper: upper + off };
  return { ...step, diameter: { ...diameter, ...limits, aim: diameter.nominal + (limits.lower + limits.upper) / 2 } };
}

/**
 * Reads the part of a run file: sizes, places, and whether such a part can be.
 * @param chained lengths of steps that are known already, from chains that are not in the file any more
 * @returns the part in mm, or every problem found with its path
 */
export function readPart(file: PartFile, units: UnitSystem, chained?: ReadonlyMap<number, Size>): Result<Part> {
  const context = { units, general: file.generalTolerance ?? ('medium' as const) };
  const outside = readOutside(file.outside, file.lengths, context, chained);
  if (!outside.ok) return outside;
  const { steps, length, links } = outside.value;
  const around = surroundingsOf(file, outside.value, context);
  const details = readDetails(file.details ?? [], file.outside, outside.value, around);
  const holes = collect(
    (file.bores ?? []).map((entry, index) => {
      const hole = readHole(entry, `part.bores[${index}]`, around);
      return hole.ok && !isDrilled(hole.value) && entry.name
        ? good<Feature>({ ...hole.value, called: entry.name })
        : hole;
    }),
  );
  if (!details.ok || !holes.ok) return { ok: false, problems: problemsIn(details, holes) } as const;
  const features = [
    ...outside.value.features,
    ...details.value.features,
    ...holes.value.flatMap((hole) => (isDrilled(hole) ? [] : [hole])),
  ];
  const part = {
    number: file.number,
    name: file.name ?? '',
    revision: file.revision ?? '',
    length,
    general: context.general,
    steps: steps.map((step) => asBlank(step, features)),
    links,
    chamfers: details.value.chamfers,
    holes: holes.value.filter(isDrilled),
    features: features.map((feature) => atMiddle(feature, steps)),
  };
  const ties = readTies(file.runout, part, context);
  const elsewhere = readElsewhere(file.elsewhere, part, context);
  const mates = readMates(file.mates, part);
  const problems = [...checkPart({ ...part, ties: [], elsewhere: [] }, units), ...problemsIn(ties, elsewhere, mates)];
  return problems.length > 0 || !ties.ok || !elsewhere.ok || !mates.ok
    ? ({ ok: false, problems } as const)
    : good({
        ...part,
        ties: ties.value,
        elsewhere: elsewhere.value,
        ...(mates.value.length > 0 ? { mates: mates.value } : {}),
      });
}
