import { boughtIn } from './boughtIn';
import { at, crossOvers } from '../money/lines';
import { costOfRun } from '../plan/cost/runCost';
import { priceBreaks, quantitiesAround, waysOfRunning } from './running';
import { allSwings } from './sensitivity';
import { startValues } from '../model/shop/startValues';
import { example, freeLevers, planned, runOf, step } from '../testing';

const stud = (more = {}) => runOf({ outside: [step('12 h8', 14), step(20, 14)] }, { quantity: 60, ...more });

describe('one operation for all pieces', () => {
  const file = stud({ way: 'sawn-blanks' });
  // By what the carriage stops is chosen anew where each is come to once for all pieces: here that takes no time either way.
  const free = {
    ...freeLevers,
    handMinutes: { ...freeLevers.handMinutes, station: 0, setStop: 0, readOut: 0 },
    stops: { ...freeLevers.stops, indicatorUse: 0, dialUse: 0, dialTurn: 0, spacerUse: 0, feelerUse: 0 },
  };
  const [each, all] = [planned(file, free), planned({ ...file, rules: { batchOrder: 'op-by-op' } }, free)];

  test('changes are made once for the batch, and a piece goes in and out for each tool', () => {
    const { handMinutes: hand } = startValues;
    const [first, tooled] = [each.setups[0], all.setups[0]];
    if (!first || !tooled) throw new Error('there is a first set-up');
    const changing = /^(change|tailstock|put it|compound|lock the|free the)/;
    const changes = first.operations
      .flatMap(({ hand: candidate }) => candidate.terms)
      .filter(({ name }) => changing.test(name))
      .reduce((total, { value }) => total + value, 0);
    expect(changes).toBeGreaterThan(0);
    const once = tooled.setting.terms.find(({ name }) => name.includes('once for all pieces'));
    expect(once?.value).toBeCloseTo(changes, 9);
    expect(
      tooled.operations.flatMap(({ hand: candidate }) => candidate.terms).filter(({ name }) => changing.test(name)),
    ).toEqual([]);
    const mounted = first.operations.filter(({ tool }) => tool.mount !== 'hand').map(({ tool }) => tool.id);
    const times = mounted.filter((id, index) => id !== mounted[index - 1]).length;
    expect(times).toBeGreaterThan(1);
    const more = (times - 1) * (tooled.setup.holding.load + hand.unload);
    expect(tooled.loading.value - first.loading.value).toBeCloseTo(more, 9);
  });

  test('a tie between two steps of one set-up is told when the holding is less true than it asks', () => {
    const tied = (batchOrder: 'piece-by-piece' | 'op-by-op') =>
      planned(
        runOf(
          {
            outside: [step('12 h8', 14, { name: 'journal' }), step(16, 14, { name: 'body' }), step(22, 10)],
            runout: [{ of: 'journal', to: 'body', limit: 0.01 }],
          },
          { way: 'sawn-blanks', rules: { batchOrder } },
        ),
      ).doubts.map(({ rule }) => rule);
    expect(tied('piece-by-piece')).toEqual([]);
    expect(tied('op-by-op')).toEqual(['SAME-SETUP']);
  });
});

