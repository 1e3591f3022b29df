import fc from 'fast-check';
import { startValues } from '../shop/startValues';
import { mate, offerFits } from './mates';

const purposes = startValues.fits;
const micrometres = (mm: number) => Math.round(mm * 1000);

const offered = (name: string, nominal: number, making: 'hole' | 'shaft' = 'shaft', finest = 6) => {
  const purpose = purposes.find((fitPurpose) => fitPurpose.purpose === name);
  const fits = purpose && offerFits(purpose, nominal, making, finest);
  if (!fits?.ok) throw new Error(JSON.stringify(fits?.problems));
  return fits.value;
};

test.each([
  // Limits at 14 mm (trade: Tables): H7 0/18, H8 0/27; g6 −17/−6, f7 −34/−16, h6 −11/0, k6 1/12, p6 18/29.
  ['running', 'H8', 'f7', 0 + 16, 27 + 34, 'clearance'],
  ['sliding', 'H7', 'g6', 0 + 6, 18 + 17, 'clearance'],
  ['location', 'H7', 'h6', 0, 18 + 11, 'clearance'],
  ['location', 'H7', 'k6', 0 - 12, 18 - 1, 'transition'],
  ['press', 'H7', 'p6', 0 - 29, 18 - 18, 'interference'],
])('%s on 14: %s with %s leaves %i to %i µm', (purpose, hole, shaft, least, most, kind) => {
  const fit = offered(purpose, 14).find(({ names }) => names.hole === hole && names.shaft === shaft);
  expect(fit && [micrometres(fit.least), micrometres(fit.most), fit.kind]).toEqual([least, most, kind]);
});

test('what the machine does not hold is said of the side that is made here', () => {
  const held = (making: 'hole' | 'shaft', finest: number) =>
    offered('sliding', 14, making, finest).map((fit) => fit.held);
  expect(held('shaft', 7)).toEqual([false, true]);
  expect(held('hole', 7)).toEqual([true, true]);
});

test('beyond the tables: why, not a guess', () => {
  const press = purposes.find(({ purpose }) => purpose === 'press');
  expect(press && offerFits(press, 150, 'shaft', 6)).toMatchObject({
    ok: false,
    problems: [{ message: expect.stringContaining('sizes to 120 mm') }, {}],
  });
});

test('every pair that the shop starts with is in the tables, and does what its purpose says', () => {
  const kinds = { running: ['clearance'], sliding: ['clearance'], press: ['interference', 'transition'] } as Record<
    string,
    string[]
  >;
  for (const nominal of [2, 5, 8, 14, 25, 40, 70, 110])
    for (const { purpose } of purposes)
      for (const { kind } of offered(purpose, nominal)) if (kinds[purpose]) expect(kinds[purpose]).toContain(kind);
});

test('the loosest is the tightest and both tolerances', () => {
  const limits = fc.tuple(fc.integer({ min: -200, max: 200 }), fc.integer({ min: 1, max: 100 }));
  fc.assert(
    fc.property(limits, limits, ([hole, holeWidth], [shaft, shaftWidth]) => {
      const { least, most } = mate(
        { lower: hole, upper: hole + holeWidth },
        { lower: shaft, upper: shaft + shaftWidth },
      );
      expect(most - least).toBeCloseTo(holeWidth + shaftWidth, 9);
    }),
  );
});
