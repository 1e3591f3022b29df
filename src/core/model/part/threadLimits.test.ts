import { readThread, type NUT_CLASSES } from './thread';
import { majorLimits, minorLimits } from './threadLimits';
import { readPart } from '../../read/readPart';
import { operationsOf, problemsOf, runOf, step } from '../../testing';

const limitsOf = (designation: string, of?: string) => {
  const thread = readThread(designation, '');
  if (!thread.ok) throw new Error(designation);
  const { lower, upper } = majorLimits({ ...thread.value, ...(of ? { of } : {}) });
  return [thread.value.diameter + lower, thread.value.diameter + upper];
};

test('M12 × 1.75 by 6g: 15 + 11 · 1.75 = 34 µm under it, 180 · 1.75^⅔ − 3.15/√1.75 = 259 wide: 11.70 to 11.97', () => {
  const [least, most] = limitsOf('M12');
  expect(most).toBeCloseTo(11.966, 3);
  expect(least).toBeCloseTo(11.707, 3);
  expect(limitsOf('M12', '6g')).toEqual([least, most]);
});

test('by 6h nothing is taken off; by 4h it is 0.63 as wide, by 8g 1.6 times', () => {
  const wide = (of: string) => {
    const [least = 0, most = 0] = limitsOf('M12', of);
    return most - least;
  };
  expect(limitsOf('M12', '6h')[1]).toBeCloseTo(12, 9);
  expect(wide('4h') / wide('6g')).toBeCloseTo(0.63, 9);
  expect(wide('8g') / wide('6g')).toBeCloseTo(1.6, 9);
});

test('1/4-20 by 2A: 0.2408 to 0.2489 in; by 3A up to its size', () => {
  const inches = (of?: string) => limitsOf('1/4-20', of).map((mm) => mm / 25.4);
  const [least, most] = inches();
  expect(least).toBeCloseTo(0.2408, 3);
  expect(most).toBeCloseTo(0.2489, 4);
  expect(inches('3A')[1]).toBeCloseTo(0.25, 9);
});

test('what a thread is cut on is turned to the middle of that; limits of the drawing, and what is free, stay', () => {
  const blank = (diameter: string | number) => {
    const file = runOf({
      outside: [step(diameter, 20), step(20, 10)],
      details: [{ kind: 'thread', at: 0, length: 15, designation: 'M12', runOut: 3 }],
    });
    const part = readPart(file.part, 'mm');
    if (!part.ok) throw new Error(JSON.stringify(part.problems));
    return part.value.steps.map(({ diameter: size }) => size);
  };
  const [threaded, plain] = blank(12);
  expect(threaded?.aim).toBeCloseTo(11.8365, 3);
  expect([threaded?.lower, threaded?.upper]).toEqual([expect.closeTo(-0.293, 3), expect.closeTo(-0.034, 3)]);
  expect(plain).toMatchObject({ aim: 20, lower: -0.2, upper: 0.2 });
  // Counted from the thread, whatever the drawing calls its cylinder.
  expect(blank(11.9)[0]?.aim).toBeCloseTo(11.8365, 3);
  expect(blank('12 -0.1/0')[0]).toMatchObject({ aim: 11.95, from: 'limits' });
  expect(blank('12 free')[0]).toMatchObject({ aim: 12, open: 'free' });
});

describe('a nut whose class is named', () => {
  const cores = (designation: string, of?: string) => {
    const thread = readThread(designation, '');
    if (!thread.ok) throw new Error(designation);
    const limits = minorLimits({ ...thread.value, ...(of ? { of } : {}) });
    return limits && [limits.least, limits.most].map((size) => Number(size.toFixed(3)));
  };
  const tapped = (of: (typeof NUT_CLASSES)[number], hole?: number) =>
    runOf({
      outside: [step(20, 10)],
      bores: [
        ...(hole ? [{ from: 'front' as const, shape: 'drill' as const, diameter: hole, depth: 'through' }] : []),
        { from: 'front', shape: 'tap', designation: 'M10', class: of, depth: 'through' },
      ],
    });

  test('M10 by 6H: 10 − 1.0825 · 1.5 = 8.376, and 230 · 1.5^0.7 = 305 µm wide; without one there is nothing to keep', () => {
    expect(cores('M10', '6H')).toEqual([8.376, 8.682]);
    expect(cores('M10')).toBeUndefined();
  });

  test('M2 by 5H: 2 − 1.0825 · 0.4 = 1.567, and 0.8 · (433 · 0.4 − 190 · 0.4^1.22) = 89 µm wide', () => {
    expect(cores('M2', '5H')).toEqual([1.567, 1.656]);
  });

  test('G stands off by as much as g: 15 + 11 · 1.5 = 31.5 µm', () => {
    expect(cores('M10', '6G')?.[0]).toBeCloseTo(8.376 + 0.0315, 2);
  });

  test('unified ones by 2B and 3B, in inches as the tables print them', () => {
    const inches = (designation: string, of: string) => cores(designation, of)?.map((mm) => mm / 25.4) ?? [];
    const near = (is: readonly number[], least: number, most: number) => {
      expect(Math.abs((is[0] ?? 0) - least)).toBeLessThan(0.0006);
      expect(Math.abs((is[1] ?? 0) - most)).toBeLessThan(0.0006);
    };
    near(inches('1/4-20', '2B'), 0.196, 0.207);
    near(inches('1/4-20', '3B'), 0.196, 0.2067);
    near(inches('10-32', '2B'), 0.156, 0.164);
    near(inches('1/2-13', '2B'), 0.417, 0.434);
  });

  test('is drilled within it, and a hole of the drawing beyond it is refused with both limits', () => {
    const drilled = operationsOf(tapped('6H')).find(({ kind, diameter = 0 }) => kind === 'drill' && diameter > 8);
    expect(drilled?.diameter).toBe(8.5);
    expect(problemsOf(tapped('6H', 8.8))).toEqual([
      {
        path: 'part.bores[1].class',
        message:
          'the core of M10-6H lies between ⌀8.376 and ⌀8.682, and the hole is ⌀8.8 (part.bores[0]): a narrower hole, or a wider class',
      },
    ]);
  });
});
