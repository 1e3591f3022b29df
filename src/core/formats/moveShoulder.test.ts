import { step } from '../testing';
import { mirrorPart } from './mirrorPart';
import { movedShoulder } from './moveShoulder';
import type { PartFile } from '../read/runFile';
import { massOf } from '../model/part/mass';
import { readPart } from '../read/readPart';

const part: PartFile = {
  number: 'T-1',
  material: '',
  outside: [
    step('14 h8', '9 +0.05', { chamfers: { front: 0.5 } }),
    { shape: 'cone', from: 14, length: 5, half: 20 },
    step(26, '8 mm'),
  ],
  details: [
    { kind: 'groove', at: 6, width: 2, bottom: 12 },
    { kind: 'chamfer', at: 22, size: 0.5, side: 'back' },
    { kind: 'vee', at: 18, included: 60, depth: 1 },
  ],
  bores: [{ from: 'front', shape: 'drill', diameter: 5, depth: 12 }],
};

const lengths = (steps: PartFile['outside'] | undefined) => steps?.map(({ length }) => length);

describe('a shoulder moved', () => {
  test('the step before it grows and the one behind it gives as much, with the tolerance it had', () => {
    expect(lengths(movedShoulder(part, 1, 0.5, 'mm'))).toEqual(['9 +0.05', 5.5, 7.5]);
    expect(lengths(movedShoulder(part, 0, 1, 'mm'))).toEqual([{ size: 10, limits: ['0', '+0.05'] }, 4, '8 mm']);
  });

  test('the last one makes the part longer', () => {
    expect(lengths(movedShoulder(part, 2, 2, 'mm'))).toEqual(['9 +0.05', 5, 10]);
  });

  test('inches are written as inches', () => {
    expect(lengths(movedShoulder({ outside: [step(1, '1/2')] }, 0, 25.4 / 64, 'in'))).toEqual([0.5156]);
  });

  test('nothing happens where a step would be gone, or has no length yet', () => {
    expect(movedShoulder(part, 1, 8, 'mm')).toBeUndefined();
    expect(movedShoulder({ outside: [step(10, '')] }, 0, 1, 'mm')).toBeUndefined();
  });
});

describe('turned end for end', () => {
  const turned = (file: PartFile) => {
    const result = mirrorPart({ part: file, units: 'mm' });
    if (!result.ok) throw new Error(JSON.stringify(result.problems));
    return result.value;
  };
  const mass = (file: PartFile) => {
    const read = readPart(file, 'mm');
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    return massOf(read.value, 1);
  };

  test('the same metal lies the other way round, places and ends with it', () => {
    const [one, other] = [mass(part), mass(turned(part))];
    expect(other.volume).toBeCloseTo(one.volume, 6);
    expect(other.centre).toBeCloseTo(22 - one.centre, 6);
    expect(turned(part).details).toMatchObject([{ at: 14 }, { at: 0, side: 'front' }, { at: 4 }]);
  });

  test('a groove in the front face is in the back face, and stays without a place along the part', () => {
    const groove = { kind: 'face-groove', face: 'front', inner: 8, outer: 12, depth: 1 } as const;
    const outside = [step(20, 10)];
    expect(turned({ ...part, outside, details: [groove], bores: [] }).details).toEqual([{ ...groove, face: 'back' }]);
  });

  test('twice is as it was', () => {
    expect(mass(turned(turned(part))).centre).toBeCloseTo(mass(part).centre, 9);
    expect(turned(turned(part)).bores).toEqual(part.bores);
  });

  test('what does not read stays, with what is in the way', () => {
    expect(mirrorPart({ part: { ...part, outside: [step('', 4)] }, units: 'mm' }).ok).toBe(false);
  });
});
