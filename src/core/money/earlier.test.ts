import { costTaught, earlierCosts } from './earlier';

const piece = { name: 'a good piece', reckoned: 4.1, really: 4.55 };

test('what it cost is told once all of it is made: sold for what the good pieces are paid with', () => {
  expect(costTaught({ piece, isWhole: true, paid: 260 }, 50, '2026-11-03')).toEqual({
    good: 50,
    reckoned: 4.1,
    really: 4.55,
    soldAt: 5.2,
    on: '2026-11-03',
  });
  expect(costTaught({ piece, isWhole: true, paid: undefined }, 50, '2026-11-03')).not.toHaveProperty('soldAt');
  expect(costTaught({ piece, isWhole: false, paid: 260 }, 50, '2026-11-03')).toBeUndefined();
  expect(costTaught({ piece: undefined, isWhole: true, paid: 0 }, 0, '2026-11-03')).toBeUndefined();
});

test('earlier runs of the same part, however its number is written, the newest first and not this one', () => {
  const cost = (on: string) => ({ good: 10, reckoned: 1, really: 1, on });
  const learned = [
    { run: 1, number: 'WS-12', cost: cost('2026-01-03') },
    { run: 2, number: ' WS-12\u00a0', cost: cost('2026-05-01') },
    { run: 3, number: 'WS-13', cost: cost('2026-05-01') },
    { run: 4, number: 'WS-12' },
    { run: 5, number: 'WS-12', cost: cost('2026-11-30') },
  ];
  expect(earlierCosts(learned, 'WS-12', 5).map(({ run }) => run)).toEqual([2, 1]);
});
