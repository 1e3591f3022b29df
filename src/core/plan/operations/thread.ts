import { sayFixed } from '../../model/units/mark';
import { threadTorque } from '../cutting/drillLoad';
import { gripAt, slipsBy } from '../cutting/grip';
import { threadLoad } from '../cutting/threadLoad';
import type { Feature, Thread } from '../../model/part/feature';
import { bestWire, overWires, threadDepth } from '../../model/part/thread';
import { good } from '../../model/result';
import { largestRadius } from '../../model/workpiece/profile';
import type { Tool } from '../../model/shop/shop';
import { CLOSE } from '../../model/tolerances';
import { say, sayDiameter } from '../../model/words';
import type { Operation, OperationKind } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { hasRelief, leavesAt, wayOut, type WayOut } from '../../model/part/threadRoom';
import { offCorner } from './corner';
import { inAndOut, stopSetting } from './tools';
import { reachedOf } from './holeNeed';
import { passesOfThread } from './threadDepths';
import {
  gearingOf,
  LEADSCREW_CAUTIONS,
  pitchFeed,
  sayGearing,
  threadCheck,
  threadOf,
  threadToolFor,
} from './threading';
import { alongThread, clearOf } from './edgePaths';

const round = (value: number) => Number(value.toFixed(3));

/** How often a die is run on: once, or first opened and then closed where its torque at once is more than the work is held by. */
const dieRuns = ({ pitch, diameter }: Thread, setup: Setup): number =>
  Math.max(1, Math.ceil(slipsBy({ torque: threadTorque(pitch, diameter, setup), push: 0 }, setup) - 1e-9));

/** What a die asks of whoever turns it, and of what holds the work. */
function sayDie(thread: Thread, setup: Setup): string {
  const torque = `It takes about ${sayFixed(threadTorque(thread.pitch, thread.diameter, setup), 1)} N·m at once`;
  return dieRuns(thread, setup) > 1
    ? `${torque}, more than the work is held by: run on opened first, then closed to its gauge.`
    : `${torque}.`;
}

/** The house cuts threads away from the chuck; and whether the machine may. */
const wantsAway = ({ run }: Setup): boolean => run.shop.houseRules.threading === 'away';
const runsBack = ({ run }: Setup): boolean => run.shop.machine.runsBack !== false;
const goesAway = (setup: Setup): boolean => wantsAway(setup) && runsBack(setup);

/** A threading tool with room to leave, of the hand that cuts that way; away from the chuck any other does it upside down. */
function pointed(feature: Feature, setup: Setup): Tool | undefined {
  const { tools, cutting } = setup.run.shop;
  const ways = tools
    .filter(({ does }) => does.includes('thread'))
    .map((tool) => ({ tool, way: wayOut(feature, setup.part, cutting, tool) }));
  const all = (['fed', 'by-hand'] as const).flatMap((wanted) =>
    ways.flatMap(({ tool, way }) => (way === wanted ? [tool] : [])),
  );
  const right = all.find(({ hand }) => hand !== 'left');
  return goesAway(setup) ? (all.find(({ hand }) => hand === 'left') ?? right) : right;
}

/** A die for a thread that begins at the face, of a size that the house cuts so or where no tool has room to leave, and the work does not turn under it. */
function dieOf(feature: Feature, setup: Setup): Tool | undefined {
  const { thread, z0 } = feature;
  const { dieUpTo, dieRuns: most } = setup.run.shop.cutting;
  if (!thread || z0 > 1e-6 || (thread.diameter > dieUpTo + 1e-6 && pointed(feature, setup))) return undefined;
  return dieRuns(thread, setup) <= most ? threadToolFor('die', thread, setup) : undefined;
}

/** Whether a thread goes to the end of the part, and what it is cut on goes on behind that: to be parted or sawn off there. */
const endsInWaste = ({ z1 }: Feature, { part, turned }: Setup): boolean =>
  z1 > part.length - CLOSE && turned.some(({ to }) => to > part.length + CLOSE);

/** Whether no relief ends a thread: what it is cut on goes on behind it, to the end of the part or as the drawing lets it run out. */
const runsOut = (feature: Feature, setup: Setup): boolean =>
  endsInWaste(feature, setup) ||
  (feature.z1 < setup.part.length - CLOSE && !hasRelief(feature, setup.part, setup.run.shop.cutting.threadEndByHand));
const RUNS_OUT =
  'No relief: drawn out at this stop while it turns, the last turns run out on the plain diameter behind it.';

