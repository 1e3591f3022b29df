import { sayFigure } from '../../model/units/mark';
import type { Size } from '../../model/part/size';
import type { Tool } from '../../model/shop/shop';
import { CLOSE } from '../../model/tolerances';
import { gradeOf } from '../../model/part/tolerance';
import { finishedPart } from '../../model/workpiece/finishedPart';
import { threadDepth } from '../../model/part/thread';
import { thinnestWall } from '../../model/workpiece/workpiece';
import { say, sayDiameter } from '../../model/words';
import { threadToolOf } from '../../model/shop/threadTool';
import { hasRelief, hasRoomToLeave, takenBehind, threadSeen, wayOut } from '../../model/part/threadRoom';
import type { Doubt, Look } from './doubt';

/** Sizes finer than the machine holds by turning and boring. */
export const fineFit: Look = ({ part, shop, units }) => {
  const { finestGrade } = shop.cutting;
  const doubt = (path: string, size: Size | undefined): Doubt[] => {
    // What is ground or honed elsewhere is not held here.
    const finished = part.elsewhere.some(({ kind, on }) => ['grind', 'hone'].includes(kind) && on.includes(path));
    if (!size || size.from === 'general' || finished) return [];
    const grade = gradeOf(size.upper - size.lower, size.nominal);
    if (grade >= finestGrade) return [];
    return [
      {
        path,
        rule: 'FINE-FIT',
        because: `${sayDiameter(size.nominal, units)} within ${say(Number((size.upper - size.lower).toFixed(4)), units)} is finer than IT${finestGrade}, which is what ${shop.machine.name} holds: grind, hone or lap it, or ask for more.`,
      },
    ];
  };
  return [
    ...part.steps.flatMap(({ path, diameter }) =>
      part.features.some((feature) => feature.path === path) ? [] : doubt(path, diameter),
    ),
    ...part.holes.flatMap(({ path, diameter }) => doubt(path, diameter)),
    ...part.features.flatMap(({ path, size }) => doubt(path, size)),
  ];
};

/** A finished wall that gives way to the tool and to the jaws. */
export const thinWall: Look = ({ part, shop, units }) => {
  const wall = thinnestWall(finishedPart(part));
  if (!wall || wall.wall / wall.diameter >= shop.cutting.thinWall) return [];
  return [
    {
      path: 'part',
      rule: 'THIN-WALL',
      because: `The finished part has a wall of ${say(Number(wall.wall.toFixed(3)), units)} under ${sayDiameter(Number(wall.diameter.toFixed(3)), units)}, less than ${sayFigure(100 * shop.cutting.thinWall, 1)} % of it: jaws and tool bend it.`,
    },
  ];
};

/** Grooves that no blade in the list is narrow and long enough for, and flanks that no tool reaches. */
export const undercut: Look = ({ part, shop, units }) =>
  part.features.flatMap((feature): Doubt[] => {
    const { kind, path, z0, z1, outside } = feature;
    if (kind !== 'groove' || !outside) return [];
    const width = z1 - z0;
    const bottom = Math.min(...outside.flatMap(({ r0, r1 }) => [r0, r1]));
    const beside = part.steps.filter(({ zFrom, zTo }) => zFrom < z1 && zTo > z0);
    const depth = Math.max(...beside.map(({ diameter }) => diameter.nominal / 2)) - bottom;
    const blades = shop.tools.filter(({ does }) => does.includes('groove'));
    const serving = blades.filter((blade) => (blade.width ?? Infinity) <= width + 1e-6);
    if (serving.some(({ reach = 0 }) => reach >= depth)) return [];
    return [
      {
        path,
        rule: 'NO-TOOL-REACHES',
        because:
          serving.length === 0
            ? `${feature.name}: the narrowest blade in the list is ${say(Math.min(...blades.map((blade) => blade.width ?? Infinity)), units)}.`
            : `${feature.name}: ${say(Number(depth.toFixed(3)), units)} deep, and the blades that fit its width reach ${say(Math.max(...serving.map(({ reach = 0 }) => reach)), units)}.`,
      },
    ];
  });

/** A thread that ends against metal needs somewhere for the tool to go: a relief, or a run-out said on the drawing. */
export const threadEnd: Look = ({ part, shop, units }) =>
  part.features.flatMap((feature): Doubt[] => {
    const { thread, bore, path } = feature;
    const times = shop.cutting.threadEndTimes;
    const tools = shop.tools.filter(({ does }) => does.includes('thread'));
    const seen = threadSeen(feature, part);
    if (!thread || bore) return [];
    const hasRoom = (tool?: Tool) => wayOut(seen.feature, seen.part, shop.cutting, tool) !== undefined;
    const isCut = tools.length === 0 ? hasRoom() : tools.some(hasRoom);
    const hasDie = seen.feature.z0 < CLOSE && threadToolOf('die', thread, shop.tools) !== undefined;
    // A die has no side; over a relief it wants to be through its last turn, and no more.
    const isRunOn = () =>
      hasRelief(seen.feature, seen.part, 1) || hasRoomToLeave(seen.feature, seen.part, times, undefined);
    const byDie = hasDie && (!isCut || thread.diameter <= shop.cutting.dieUpTo + CLOSE);
    if (byDie ? isRunOn() : isCut) return [];
    const [wide, long] = [times * thread.pitch, takenBehind(seen.feature, seen.part, times, tools[0])].map((mm) =>
      say(Number(mm.toFixed(2)), units),
    );
    const end = seen.part === part ? feature.z1 : feature.z0;
    const core = thread.diameter / 2 - threadDepth(thread);
    return [
      {
        path,
        rule: 'THREAD-RUN-OUT',
        because: `${thread.designation} ends at ${say(end, units)} with no room for the tool to leave: a relief to ${sayDiameter(Number((2 * core).toFixed(2)), units)}, ${wide} wide, or a run-out of ${long} said on the drawing.`,
      },
    ];
  });
