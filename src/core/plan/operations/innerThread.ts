import { innerThreadLoad } from '../cutting/innerThreadLoad';
import { gripAt } from '../cutting/grip';
import type { Feature, Thread } from '../../model/part/feature';
import { good } from '../../model/result';
import type { Operation, OperationKind } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { stopSetting } from './tools';
import { reachedOf } from './holeNeed';
import { alongThread } from './edgePaths';
import { drawnBack, insideSizes } from './insideTool';
import { insideCut } from './threadCore';
import { passesOfThread } from './threadDepths';
import { LEADSCREW_CAUTIONS, pitchFeed, sayGearing, threadCheck, threadOf } from './threading';

const LEFT_HANDED = 'Left-hand: leadscrew the other way, from its end out to the mouth.';
const RUNS_OUT = 'No relief: drawn out at this stop while it turns, the last turns run out in the core.';

function operationOf(feature: Feature, thread: Thread, setup: Setup): Operation[] {
  const cut = insideCut(feature, setup);
  if (!cut) return [];
  const { end, to, tool, gearing } = cut;
  return [
    {
      key: `inner-thread:${feature.path}`,
      kind: 'inner-thread',
      feature: feature.path,
      makes: [feature.path],
      name: `Thread ${thread.designation} inside`,
      tool,
      from: feature.z0,
      to,
      ...(end === 'relief' ? {} : { goesOn: thread.pitch }),
      gearing,
      diameter: thread.diameter,
      removal: {},
      stop: { means: 'carriage', settings: [{ edge: 'tip', setting: stopSetting(to, tool) }] },
      checks: [threadCheck(thread)],
      does: [...(thread.hand === 'left' ? [LEFT_HANDED] : []), ...(end === 'relief' ? [] : [RUNS_OUT])],
    },
  ];
}

/** Cut a thread in a bore with a pointed tool along the leadscrew: those that are too large for a tap (trade: Cutting). */
export const innerThread: OperationKind = {
  kind: 'inner-thread',
  handFed: true,
  shutIn: true,
  load: innerThreadLoad,
  turnsAtOverhang: false,
  underCentre: false,
  demand: (setup) =>
    good(
      reachedOf(setup, 'inner-thread').flatMap((feature) =>
        feature.thread ? operationOf(feature, feature.thread, setup) : [],
      ),
    ),
  feed: (operation, setup) =>
    pitchFeed(threadOf(operation, setup), operation.gearing ? sayGearing(operation.gearing) : ''),
  cut(operation, _work, setup) {
    const { run, part } = setup;
    const { from, to, diameter = 0, goesOn, tool } = operation;
    const feature = part.features.find(({ path }) => path === operation.feature);
    const thread = feature?.thread;
    if (!feature || !thread) return good({ diameter: 0, passes: [] });
    const { core, depth } = insideSizes(feature);
    const clear = core - drawnBack(feature, setup);
    const begin = from - run.shop.allowances.approach;
    const helix = (deep: number) =>
      thread.hand === 'left'
        ? alongThread(to, begin, core + deep, clear, goesOn ? { before: -goesOn } : {})
        : alongThread(begin, to, core + deep, clear, goesOn ? { behind: goesOn } : {});
    const isSlender = to > run.shop.cutting.overhangTimes * (tool.diameter ?? 0);
    return good({
      diameter,
      passes: passesOfThread(
        {
          pitch: thread.pitch,
          depth,
          springs: run.shop.material.tough || isSlender,
          grip: gripAt(diameter, Math.min(from, to), setup),
        },
        { z: to, length: to - from, at: (deep) => 2 * (core + deep), path: helix },
        setup,
      ),
    });
  },
  cautions: [
    ...LEADSCREW_CAUTIONS,
    {
      kind: 'mistake',
      text: 'Out of the thread towards the middle, not through the wall behind the bar; try the gauge before it is taken out.',
    },
  ],
};
