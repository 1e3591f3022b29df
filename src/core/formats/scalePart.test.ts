import { massOf } from '../model/part/mass';
import { readPart } from '../read/readPart';
import { example, step } from '../testing';
import { scalePart } from './scalePart';

const part = {
  outside: [{ ...step('12 h9', 18), chamfers: { front: 1 } }, step(20, 8)],
  details: [
    { kind: 'knurl' as const, at: 18, length: 6, pattern: 'diamond' as const, pitch: 0.8 },
    { kind: 'groove' as const, at: { size: 10, limits: [-0.1, 0.1] as [number, number] }, width: 2, bottom: 9 },
  ],
  bores: [{ from: 'front' as const, shape: 'drill' as const, diameter: 4, depth: 'through' }],
};

test('sizes and places are so many times as large; fits, limits and the pitch of a knurl stay', () => {
  expect(scalePart(part, 1.5, 'mm')).toEqual({
    part: {
      outside: [
        { shape: 'cylinder', diameter: { size: 18, fit: 'h9' }, length: 27, chamfers: { front: 1.5 } },
        { shape: 'cylinder', diameter: 30, length: 12 },
      ],
      details: [
        { kind: 'knurl', at: 27, length: 9, pattern: 'diamond', pitch: 0.8 },
        { kind: 'groove', at: { size: 15, limits: [-0.1, 0.1] }, width: 3, bottom: 13.5 },
      ],
      bores: [{ from: 'front', shape: 'drill', diameter: 6, depth: 'through' }],
    },
    left: [],
  });
});

test('what cannot be read is left, and told', () => {
  expect(scalePart({ outside: [step('12 max', 18)] }, 2, 'mm')).toEqual({
    part: { outside: [{ shape: 'cylinder', diameter: '12 max', length: 36 }] },
    left: ['12 max'],
  });
});

// Twice as large is eight times the metal, in inches as in millimetres.
test.each(['pivot-pin', 'terminal-pillar'])('%s twice as large has eight times its volume', (name) => {
  const { part: drawn, units } = example(name);
  const [one, two] = [drawn, scalePart(drawn, 2, units).part].map((file) => readPart(file, units));
  if (!one?.ok || !two?.ok) throw new Error('both are read');
  expect(massOf(two.value, 1).volume / massOf(one.value, 1).volume).toBeCloseTo(8, 2);
});