const LAST_TURN =
  'The relief is short: out of gear before the tool is there, the last turn by hand at the chuck, and drawn out in the relief.';
const DRAWN_BY_HAND =
  'No relief, and little room: out of gear before the tool is there, the last turn by hand at the chuck, and drawn out quickly at this stop while it is turned on.';

/** How a thread of the left hand is cut: out of its relief with the spindle forward, or, with none to begin in, backward. */
const LEFT_HANDED = 'Left-hand: leadscrew the other way, from the relief out to the free end.';
const LEFT_HANDED_IN = 'Left-hand: leadscrew the other way, spindle backward, the tool upside down.';

const isLeft = (thread: Thread | undefined): boolean => thread?.hand === 'left';

/** Whether a thread is cut from its free end into its relief. */
const startsFree = (thread: Thread, setup: Setup): boolean => !goesAway(setup) && !isLeft(thread);

/** How far a thread without a relief goes on while its tool is drawn out, mm. */
const drawnOver = ({ pitch }: Thread, way: WayOut | undefined, { run }: Setup): number =>
  way === 'by-hand' ? run.shop.cutting.drawnByHand * pitch : pitch;

const operationOf = (feature: Feature, thread: Thread, tool: Tool, kind: 'thread' | 'die', setup: Setup): Operation => {
  const { cutting } = setup.run.shop;
  const isCut = kind === 'thread';
  const room = isCut && feature.z1 < setup.part.length - CLOSE ? wayOut(feature, setup.part, cutting, tool) : undefined;
  const isOpen = isCut && (room || endsInWaste(feature, setup)) && runsOut(feature, setup);
  const gearing = isCut ? gearingOf(feature, setup) : undefined;
  const corner = isCut ? { to: feature.z1, does: [] } : offCorner(feature, setup);
  const pitches = room === 'by-hand' ? cutting.threadEndByHand : cutting.threadEndTimes;
  const to = room && !isOpen ? leavesAt(feature, setup, pitches, tool) : corner.to;
  return {
    key: `${kind}:${feature.path}`,
    kind,
    feature: feature.path,
    makes: [feature.path],
    name: `${kind === 'die' ? 'Die' : 'Thread'} ${thread.designation}`,
    tool,
    from: feature.z0,
    to,
    ...(isOpen ? { goesOn: drawnOver(thread, room, setup) } : {}),
    ...(gearing ? { gearing } : {}),
    diameter: thread.diameter,
    removal: {},
    stop: { means: kind === 'die' ? 'quill' : 'carriage', settings: [{ edge: 'tip', setting: stopSetting(to, tool) }] },
    checks: [threadCheck(thread)],
    ...(kind === 'thread'
      ? {
          does: [
            ...(goesAway(setup) && !isOpen && !isLeft(thread)
              ? [
                  `Away from the chuck: ${tool.hand === 'left' ? 'left-hand tool' : 'tool inverted'}, spindle reversed, started in the relief at this stop.`,
                ]
              : []),
            ...(isLeft(thread) ? [isOpen ? LEFT_HANDED_IN : LEFT_HANDED] : []),
            ...(isOpen ? [room === 'by-hand' ? DRAWN_BY_HAND : RUNS_OUT] : []),
            ...(room === 'by-hand' && !isOpen && startsFree(thread, setup) ? [LAST_TURN] : []),
            sayWires(thread, setup),
          ],
        }
      : { does: [sayDie(thread, setup), ...corner.does] }),
  };
};

/** What a thread of its full size measures over the wires that suit it. */
function sayWires(thread: Thread, { run }: Setup): string {
  const wire = round(bestWire(thread));
  return `Over wires of ${sayDiameter(wire, run.units)}: ${say(round(overWires(thread, wire)), run.units)} at its full size; with other wires three times the difference.`;
}

/** Whether a thread gives way while it is cut: tough, or far out of what holds it with no centre before it (trade: Cutting). */
const givesWay = ({ to, diameter = 0 }: Operation, { run, holding, supported }: Setup): boolean =>
  run.shop.material.tough || (!supported && holding.from - to > run.shop.cutting.overhangTimes * diameter);

