import { isHolding } from '../../model/overrule';
import type { Setup } from '../../model/plan/setup';
import type { Result } from '../../model/result';
import { madeBehindEnd, type Attempt, type Held, type Layout, type MadeFirst } from './layout';
import { secondSetup } from './secondSetup';

/** What the first side makes while an end for the centre is there: nothing of what lies behind that. */
export function madeUnderEnd(division: Attempt, layout: Layout, made: MadeFirst): MadeFirst {
  if (!division.endLast) return made;
  const behind = madeBehindEnd(layout, division.stock);
  const without = (paths: readonly string[], gone: readonly string[]) => paths.filter((path) => !gone.includes(path));
  return {
    ...made,
    drilled: without(made.drilled, behind.drilled),
    features: without(made.features, behind.features),
    chamfered: without(made.chamfered, behind.chamfered),
  };
}

/**
 * The holding in which an end that was left on for a centre goes, after everything else: short, on what is finished behind it;
 * what lies at its face is made then (trade: Safe holds).
 */
export function endOff(division: Attempt, layout: Layout, made: MadeFirst, last: Setup): Result<Held> {
  const { run, stock, firstEnd } = division;
  const { view, back, turned } = layout;
  const [first] = view.steps;
  return secondSetup(
    {
      ...division,
      // What was decided of the second set-up was not meant for this one.
      run: { ...run, overrules: run.overrules.filter((overrule) => !isHolding(overrule)) },
      firstEnd: firstEnd === 'front' ? 'back' : 'front',
      count: view.steps.length,
      hold: 0,
      deferred: madeBehindEnd(layout, stock).features,
    },
    { ...layout, view: back, back: view, turned, lastFacing: stock.centreEnd, left: first?.diameter.aim ?? stock.over },
    {
      turned: [...made.turned, ...last.turned.map(({ path }) => path)],
      drilled: [...made.drilled, ...last.drilled],
      features: [...made.features, ...last.features],
      chamfered: [...made.chamfered, ...last.chamfered],
    },
    { turnedBack: [], last },
  );
}
