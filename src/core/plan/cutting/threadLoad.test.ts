import { only, runOf, step } from '../../testing';
import { threadChip } from './threadLoad';

describe('a pass of a thread', () => {
  test('its chip by hand: from 0.2 to 0.3 deep, tan 30° · (0.09 − 0.04) = 0.02887 mm²', () => {
    expect(threadChip(0.2, 0.3)).toBeCloseTo(0.02887, 5);
  });

  const file = runOf(
    {
      material: 'mild-steel',
      outside: [step(20, 24), step(28, 10)],
      details: [
        { kind: 'thread', at: 0, length: 16, designation: 'M20x1.5' },
        { kind: 'groove', at: 16, width: 6, bottom: 17 },
      ],
    },
    { way: 'from-bar' },
  );
  const found = only(file, 'thread');
  const cut = found.passes.filter(({ depth }) => depth > 0);

  test('passes of equal chip take the same area, and the thinner ones a little more force', () => {
    const areas = cut.map(({ depth, diameter = 0 }) => {
      const to = ((found.diameter ?? 0) - diameter) / 2;
      return threadChip(to - depth, to);
    });
    for (const area of areas) expect(area).toBeCloseTo(areas[0] ?? 0, 9);
    const forces = cut.map(({ load }) => load?.force?.value ?? 0);
    expect(forces).toEqual([...forces].sort((a, b) => a - b));
  });

  test('force k · t^(−m) · A; a pass again without infeed has none', () => {
    const [first] = cut;
    const deep = first?.depth ?? 0;
    expect(first?.load?.force?.value).toBeCloseTo(1500 * deep ** -0.22 * threadChip(0, deep), 6);
    expect(found.passes.at(-1)).toMatchObject({ depth: 0, limitedBy: 'again' });
    expect(found.passes.at(-1)?.load).toBeUndefined();
  });
});