describe('ways of running', () => {
  const ways = [...waysOfRunning(stud(), startValues), ...boughtIn({ once: 20, each: 4 }, 60)];
  const way = (id: string) => ways.find((runningWay) => runningWay.id === id);

  test('four by hand, two lathes, a programmed machine, and what is offered; one of them is the plan', () => {
    expect(ways.map(({ id }) => id)).toEqual([
      'from-bar piece-by-piece',
      'from-bar op-by-op',
      'sawn-blanks piece-by-piece',
      'sawn-blanks op-by-op',
      'two-lathes',
      'programmed',
      'bought',
    ]);
    expect(ways.filter(({ planned: is }) => is)).toHaveLength(1);
    expect(ways.every(({ risks, problem }) => problem !== undefined || risks.length > 0)).toBe(true);
  });

  test('each is its own plan; its line comes to the batch but for bars that are loaded whole', () => {
    const plan = planned({ ...stud(), way: 'sawn-blanks', rules: { batchOrder: 'op-by-op' } });
    const runningWay = way('sawn-blanks op-by-op');
    expect(runningWay?.batchMinutes).toBeCloseTo(plan.times.batch.value, 9);
    expect(runningWay?.minutes && at(runningWay.minutes, 60)).toBeCloseTo(plan.times.batch.value, 9);
    expect(runningWay?.batchMoney).toBeCloseTo(costOfRun(plan).batch.value, 9);
    expect(runningWay?.money && at(runningWay.money, 60)).toBeCloseTo(costOfRun(plan).batch.value, 9);
  });

  test('on two lathes the slower set-up gives the pace', () => {
    const { setups, times } = planned(stud());
    expect(setups).toHaveLength(2);
    const runningWay = way('two-lathes');
    expect(runningWay?.minutes?.once).toBeCloseTo(
      Math.max(...setups.map(({ setting }) => setting.value)) + times.firstOff.value,
      9,
    );
    // Shorter than one lathe, and never shorter than half of it.
    const alone = ways.find(({ planned: is }) => is)?.minutes?.each ?? 0;
    expect(runningWay?.minutes?.each ?? 0).toBeLessThan(alone);
    expect(runningWay?.minutes?.each ?? 0).toBeGreaterThanOrEqual(alone / 2 - 1e-9);
  });

  test('programming and proving are the setting up of the programmed machine; an offer is money alone', () => {
    // 60 + 40 + 45; cutting by 0.6 and handling by 0.2 of what they are here, and 12 %.
    const { times } = planned(stud());
    expect(way('programmed')?.minutes).toEqual({
      once: 145,
      each: (times.cutting.value * 0.6 + times.hand.value * 0.2) * 1.12,
    });
    expect(way('bought')).toMatchObject({ money: { once: 20, each: 4 }, batchMoney: 260 });
    expect(way('bought')?.minutes).toBeUndefined();
  });

  test('at a cross-over both ways really take as long', () => {
    const lines = ways.flatMap(({ id, minutes }) => (minutes ? [{ id, ...minutes }] : []));
    const crosses = crossOvers(lines);
    expect(crosses.length).toBeGreaterThan(0);
    for (const { from, to, quantity } of crosses) {
      const [a, b] = [from, to].map((id) => lines.find((line) => line.id === id));
      expect(a && at(a, quantity)).toBeCloseTo((b && at(b, quantity)) ?? NaN, 6);
    }
  });

  test('of a part that cannot be planned there are none', () => {
    expect(waysOfRunning(runOf({ outside: [] }), startValues)).toEqual([]);
  });
});

test('a price for each quantity is that of its own plan, and a piece of many is cheaper than a single one', () => {
  const breaks = [...priceBreaks(stud(), startValues, [1, 60, 600])];
  const [one, sixty, many] = breaks;
  expect(sixty?.piece).toBeCloseTo(costOfRun(planned(stud())).piece.value, 9);
  expect(one?.piece ?? 0).toBeGreaterThan(sixty?.piece ?? 0);
  expect(sixty?.piece ?? 0).toBeGreaterThan(many?.piece ?? 0);
  expect(quantitiesAround(60)).toEqual([5, 10, 20, 50, 60, 100, 200, 500, 1000]);
});

test('what moves the batch most: each swing is what its figure does to the plan, the widest first', () => {
  const file = { ...example('pivot-pin'), quantity: 40 };
  const swings = allSwings(file, startValues);
  const wide = swings.map(({ minutes: [a, b] }) => Math.abs(a - b));
  expect(wide).toEqual([...wide].sort((a, b) => b - a));
  const approach = swings.find(({ name }) => name.endsWith('Come to the read-out'));
  const { approach: now } = startValues.handMinutes;
  const { up } = startValues.spreads.hand;
  const shop = { ...startValues, handMinutes: { ...startValues.handMinutes, approach: now * (1 + up) } };
  expect(approach?.minutes[1]).toBeCloseTo(planned(file, shop).times.batch.value - planned(file).times.batch.value, 6);
});
