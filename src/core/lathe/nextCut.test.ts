import fc from 'fast-check';
import { startLathe } from '../model/shop/latheValues';
import { coldSize, nextCut, type Measured } from './nextCut';

/** 14 h8, turned with high-speed steel and measured by micrometer. */
const shaft: Measured = {
  limits: { target: 13.9865, lower: 13.973, upper: 14 },
  grows: false,
  perSide: true,
  readings: [14.3],
  gaugeRepeats: 0.005,
  thinnest: 0.05,
  deepest: 0.25,
};
/** 22 H8, bored and measured by bore gauge. */
const bore: Measured = {
  limits: { target: 22.0165, lower: 22, upper: 22.033 },
  grows: true,
  perSide: true,
  readings: [21.7],
  gaugeRepeats: 0.01,
  thinnest: 0.05,
  deepest: 0.1,
};
const next = (measured: Measured, more: Partial<Measured> = {}) => nextCut({ ...measured, ...more }, startLathe);
const passesOf = (measured: Measured, more: Partial<Measured> = {}) => {
  const { outcome } = next(measured, more);
  return outcome.kind === 'cut' ? outcome.passes : outcome.kind;
};

test('a shaft by micrometer: two cuts alike to the middle of its limits', () => {
  // σ = 0.005/2 = 0.0025, U = 2·√(0.0025² + 0.005²) = 0.01118: the target lies between 13.98418 and 13.98882.
  const { spread, aim, left, promised } = next(shaft);
  expect(spread.value).toBeCloseTo(0.0025, 6);
  expect(aim.value).toBeCloseTo(13.9865, 6);
  expect(promised).toBe(true);
  // (14.3 − 13.9865) / 2 = 0.15675 a side; a fit, so two of 0.078375.
  expect(left.value).toBeCloseTo(0.15675, 6);
  expect(passesOf(shaft)).toEqual([
    { depth: expect.closeTo(0.078375, 6), to: expect.closeTo(14.14325, 6) },
    { depth: expect.closeTo(0.078375, 6), to: expect.closeTo(13.9865, 6) },
  ]);
});

test('the same by caliper: gauge and cut cannot promise it, which is said, and the middle is aimed at', () => {
  // σ = 0.015, U = 2·√(0.015² + 0.005²) = 0.03162: 13.973 + 0.03162 is beyond 14 − 0.03162.
  const { aim, promised } = next(shaft, { gaugeRepeats: 0.03 });
  expect(promised).toBe(false);
  expect(aim.value).toBeCloseTo(13.9865, 6);
  expect(aim.note).toBe('gauge and cut may be off by 0.063 mm, the limits are 0.027 mm apart');
});

test('a bore: kept clear of its upper limit first, no cut deeper than is taken at once', () => {
  // σ = 0.005, U = 2·√(0.005² + 0.005²) = 0.014142: the target 22.0165 lies between 22.014142 and 22.018858.
  // (22.0165 − 21.7) / 2 = 0.15825 a side, in two of 0.079125.
  expect(passesOf(bore)).toEqual([
    { depth: expect.closeTo(0.079125, 6), to: expect.closeTo(21.85825, 6) },
    { depth: expect.closeTo(0.079125, 6), to: expect.closeTo(22.0165, 6) },
  ]);
  // A target at the upper limit is drawn in by U.
  expect(next(bore, { limits: { target: 22.033, lower: 22, upper: 22.033 } }).aim.value).toBeCloseTo(22.018858, 5);
});

test('readings are averaged, and not below a quarter of what the gauge repeats to', () => {
  expect(next(bore, { readings: [21.7, 21.704] }).spread.value).toBeCloseTo(0.01 / 2 / Math.SQRT2, 9);
  expect(next(bore, { readings: Array.from({ length: 16 }, () => 21.7) }).spread.value).toBeCloseTo(0.0025, 9);
  // Further apart than twice what it repeats to: one of them is wrong.
  expect(next(bore, { readings: [21.7, 21.721] }).outcome).toEqual({ kind: 'again', because: 'readings apart' });
});

