import fc from 'fast-check';
import type { RunFile } from '../../read/runFile';
import { planned, runOf, step } from '../../testing';
import { barLayout, onLastBar } from './barLayout';

const plan = (more: Partial<RunFile> = {}) =>
  planned(runOf({ outside: [step(12, 20), step(18, 12)] }, { quantity: 100, spares: 0, ...more }));

/** Stretches as words and lengths, mm. */
const words = (each: ReturnType<typeof barLayout>) =>
  each.map(({ what, from, to }) => `${what} ${Number((to - from).toFixed(4))}`);

test('from the bar: end, facing, piece, facing, blade, and again; the chuck keeps 27 and 5 of room', () => {
  const { run, stock } = plan({ way: 'from-bar' });
  const first = words(barLayout(run, stock, 2));
  // Pitch 34.6; what is left: 3000 − 0.5 − 2 · 34.6 − 32.
  expect(first).toEqual([
    'first end 0.5',
    ...['facing 0.3', 'piece 32', 'facing 0.3', 'blade 2'],
    ...['facing 0.3', 'piece 32', 'facing 0.3', 'blade 2'],
    'left over 2898.3',
    'held 32',
  ]);
});

test('blanks: a kerf between two, and one behind the last', () => {
  const { run, stock } = plan({ way: 'sawn-blanks' });
  expect(words(barLayout(run, stock, 2))).toEqual([
    ...['facing 1', 'piece 32', 'facing 1'],
    'kerf 2.5',
    ...['facing 1', 'piece 32', 'facing 1'],
    'kerf 2.5',
    'left over 2927',
  ]);
  // 82 blanks of 34 and 81 kerfs of 2.5 are 2990.5: the last kerf still lies on the bar, and 7 are left.
  expect(words(barLayout(run, stock, 82)).slice(-2)).toEqual(['kerf 2.5', 'left over 7']);
});

test('a bar too long for the spindle: three lengths, each with its own end and its own hold', () => {
  const file = runOf({ outside: [step(12, 20), step(18, 12)] }, { quantity: 100, spares: 0, way: 'from-bar' });
  const { run, stock } = planned(file);
  const long = { ...stock, lengths: 3, piecesPerBar: { ...stock.piecesPerBar, value: 81 } };
  const layout = barLayout(run, long, 81);
  const count = (what: string) => layout.filter((stretch) => stretch.what === what).length;
  expect([count('piece'), count('first end'), count('held'), count('kerf')]).toEqual([81, 3, 3, 2]);
});

test('the last bar has what the others left: 100 of 85 a bar are 15', () => {
  const { stock } = plan({ way: 'from-bar' });
  expect([stock.piecesPerBar.value, onLastBar(stock)]).toEqual([85, 15]);
});

test('whatever is made of it, the stretches lie end to end and are the whole bar', () => {
  const plans = [plan({ way: 'from-bar' }), plan({ way: 'sawn-blanks' })];
  fc.assert(
    fc.property(fc.constantFrom(...plans), fc.nat(82), ({ run, stock }, pieces) => {
      const layout = barLayout(run, stock, pieces);
      expect(layout[0]?.from).toBe(0);
      expect(layout.at(-1)?.to).toBeCloseTo(stock.barLength, 6);
      layout.slice(1).forEach(({ from }, index) => expect(from).toBeCloseTo(layout[index]?.to ?? NaN, 9));
      expect(layout.filter(({ what }) => what === 'piece')).toHaveLength(pieces);
    }),
  );
});
