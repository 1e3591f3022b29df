import { barTo, cutSetup, NOTHING_CUT, type CutSetup, type CutSoFar } from '../cuts/planCuts';
import { readRun } from '../../read/readRun';
import { andThen, collect, good, type Result } from '../../model/result';
import { planOperations } from '../order/planOperations';
import { planSetups } from '../holding/setups';
import { startValues } from '../../model/shop/startValues';
import { planStock } from '../stock/choose';
import { runOf, step } from '../../testing';
import { checkFinished } from './checkFinished';

const file = runOf(
  {
    outside: [step('10 h9', 12, { chamfers: { front: 0.3 } }), step(16, 8, { chamfers: { back: 0.2 } })],
    bores: [{ from: 'front', shape: 'drill', diameter: 5, depth: 8 }],
  },
  { way: 'from-bar' },
);

/** The cuts of the run without the operations of some kinds. */
function cutsWithout(...kinds: string[]): CutSetup[] {
  const cuts = andThen(readRun(file, startValues), (run) =>
    andThen(planStock(run, 'from-bar'), (stock) =>
      andThen(
        planSetups(run, stock, { centred: false, drawnOut: false, endLast: false, hold: 0, bothAlike: false }),
        (setups) =>
          andThen(collect(setups.map(planOperations)), (ordered) =>
            ordered
              .map((setup) => ({ ...setup, operations: setup.operations.filter(({ kind }) => !kinds.includes(kind)) }))
              .reduce<Result<CutSoFar>>(
                (cut, setup) => andThen(cut, (before) => cutSetup(setup, before, barTo(setups))),
                good(NOTHING_CUT),
              ),
          ),
      ),
    ),
  );
  if (!cuts.ok) throw new Error(JSON.stringify(cuts.problems));
  return cuts.value.done;
}

test('a plan that leaves the part of the drawing passes', () => {
  expect(checkFinished(cutsWithout())).toEqual({ ok: true, value: null });
});

test.each([
  ['turn-finish', 'part.outside[0]'],
  ['part-off', 'part.outside'],
  ['drill', 'part.bores[0]'],
])('without its %s it does not, however little that is', (kind, path) => {
  expect(checkFinished(cutsWithout(kind))).toMatchObject({
    ok: false,
    problems: [{ path, message: expect.stringContaining('nothing is given out for it') }],
  });
});