/** Cut an outside thread with a pointed tool along the leadscrew, by passes of equal chip area (trade: Cutting). */
export const thread: OperationKind = {
  kind: 'thread',
  handFed: true,
  shutIn: true,
  load: threadLoad,
  turnsAtOverhang: true,
  underCentre: true,
  demand: (setup) =>
    good(
      reachedOf(setup, 'thread').flatMap((feature) => {
        const tool = pointed(feature, setup);
        // Without gears for its pitch, or room to leave, it stays undone, and is told (route/doubts).
        if (!feature.thread || !tool || dieOf(feature, setup) || !gearingOf(feature, setup)) return [];
        return [operationOf(feature, feature.thread, tool, 'thread', setup)];
      }),
    ),
  feed(operation, setup) {
    const { gearing } = operation;
    return pitchFeed(threadOf(operation, setup), gearing ? sayGearing(gearing) : '');
  },
  cut(operation, work, setup) {
    const { run } = setup;
    const { allowances } = run.shop;
    const cut = threadOf(operation, setup);
    if (!cut) return good({ diameter: 0, passes: [] });
    const { from, to, diameter = 0, feature, tool } = operation;
    const made = setup.part.features.find(({ path }) => path === feature);
    const isOpen = made !== undefined && runsOut(made, setup);
    const way = made && !endsInWaste(made, setup) ? wayOut(made, setup.part, run.shop.cutting, tool) : undefined;
    const depth = threadDepth(cut);
    // Drawn out beside something larger it comes out over that.
    const behind = isOpen ? drawnOver(cut, way, setup) : 0;
    const clear = clearOf(work, from, isOpen ? to + behind + (tool.ahead ?? 0) : to, allowances.approach);
    const helix = (deep: number) => {
      // Where it begins or ends on a plain diameter a turn goes by while it is fed in, or drawn out.
      const before = largestRadius(work.outside, from - allowances.approach, from - 1e-6);
      const isIn = from > 1e-6 && before > diameter / 2 - depth + 1e-6;
      const begin = isIn ? from : from - allowances.approach;
      if (isIn || isOpen)
        return alongThread(begin, to, diameter / 2 - deep, clear, {
          ...(isIn ? { before: cut.pitch } : {}),
          ...(isOpen ? { behind } : {}),
        });
      const [start, end] = goesAway(setup) || isLeft(cut) ? [to, begin] : [begin, to];
      return alongThread(start, end, diameter / 2 - deep, clear);
    };
    const springs = givesWay(operation, setup);
    const grip = gripAt(diameter, Math.min(from, to), setup);
    const passes = passesOfThread(
      { pitch: cut.pitch, depth, springs, grip },
      { z: to, length: to - from, at: (deep) => diameter - 2 * deep, path: helix },
      setup,
    );
    const isByHand = way === 'by-hand' && (isOpen || startsFree(cut, setup));
    return good({
      diameter,
      ...(isByHand
        ? {
            byHand: [
              { name: `last turn by hand, ${passes.length} ×`, minutes: passes.length * run.shop.handMinutes.tapTurn },
            ],
          }
        : {}),
      warnings: [
        ...(wantsAway(setup) && !runsBack(setup)
          ? [
              `The house cuts threads away from the chuck, and the spindle of ${run.shop.machine.name} is not to run back: it is cut towards it.`,
            ]
          : []),
        ...(operation.gearing?.nuts.open === 'never' && !runsBack(setup)
          ? [
              `The half-nuts have to stay shut, and the spindle of ${run.shop.machine.name} is not to run back: it is turned back by hand, out of gear.`,
            ]
          : []),
      ],
      passes,
    });
  },
  cautions: LEADSCREW_CAUTIONS,
};

/** Cut an outside thread with a die held in the tailstock. */
export const die: OperationKind = {
  kind: 'die',
  handFed: true,
  shutIn: true,
  drawsItself: true,
  turnsAtOverhang: false,
  underCentre: false,
  demand: (setup) =>
    good(
      reachedOf(setup, 'thread').flatMap((feature) => {
        const tool = dieOf(feature, setup);
        return feature.thread && tool ? [operationOf(feature, feature.thread, tool, 'die', setup)] : [];
      }),
    ),
  feed: (operation, setup) => pitchFeed(threadOf(operation, setup), 'The die draws itself along at its pitch.'),
  cut(operation, _work, setup) {
    const { from, to, diameter = 0 } = operation;
    const cut = threadOf(operation, setup);
    const runs = cut ? dieRuns(cut, setup) : 1;
    return good({ diameter, passes: Array.from({ length: runs }, () => inAndOut(to - from, to, setup.run)) });
  },
  cautions: [
    { kind: 'danger', text: 'Lowest speed, or the spindle out of gear and turned by hand.' },
    {
      kind: 'mistake',
      text: 'The tailstock pushes the die on square; oil, back to break the chip, try the gauge or the mating nut.',
    },
  ],
};
