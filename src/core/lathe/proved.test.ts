import type { Happening, LatheEvent } from './events';
import { isAnything, provedBy } from './proved';

const event = (happening: Happening, operation = 'bore'): LatheEvent => ({
  id: 'e',
  device: 'bench',
  seq: 1,
  at: '2026-11-30T08:00:00Z',
  revision: 1,
  operation,
  ...happening,
});

test('corrections of a place are summed, of changes the last counts, and what did not help is left out', () => {
  const proved = provedBy([
    event({ kind: 'corrected', place: 'stop 1B', by: 0.03, what: 'length 8' }),
    event({ kind: 'changed', what: 'speed', to: '900' }),
    event({ kind: 'corrected', place: 'stop 1B', by: -0.01, what: 'length 8' }),
    event({ kind: 'changed', what: 'speed', to: '710' }),
    event({ kind: 'tried', sign: 'chatter', cause: 'speed down', helped: false }),
    event({ kind: 'tried', sign: 'chatter', cause: 'feed up', helped: true }),
  ]);
  expect(proved.moved).toEqual([
    { place: 'stop 1B', by: expect.closeTo(0.02, 9), operation: 'bore', what: 'length 8' },
  ]);
  expect(proved.changed).toEqual([{ operation: 'bore', what: 'speed', to: '710' }]);
  expect(proved.helped).toEqual([{ operation: 'bore', sign: 'chatter', cause: 'feed up' }]);
});

test('what was moved there and back proved the plan, and is nothing', () => {
  const there = event({ kind: 'corrected', place: 'zero of boring bar', by: 0.04 });
  const back = event({ kind: 'corrected', place: 'zero of boring bar', by: -0.04 });
  expect(isAnything(provedBy([there, back]))).toBe(false);
});
