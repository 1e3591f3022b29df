import type { RunFile } from '../../read/runFile';
import { planned, runOf, step } from '../../testing';
import { gripMap } from './gripMap';

/** The map after the operation of a key, or at the end of the first set-up. */
function mapAfter(file: RunFile, key?: string) {
  const first = planned(file).setups[0];
  if (!first) throw new Error('there is no set-up');
  const last =
    key === undefined ? first.operations.length - 1 : first.operations.findIndex((operation) => operation.key === key);
  const done = first.operations.slice(0, last + 1);
  const work = done.at(-1)?.after ?? first.start;
  return gripMap(
    work,
    first.setup,
    done.flatMap(({ makes = [] }) => makes),
  ).map(({ z0, z1, diameter, hold, because }) => [z0, z1, Number(diameter.toFixed(2)), hold, because]);
}

const pin = runOf(
  {
    outside: [step('12 h8', 12), step(20, 15)],
    details: [{ kind: 'thread', at: 0, length: 8, designation: 'M12x1', runOut: 2 }],
  },
  { way: 'sawn-blanks' },
);

test('what is not finished may be held bare; a thread, a fit and what is too short not', () => {
  const thread = mapAfter(pin);
  expect(thread.slice(0, 2)).toEqual([
    [0, 8, 11.99, 'unmarked', 'a thread'],
    // 12 h8, aimed at 11.9865: 4 of it are left beside the thread, and hard jaws want 5.
    [8, 12, 11.99, 'unmarked', 'too short for hard jaws: 4 mm'],
  ]);
  expect(thread[2]).toEqual([12, 27, 20, 'bare', 'finished']);
});

test('before it is turned it is stock, from end to end', () => {
  const [only] = mapAfter(pin, 'face:front');
  expect(only?.slice(2)).toEqual([20, 'bare', 'not finished yet']);
});

test('a thin wall is held only by what grips all round, and its thickness is told', () => {
  const cup = runOf(
    { outside: [step(34, 30)], bores: [{ from: 'front', shape: 'bore', diameter: 30, depth: 20, bottom: 'flat' }] },
    { way: 'from-bar' },
  );
  const first = planned(cup).setups[0];
  if (!first) throw new Error('there is no set-up');
  const [wall] = gripMap(first.operations.at(-1)?.after ?? first.start, first.setup, ['part.bores[0]']);
  // 17 − 15 over ⌀34 is 6 %, under a tenth.
  expect(wall).toMatchObject({ hold: 'unmarked', because: 'a thin wall' });
  expect(wall?.wall).toBeCloseTo(2, 6);
});
