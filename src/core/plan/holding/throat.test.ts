import { example, planned, runOf, step } from '../../testing';
import { startValues } from '../../model/shop/startValues';
import { carriedBy } from './support';
import { jawsFromAtLeast } from './throat';

const [machine] = startValues.machines;
if (!machine) throw new Error('no machine');

test('jaws of 25 and a spindle of ⌀36: behind ⌀40 to 100 they begin at 75, behind ⌀36 anywhere', () => {
  expect(jawsFromAtLeast([{ diameter: 40, to: 100 }], machine)).toBe(75);
  expect(jawsFromAtLeast([{ diameter: 36, to: 100 }], machine)).toBe(-Infinity);
  expect(
    jawsFromAtLeast(
      [
        { diameter: 40, to: 60 },
        { diameter: 30, to: 100 },
      ],
      machine,
    ),
  ).toBe(35);
});

describe('a tube of ⌀60, 40 long, bored through to ⌀54', () => {
  const { setups, proof } = planned(
    runOf({
      material: 'aluminium-6082',
      outside: [step(60, 40)],
      bores: [{ from: 'front', shape: 'bore', diameter: '54 H8', depth: 'through' }],
    }),
    startValues,
    { until: 'settled' },
  );

  test('stands out as far as its jaws are short of it, and its bar comes out between them', () => {
    expect(proof.passed).toBe(true);
    for (const { setup } of setups) {
      // Its far end, and 1 for the bar and 1 clear of it where it is bored, lies no more than 25 behind the front of the jaws.
      const bores = setup.features.length > 0 ? 2 : 0;
      expect(setup.holding.from + 25).toBeGreaterThanOrEqual(setup.part.length + setup.behind + bores - 1e-6);
    }
  });

  test('is bored from the hole that it brings, and not drilled into air', () => {
    expect(setups.flatMap(({ operations }) => operations.map(({ kind }) => kind))).not.toContain('drill');
  });

  test('has its stop drawn back where the bar comes out', () => {
    const bored = setups.find(({ operations }) => operations.some(({ kind }) => kind === 'bore'));
    expect(bored?.workStop.drawnBack).toBe(true);
  });
});

test('without a fixed rest of its size such an end is refused, with what stands out of what', () => {
  const { run } = planned(runOf({ outside: [step(20, 40)] }));
  const bare = { ...run, shop: { ...run.shop, machine: { ...run.shop.machine, rests: [] } } };
  expect(carriedBy(bare, { diameter: 40, out: 100, grip: 25 })).toEqual({ ok: true, value: undefined });
  const refused = carriedBy(bare, { diameter: 40, out: 134, grip: 25 });
  expect(refused.ok ? '' : refused.problems[0]?.message).toMatch(
    /^134 mm would stand out of 25 mm .* no fixed rest for ⌀40/,
  );
});

test('an end that stands out of more than four times its grip is faced and centred in a fixed rest', () => {
  // ⌀40, 159 long, 25 of it in the jaws: 134 stand out, and 100 would be four times.
  const { setups } = planned(example('parts/14-idler.awkward'), startValues, { until: 'settled' });
  const [first] = setups;
  expect(first?.setup.rest?.kind).toBe('fixed');
  expect(first?.setup.stickOut.value).toBeGreaterThan(4 * 25);
});
