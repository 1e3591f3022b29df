import { barFor } from '../../read/toolsInReach';
import { flankOf } from '../operations/edgeCone';
import { whyNotCut } from '../gears/gearing';
import type { Feature } from '../../model/part/feature';
import { turnRound } from '../../model/part/part';
import { insideEnd } from '../../model/part/threadRoomInside';
import type { Run } from '../../model/run';
import { say, sayDiameter } from '../../model/words';
import type { Look } from './doubt';

/** Why a bore is not bored, where what goes into it is too short; undefined where that is not the reason. */
function whyNotBored(feature: Feature, { part, shop, units }: Run): string | undefined {
  if (!['bore', 'counterbore', 'conical-bore'].includes(feature.kind)) return undefined;
  const { isReached } = barFor(feature, part, shop.tools);
  return isReached ? undefined : `no bar that goes in reaches ${say(feature.z1 - feature.z0, units)}`;
}

/** Why a cone is not turned, where the compound does not go so far. */
function whyNotSlid(feature: Feature, { shop, units }: Run): string | undefined {
  const flank = ['cone', 'conical-bore'].includes(feature.kind) ? flankOf(feature) : undefined;
  const slide = flank ? Math.hypot(flank.z1 - flank.z0, flank.r1 - flank.r0) : 0;
  const { compoundTravel = Infinity, name } = shop.machine;
  return slide > compoundTravel
    ? `its flank is ${say(Number(slide.toFixed(2)), units)} long and the compound of ${name} goes ${say(compoundTravel, units)}: the tailstock set over, or another lathe`
    : undefined;
}

/** Why a thread in a bore is not cut by a tool along the leadscrew. */
function whyNotInside({ path, from, thread }: Feature, { part, shop, units }: Run): string | undefined {
  const view = from === 'back' ? turnRound(part) : part;
  const seen = view.features.find((feature) => feature.path === path);
  const times = shop.cutting.threadEndTimes;
  if (!thread || !seen || insideEnd(seen, view, times) !== 'no-room') return 'no tool of that size goes so deep';
  const [wide, behind] = [times, times + 1].map((pitches) => say(Number((pitches * thread.pitch).toFixed(2)), units));
  return `its tool has no room to leave: a groove to ${sayDiameter(thread.diameter, units)}, ${wide} wide, at its end, or ${behind} of metal behind it`;
}

function whyNot(feature: Feature, run: Run): string | undefined {
  const { kind, thread, bore, z0, z1 } = feature;
  const isInside = kind === 'inner-thread';
  if (thread && (!bore || isInside))
    return whyNotCut({ ...thread, length: z1 - z0 }, run.shop) ?? (isInside ? whyNotInside(feature, run) : undefined);
  return whyNotBored(feature, run) ?? whyNotSlid(feature, run);
}

/** Features that no operation makes yet: they are told, never silently left out of the figures. */
export const noOperation: Look = (run, _, made) =>
  [
    ...run.part.features.map((feature) => ({
      path: feature.path,
      name: feature.name,
      leaves: feature.leaves,
      why: whyNot(feature, run),
    })),
    ...run.part.chamfers.map(({ path, size }) => ({
      path,
      name: `chamfer ${say(size, run.units)}`,
      leaves: undefined,
      why: undefined,
    })),
  ]
    .filter((feature) => !made.has(feature.path))
    .map(({ path, name, leaves, why }) => ({
      path,
      rule: 'NO-OPERATION',
      because: leaves
        ? `${name}: no operation yet. The plan turns this corner square, and none of its figures count the fillet.`
        : `${name}: no operation yet${why ? `, ${why}` : ''}. The plan leaves the metal there, and none of its figures count it.`,
    }));
