import { tapWarning } from '../cutting/drillLoad';
import { sum, term } from '../../model/figure';
import type { Feature } from '../../model/part/feature';
import { tapDrill } from '../../model/part/thread';
import { minorLimits } from '../../model/part/threadLimits';
import { good } from '../../model/result';
import type { Tool } from '../../model/shop/shop';
import { say } from '../../model/words';
import { BY_HAND, type Operation, type OperationKind } from '../../model/plan/operation';
import { goesThrough } from '../reach/reached';
import type { Setup } from '../../model/plan/setup';
import { inAndOut, stopSetting } from './tools';
import { depthChecks } from './depthChecks';
import { drilledFor, holeServing, reachedOf, widthFound, type HoleNeed } from './holeNeed';
import { threadCheck, threadToolFor } from './threading';

/** How far the lead of a tap goes beyond its full thread, mm. */
const leadOf = (feature: Feature, { run }: Setup): number => run.shop.cutting.tapLead * (feature.thread?.pitch ?? 0);

/** The core hole of a tap (trade: Cutting): d − P, a little over it at most, within the class that is named; a blind one deeper by the tap's lead. */
function needOf(feature: Feature, setup: Setup): HoleNeed[] {
  const { thread, path, z1 } = feature;
  if (!thread || !threadToolFor('tap', thread, setup)) return [];
  const usual = tapDrill(thread);
  const { least, most } = minorLimits(thread) ?? {
    least: usual,
    most: usual + setup.run.shop.cutting.tapDrillOver * thread.pitch,
  };
  const core = Math.min(Math.max(usual, least), most);
  const through = goesThrough(feature, setup.part);
  return [
    {
      feature: path,
      purpose: `for ${thread.designation}`,
      atLeast: core,
      atMost: most,
      aim: core,
      through,
      depth: through ? z1 : z1 + leadOf(feature, setup),
      ...(through ? { beyond: leadOf(feature, setup) } : {}),
    },
  ];
}

/** Core holes that taps need first. A hole of the drawing that is deep enough for the thread itself serves. */
export const tapNeeds = (setup: Setup): HoleNeed[] =>
  drilledFor(setup, 'tap').flatMap((feature) =>
    needOf(feature, setup).filter((need) => !holeServing({ ...need, depth: feature.z1 }, setup)),
  );

/** Whole turns that a tap takes to its depth. */
const turnsOf = ({ from, to, tool }: Operation): number => Math.ceil((to - from) / (tool.pitch ?? 1) - 1e-9);

function operationOf(feature: Feature, tool: Tool, setup: Setup): Operation[] {
  const { thread, path, z1 } = feature;
  const [need] = needOf(feature, setup);
  if (!thread || !need) return [];
  const drawn = holeServing({ ...need, depth: z1 }, setup);
  if (!drawn && widthFound(need, setup) === undefined) return [];
  const through = goesThrough(feature, setup.part);
  const to = z1 + (through ? setup.behind + leadOf(feature, setup) : 0);
  return [
    {
      key: `tap:${path}`,
      kind: 'tap',
      feature: path,
      makes: [path],
      name: `Tap ${thread.designation}${through ? ' through' : ''}`,
      tool,
      from: 0,
      to,
      diameter: thread.diameter,
      removal: {},
      stop: { means: 'quill', settings: [{ edge: 'tip', setting: stopSetting(to, tool) }] },
      checks: [threadCheck(thread), ...depthChecks(feature, setup)],
    },
  ];
}

/** Whether the house taps a thread of this size by hand: a small tap breaks before the spindle stops. */
const byHand = ({ thread }: Feature, { run }: Setup): boolean =>
  (thread?.diameter ?? 0) <= run.shop.cutting.handTapUpTo + 1e-6;

/** Taps for the threads that are reached, by the spindle or by hand. */
const tapped = (setup: Setup, hand: boolean): Operation[] =>
  reachedOf(setup, 'tap').flatMap((feature) => {
    const tool =
      feature.thread && byHand(feature, setup) === hand ? threadToolFor('tap', feature.thread, setup) : undefined;
    return tool ? operationOf(feature, tool, setup) : [];
  });

/** Tap a small hole by hand, the spindle out of gear, the quill keeping the tap square (trade: Small practices). */
export const handTap: OperationKind = {
  kind: 'hand-tap',
  handFed: true,
  shutIn: true,
  turnsAtOverhang: false,
  underCentre: false,
  byHand: 'stopped',
  demand: (setup) =>
    good(
      tapped(setup, true).map((operation) => ({
        ...operation,
        ...BY_HAND,
        key: operation.key.replace('tap:', 'hand-tap:'),
        kind: 'hand-tap',
        name: `${operation.name} by hand`,
        checks: operation.checks,
        does: [`${turnsOf(operation)} turns from where it bites; back half a turn in each to break the chip.`],
      })),
    ),
  cut: (operation, _work, setup) => {
    const { run } = setup;
    const turns = turnsOf(operation);
    return good({
      warnings: tapWarning(operation.tool.pitch ?? 0, operation.diameter ?? 0, setup),
      diameter: operation.diameter ?? 0,
      passes: [],
      byHand: [{ name: `${turns} turns in and out`, minutes: turns * run.shop.handMinutes.tapTurn }],
    });
  },
  cautions: [
    { kind: 'danger', text: 'Spindle out of gear and stopped; the chuck turned by hand, or the tap by its wrench.' },
    { kind: 'mistake', text: 'Quill or centre keeps the tap square; oil, and try the gauge or the mating screw.' },
  ],
};

/** Tap a hole from the tailstock, the spindle slow; in and out at the pitch. */
export const tap: OperationKind = {
  kind: 'tap',
  handFed: true,
  shutIn: true,
  drawsItself: true,
  turnsAtOverhang: false,
  underCentre: false,
  demand: (setup) => good(tapped(setup, false)),
  feed: ({ tool }) => sum('feed', 'mm/rev', [term('P', 'pitch of the tap', tool.pitch ?? 0, 'mm', 'tool')]),
  cut({ from, to, diameter = 0, feature, tool }, _work, setup) {
    const { run, part } = setup;
    const threaded = part.features.find(({ path }) => path === feature);
    const [need] = threaded ? needOf(threaded, setup) : [];
    const drawn = need && threaded && holeServing({ ...need, depth: threaded.z1 }, setup);
    const room = drawn && !drawn.through ? drawn.depth - (threaded?.z1 ?? 0) : Infinity;
    const lead = threaded ? leadOf(threaded, setup) : 0;
    return good({
      diameter,
      passes: [inAndOut(to - from, to, run)],
      warnings: [
        ...tapWarning(tool.pitch ?? 0, diameter, setup),
        ...(room < lead - 1e-6
          ? [
              `The hole is ${say(Number(room.toFixed(2)), run.units)} deeper than the thread, and the lead of the tap is ${say(lead, run.units)}: finish with a bottoming tap.`,
            ]
          : []),
      ],
    });
  },
  cautions: [
    {
      kind: 'danger',
      text: 'Lowest speed, or the spindle out of gear and turned by hand; the tap must be free to stop.',
    },
    {
      kind: 'mistake',
      text: 'Quill or centre keeps the tap square; turn and break the chip, oil, and try the gauge or the mating screw.',
    },
  ],
};
