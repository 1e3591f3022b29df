import { sayFigure } from '../../model/units/mark';
import { term } from '../../model/figure';
import type { EdgePlace } from '../../model/plan/edgeWay';
import type { Pass } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { dialMove, sayDial } from '../../model/shop/dial';
import { say } from '../../model/words';
import { threadForce } from '../cutting/threadLoad';
import { evenPasses, infeedAlong, threadPasses } from '../cutting/threadPasses';

/** A thread as a pointed tool cuts it. mm */
interface ThreadCut {
  pitch: number;
  /** How deep it is at last. */
  depth: number;
  /** Whether the work or the tool gives way: it is cut lighter, and again without infeed between. */
  springs: boolean;
  /** What holds the work bears so much, N. */
  grip: number;
}

/** Where the tool goes: how far, and at which diameter and along which way at a depth. mm */
interface ThreadWay {
  z: number;
  length: number;
  at: (deep: number) => number;
  path: (deep: number) => EdgePlace[];
}

/**
 * Depths of a thread: by the passes of the house, and by more where what holds the work does not bear those (trade: Safe
 * holds), as long as none takes less than the edge cuts.
 */
function depthsWithin({ pitch, depth, springs, grip }: ThreadCut, { run }: Setup) {
  const { cutting, houseRules, material } = run.shop;
  const divide = houseRules.threadPasses === 'even-depth' ? evenPasses : threadPasses;
  const by = (passes: number) => divide(depth, passes, cutting.leastThreadCut);
  const isBorne = (depths: readonly number[]) =>
    depths.every((deep, index) => threadForce(depths[index - 1] ?? 0, deep, material.force) <= grip * (1 + 1e-9));
  const usual = Math.round(
    (springs ? cutting.threadLighter : 1) * (cutting.threadPasses + cutting.threadPassesPerMm * pitch),
  );
  let [passes, depths] = [usual, by(usual)];
  for (let more = by(passes + 1); !isBorne(depths) && more.length > depths.length; more = by(passes + 1)) {
    passes += 1;
    depths = more;
  }
  return { depths, limitedBy: passes > usual ? ('holding' as const) : ('chip' as const) };
}

/** The passes of a thread along the leadscrew, by equal chip area, and those without infeed (trade: Cutting). */
export function passesOfThread(cut: ThreadCut, { z, length, at, path }: ThreadWay, setup: Setup): Pass[] {
  const { run } = setup;
  const { allowances, cutting, machine } = run.shop;
  const { depths, limitedBy } = depthsWithin(cut, setup);
  const way = [
    term('l', 'length', length, 'mm', 'computed'),
    term('a', 'approach', allowances.approach, 'mm', 'start value'),
  ];
  const infeed = (deep: number) => {
    const along = infeedAlong(deep, cutting.threadCompound);
    const dial = machine.compoundDial ? `, ${sayDial(dialMove(along, machine.compoundDial))} on its dial` : '';
    return `${say(Number(along.toFixed(3)), run.units)} in along the compound${dial}`;
  };
  const pass = (deep: number) => ({ diameter: at(deep), z, way, path: path(deep) });
  const again = (deep: number): Pass => ({
    ...pass(deep),
    depth: 0,
    limitedBy: 'again',
    note: 'again, without infeed',
  });
  return [
    ...depths.flatMap((deep, index): Pass[] => [
      {
        ...pass(deep),
        depth: deep - (depths[index - 1] ?? 0),
        limitedBy,
        note: `${infeed(deep)}${index === 0 ? `, set to ${sayFigure(cutting.threadCompound)}°` : ''}`,
      },
      ...(cut.springs && (index + 1) % cutting.threadSpringEvery === 0 && index < depths.length - 1
        ? [again(deep)]
        : []),
    ]),
    ...Array.from({ length: cutting.threadSprings }, () => again(cut.depth)),
  ];
}
