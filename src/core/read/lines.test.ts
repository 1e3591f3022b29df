import fc from 'fast-check';
import { example } from '../testing';
import { readPart } from './readPart';
import { massOf } from '../model/part/mass';
import { linesOf, readLines } from './lines';

const read = (text: string) => {
  const lines = readLines(text);
  if (!lines.ok) throw new Error(JSON.stringify(lines.problems));
  return lines.value;
};

test('a line without a word is a cylinder; figures stand in order or after their words', () => {
  expect(read('14 h8; 9 +0.05; ra 1.6; front 0.5; name spigot; critical').outside).toEqual([
    {
      shape: 'cylinder',
      diameter: '14 h8',
      length: '9 +0.05',
      roughness: '1.6',
      chamfers: { front: '0.5' },
      name: 'spigot',
      critical: true,
    },
  ]);
  expect(read('cone from 20; length 5; included 60').outside).toEqual([
    { shape: 'cone', from: '20', length: '5', included: '60' },
  ]);
});

test('a word of two is one word, and a groove in a face is a detail', () => {
  const text = 'face-groove front; 30; 36; 2.4 ±0.05\ncross-hole 12; 4; tilt 20\nvee 8; 36; 9; 4';
  expect(read(text).details).toEqual([
    { kind: 'face-groove', face: 'front', inner: '30', outer: '36', depth: '2.4 ±0.05' },
    { kind: 'cross-hole', at: '12', diameter: '4', tilt: '20' },
    { kind: 'vee', at: '8', included: '36', depth: '9', bottom: '4' },
  ]);
  const part = { number: 'T-1', material: '', ...read(`60; 16\n${text}`) };
  expect(read(linesOf(part))).toMatchObject({ details: read(text).details });
});

test('a groove and a cone are outside, unless they go in from an end', () => {
  expect(
    read('groove 7; 2; 12.5\ngroove front; 4; 2; 13\ncone 8; 12; 4\ncone back; mouth 9; small 6; included 60'),
  ).toEqual({
    outside: [{ shape: 'cone', from: '8', to: '12', length: '4' }],
    details: [{ kind: 'groove', at: '7', width: '2', bottom: '12.5' }],
    bores: [
      { shape: 'groove', from: 'front', at: '4', width: '2', bottom: '13' },
      { shape: 'cone', from: 'back', mouth: '9', small: '6', included: '60' },
    ],
  });
});

test('empty lines and remarks say nothing', () => {
  expect(read('# a pin\n\n 6 h7; 20 \n')).toEqual({
    outside: [{ shape: 'cylinder', diameter: '6 h7', length: '20' }],
    details: [],
    bores: [],
  });
});

test('what is not understood is told with its line', () => {
  expect(readLines('14; 9\nblob 3\n14; 9; 8')).toEqual({
    ok: false,
    problems: [
      { path: 'line 2', message: expect.stringContaining('“blob” is not a word') },
      { path: 'line 3', message: '“8” is one figure too many' },
    ],
  });
});

test.each(['gland-body', 'sensor-spacer', 'vane-spindle', 'terminal-pillar'])(
  '%s is the same part after its lines',
  (name) => {
    const { part, units } = example(name);
    const again = { ...part, ...read(linesOf(part)) };
    const [one, other] = [readPart(part, units), readPart({ ...again, runout: [] }, units)];
    if (!one.ok || !other.ok) throw new Error(JSON.stringify([one, other]));
    expect(massOf(other.value, 1).volume).toBeCloseTo(massOf(one.value, 1).volume, 9);
    expect(linesOf(again)).toBe(linesOf(part));
  },
);

test('law: what was read is written so that it reads the same', () => {
  const figure = fc.integer({ min: 1, max: 400 }).map((value) => String(value / 10));
  const line = fc.oneof(
    fc.tuple(figure, figure).map(([d, l]) => `${d}; ${l}`),
    fc.tuple(figure, figure, figure).map(([a, w, b]) => `groove ${a}; ${w}; bottom ${b}`),
    fc.tuple(figure, figure).map(([d, t]) => `drill back; ${d}; ${t}; depthTo point`),
    fc.tuple(figure, figure).map(([d, l]) => `cone to ${d}; length ${l}; half 10; name tip`),
  );
  fc.assert(
    fc.property(fc.array(line, { maxLength: 8 }), (lines) => {
      const once = read(lines.join('\n'));
      expect(read(linesOf(once))).toEqual(once);
    }),
  );
});
