import { compareSequences } from './sequences';
import { startValues } from '../model/shop/startValues';
import { planned, runOf, step } from '../testing';

/** Rising to the back: from the front all is turned at once; from the back nothing smaller is reached. */
const rising = runOf({ outside: [step(8, 10), step(12, 10), step(17, 12)] });

describe('sequences compared', () => {
  test('both ways and each end first, with figures or the reason; the plan is one of them', () => {
    const { sequences, chosen, because } = compareSequences(rising, startValues);
    expect(sequences.map(({ way, firstEnd }) => `${way} ${firstEnd}`)).toEqual([
      'from-bar front',
      'from-bar back',
      'sawn-blanks front',
      'sawn-blanks back',
    ]);
    const plan = planned(rising);
    const sequence = sequences[chosen ?? -1];
    expect(sequence?.figures?.batchMinutes).toBeCloseTo(plan.times.batch.value, 9);
    expect(sequence?.figures?.holding).toEqual(plan.setups.at(-1)?.setup.holding);
    for (const { figures, problem } of sequences) expect(figures === undefined).toBe(problem !== undefined);
    expect(because).toMatch(/quickest over the batch, by .* to the next|quicker over the batch by|as quick/);
  });

  test('taking one plans just that', () => {
    for (const { change, figures, way, firstEnd } of compareSequences(rising, startValues).sequences) {
      if (!figures) continue;
      const plan = planned({ ...rising, ...change });
      expect([plan.way, plan.setups[0]?.setup.end, plan.times.batch.value]).toEqual([
        way,
        firstEnd,
        expect.closeTo(figures.batchMinutes, 9),
      ]);
    }
  });

  test('a part too thick for the spindle: from the bar it is refused with the reason', () => {
    const { sequences, because } = compareSequences(runOf({ outside: [step(50, 30)] }, { way: 'choose' }), startValues);
    expect(sequences.some(({ problem }) => problem !== undefined)).toBe(true);
    expect(because.length).toBeGreaterThan(10);
  });
});
