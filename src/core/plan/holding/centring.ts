import type { Stock } from '../../model/plan/stock';
import { sum, term } from '../../model/figure';
import type { Part } from '../../model/part/part';
import { good, type Result } from '../../model/result';
import type { Run } from '../../model/run';
import type { Setup } from '../../model/plan/setup';
import { firstHolding } from './firstHolding';
import { stretchesOf } from './heldStretch';
import { jawsFromAtLeast } from './throat';
import { CLOSE } from '../../model/tolerances';
import { carriedBy } from './support';
import { setupCautions } from './setupCautions';

/** A run and the stock that it is made from. */
interface Work {
  run: Run;
  stock: Stock;
}

/** What set-ups share that work on or for centres. */
export const common = ({ run, stock }: Work) => ({
  run,
  stock,
  centreEnd: 0,
  outerRadius: stock.over / 2,
  drilled: [],
  partsOff: false,
  finishes: false,
  taken: [],
  others: [],
});

/** An end to be centred: as its set-up sees the part, with what comes off before its face and what is left behind. */
interface End {
  number: number;
  end: 'front' | 'back';
  part: Part;
  facing: number;
  behind: number;
  /** Of what comes off, an end that stays for the centre, mm. */
  centreEnd?: number;
}

/** An end faced and centred in the chuck, hardly standing out (trade: Safe holds). */
export function centred(work: Work, { number, end, part, facing, behind, centreEnd = 0 }: End): Result<Setup> {
  const { run, stock } = work;
  const { toolClearance } = run.shop.allowances;
  // Of a piece as it arrives the first cylinder of it that reaches into the jaws.
  const stretches = stretchesOf(stock, end, part.length);
  const stands = Math.max(
    toolClearance,
    jawsFromAtLeast(
      stretches.map((each) => ({ ...each, to: Math.min(each.to, part.length + behind) })),
      run.shop.machine,
    ),
  );
  const stretch = stretches.find(({ to }) => to > stands + CLOSE);
  const held = firstHolding({
    run,
    stock,
    diameter: stretch?.diameter ?? stock.over,
    from: stands,
    // Of a bar as much is held as of its last piece.
    end: stock.blade ? stands + stock.gripRemnant.value : Math.min(part.length + behind, stretch?.to ?? Infinity),
    ties: [],
  });
  if (!held.ok) return held;
  const { holding } = held.value;
  const carried = carriedBy(run, {
    diameter: stock.over,
    out: stands + facing,
    grip: holding.to - holding.from,
  });
  if (!carried.ok) return carried;
  const rest = carried.value;
  return good({
    ...common(work),
    number,
    side: number === 1 ? 1 : 2,
    end,
    part,
    // The same chuck as before.
    holding: { ...holding, ...(number === 1 ? {} : { change: 0 }) },
    stickOut: sum('stick-out', 'mm', [
      term('c', 'clearance to the jaws', stands, 'mm', stands > toolClearance ? 'computed' : 'start value'),
      term('f', 'facing allowance', facing, 'mm', 'computed'),
    ]),
    facing,
    ...(centreEnd > 0 ? { centreEnd, endStays: true } : {}),
    behind,
    turned: [],
    features: [],
    chamfered: [],
    earlier: [],
    centres: true,
    supported: false,
    ...(rest ? { rest } : {}),
    reasons: held.value.reasons,
    cautions: setupCautions(run, stock, { first: number === 1, supported: false, rest }),
  });
}
