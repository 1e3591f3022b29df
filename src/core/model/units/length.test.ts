import fc from 'fast-check';
import { formatLength, formatNominal, parseLength, type UnitSystem } from './length';

const read = (entry: number | string, units: UnitSystem = 'mm') => {
  const result = parseLength(entry, units);
  return result.ok ? result.value : result.problems[0]?.message;
};

describe('a length as people write it', () => {
  test.each([
    ['12.7', 'mm', 12.7],
    ['12,7', 'mm', 12.7],
    ['.35in', 'mm', 8.89],
    ['3/8', 'in', 9.525],
    ['3/8 in', 'mm', 9.525],
    ['1 1/32"', 'mm', 26.19375],
    ['1-1/2', 'in', 38.1],
    ['12.7 mm', 'in', 12.7],
    ['5 thou', 'mm', 0.127],
    ['12 ft', 'in', 3657.6],
    ['3 m', 'mm', 3000],
    ['½', 'in', 12.7],
    ['1½ in', 'mm', 38.1],
    ['2 ⅜"', 'mm', 60.325],
    ['−0.1', 'mm', -0.1],
    ['-.002', 'in', -0.0508],
    [22, 'in', 558.8],
  ] as const)('%s read in %s is %d mm', (entry, units, mm) => {
    expect(read(entry, units)).toBeCloseTo(mm, 9);
  });

  test.each(['12.7.1', 'abc', '3/8/2', '1 2', '6 kg', '1e3'])('%s is refused and quoted', (entry) => {
    expect(read(entry)).toContain(`“${entry}” is not a length`);
  });

  test('a fraction without a unit in mm may be either, and is asked about', () => {
    expect(read('1/2')).toBe('“1/2” may be mm or inches: write 0.5, or 1/2 in');
    expect(read('1 1/4')).toBe('“1 1/4” may be mm or inches: write 1.25, or 1 1/4 in');
    expect(read('½')).toContain('may be mm or inches');
  });

  test('an empty entry is missing, a fraction over nothing is refused', () => {
    expect(read('  ')).toBe('is missing');
    expect(read('3/0')).toContain('divides by nothing');
  });

  test('what is written is read back to the places written', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -400, max: 400, noNaN: true }),
        fc.constantFrom<UnitSystem>('mm', 'in'),
        (mm, units) => {
          const back = read(formatLength(mm, units, true), units) as number;
          expect(Math.abs(back - mm)).toBeLessThanOrEqual(units === 'mm' ? 0.0005001 : 0.00127001);
        },
      ),
    );
  });

  test('names have no trailing noughts', () => {
    expect(formatNominal(26, 'mm')).toBe('26');
    expect(formatNominal(9.525, 'in')).toBe('0.375');
    expect(formatLength(-0.00001, 'mm')).toBe('0.00');
  });
});