test('reading and expectation that agree count by how sure each is; those that do not are measured again', () => {
  const caliper = { ...shaft, gaugeRepeats: 0.03 };
  // 0.04 off; e + 2 σ₀ = 0.03 + 0.02 = 0.05. Weights 1/0.015² = 4444.4 and 1/0.01² = 10000.
  const agreed = next(caliper, { readings: [14.34], expected: { size: 14.3, spread: 0.01 } });
  expect(agreed.size.value).toBeCloseTo(14.312308, 5);
  expect(agreed.spread.value).toBeCloseTo(0.00832, 5);
  // 0.06 off is more than 0.05.
  const doubted = { readings: [14.36], expected: { size: 14.3, spread: 0.01 } };
  expect(next(caliper, doubted).outcome).toEqual({ kind: 'again', because: 'doubted' });
  // Read again and the same: the reading alone, and the cause is asked for.
  const surprised = next(caliper, { ...doubted, readings: [14.36, 14.36] });
  expect(surprised.size.value).toBeCloseTo(14.36, 9);
  expect(surprised.surprised).toBe(true);
  expect(surprised.outcome.kind).toBe('cut');
  // Read again and another: neither is believed yet.
  expect(next(caliper, { ...doubted, readings: [14.36, 14.29] }).outcome).toEqual({
    kind: 'again',
    because: 'readings apart',
  });
  expect(next(caliper, doubted).surprised).toBe(false);
});

test('inside its limits it is left; near one of them that is said', () => {
  expect(next(shaft, { readings: [13.985] }).outcome).toEqual({ kind: 'in', near: false });
  // 2 σ = 0.005: from 13.995 on it may be over.
  expect(next(shaft, { readings: [13.997] }).outcome).toEqual({ kind: 'in', near: true });
});

test('too little for the edge: one cut past the aim where that stays clear, else an abrasive or a spring pass', () => {
  // 14.08: 0.04675 a side is under 0.05; one cut of 0.05 ends at 13.98, under 13.973 + 0.01118 = 13.98418.
  expect(next(shaft, { readings: [14.08] }).outcome).toEqual({ kind: 'rub', by: 'spring' });
  // 14.015 is 0.015 over the limit: an abrasive takes 0.02.
  expect(next(shaft, { readings: [14.015] }).outcome).toEqual({ kind: 'rub', by: 'abrasive' });
  // With wider limits there is room past the aim: 20.05 − 2·0.05 = 19.95 is above 19.9 + 0.01118.
  const wide = { limits: { target: 20, lower: 19.9, upper: 20.04 }, readings: [20.05] };
  expect(passesOf(shaft, wide)).toEqual([{ depth: 0.05, to: expect.closeTo(19.95, 9) }]);
});

test('beyond the limit that nothing brings back it is spoilt: a shaft too thin, a bore too wide', () => {
  expect(next(shaft, { readings: [13.96] }).outcome).toEqual({ kind: 'spoilt' });
  expect(next(bore, { readings: [22.04] }).outcome).toEqual({ kind: 'spoilt' });
});

test('a length is cut on one side alone', () => {
  const length: Measured = {
    ...shaft,
    perSide: false,
    limits: { target: 30, lower: 29.9, upper: 30.1 },
    readings: [30.6],
  };
  expect(next(length).left.value).toBeCloseTo(0.6, 9);
  expect(passesOf(length)).toHaveLength(3);
});

test('a warm piece is less at 20 °C: 50 mm of aluminium 30 K over, by a steel gauge at 20', () => {
  // 50 / (1 + 23e-6 · 30) = 49.9655
  expect(coldSize(50, { over: 30, expansion: 23e-6 }, { over: 0, expansion: 11.5e-6 })).toBeCloseTo(49.9655, 4);
  // Both as warm as each other, and both of steel: as it is read.
  expect(coldSize(50, { over: 15, expansion: 11.5e-6 }, { over: 15, expansion: 11.5e-6 })).toBeCloseTo(50, 9);
});

test('whatever is read, no cut is thinner than the edge takes nor ends outside the limits', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -0.2, max: 2, noNaN: true }),
      fc.double({ min: 0.01, max: 0.5, noNaN: true }),
      fc.boolean(),
      (over, width, grows) => {
        const limits = { lower: 20, upper: 20 + width, target: 20 + width / 2 };
        const reading = grows ? 20 - over : 20 + width + over;
        const { outcome } = next(shaft, { limits, grows, readings: [reading] });
        if (outcome.kind !== 'cut') return true;
        const last = outcome.passes.at(-1)?.to ?? 0;
        return (
          outcome.passes.every(({ depth }) => depth >= 0.05 - 1e-9 && depth <= 0.25 + 0.05) &&
          last >= limits.lower &&
          last <= limits.upper
        );
      },
    ),
  );
});
