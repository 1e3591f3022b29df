import fc from 'fast-check';
import type { LengthFile, PartFile } from '../runFile';
import { mirrorPart } from '../../formats/mirrorPart';
import { linesOf, readLines } from '../lines';
import { problemsOf, runOf, step } from '../../testing';
import { readPart } from '../readPart';
import type { SizeEntry } from '../../model/part/size';
import { chainBetween, middlesOf, sumOf, treeOf, type Link } from '../../model/part/chain';

const link = (from: number, to: number, nominal: number, lower: number, upper = -lower): Link => ({
  path: `${from}-${to}`,
  from,
  to,
  size: { nominal, lower, upper, aim: nominal + (lower + upper) / 2, from: 'limits' },
});

const read = (part: Partial<PartFile>) => {
  const result = readPart(runOf(part).part, 'mm');
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.value;
};

/** Three steps of which the drawing says nothing but lengths from its own datums. */
const outside = [step(10, ''), step(14, '', { name: 'seat' }), step(20, '')];
const lengths: LengthFile[] = [
  { from: 'front', to: 'seat', size: '14 ±0.05' },
  { from: 1, to: 'seat', size: '5 ±0.02' },
  { from: 'seat', to: 'back', size: '8' },
];

describe('lengths of the drawing from any datum', () => {
  test('9 = 14 − 5, and the tolerances add up: 0.05 + 0.02', () => {
    const { steps, length } = read({ outside, lengths });
    expect(length).toBeCloseTo(22, 9);
    expect(steps.map(({ zTo }) => Number(zTo.toFixed(6)))).toEqual([9, 14, 22]);
    expect(steps[0]?.length).toMatchObject({ nominal: expect.closeTo(9, 9), from: 'limits' });
    expect(steps[0]?.length.upper).toBeCloseTo(0.07, 9);
    expect(steps[0]?.length.lower).toBeCloseTo(-0.07, 9);
    // 8 has the general tolerance, medium: ± 0.2.
    expect(steps[2]?.length).toMatchObject({ lower: -0.2, upper: 0.2, from: 'general' });
  });

  test('a length of a step and lengths over several are one drawing', () => {
    const { steps } = read({
      outside: [step(10, 9), step(14, ''), step(20, '')],
      lengths: [
        { from: 'front', to: 'back', size: 22 },
        { from: '2', to: 'back', size: 8 },
      ],
    });
    expect(steps.map(({ length }) => Number(length.nominal.toFixed(6)))).toEqual([9, 5, 8]);
    // 22 ± 0.2, 8 ± 0.2 and 9 ± 0.2 make it ± 0.6.
    expect(steps[1]?.length.upper).toBeCloseTo(0.6, 9);
  });

  test.each<[string, Partial<PartFile>, string, string]>([
    [
      'no way to a step',
      { outside, lengths: lengths.slice(0, 2) },
      'part.outside[2].length',
      'no length of the drawing leads to it',
    ],
    [
      'a name that is no face',
      { outside, lengths: [{ from: 'front', to: 'neck', size: 3 }] },
      'part.lengths[0].to',
      'there are front, 1, seat, back',
    ],
    [
      'a length from a face to itself',
      { outside, lengths: [{ from: 'seat', to: 2, size: 3 }] },
      'part.lengths[0].to',
      'is the face that the length begins at',
    ],
    [
      'two ways that contradict',
      { outside, lengths: [...lengths, { from: 'front', to: 'back', size: 22.5 }] },
      'part.lengths[3]',
      'says 22.5 mm from the front face to the back face, and the other lengths make it 22 mm',
    ],
    [
      'a step of less than nothing',
      { outside, lengths: [lengths[0], { from: 1, to: 'seat', size: 15 }, lengths[2]] as LengthFile[] },
      'part.outside[0].length',
      'less than nothing',
    ],
    [
      'a size that does not read',
      { outside, lengths: [{ from: 'front', to: 1, size: 'nine' }] },
      'part.lengths[0].size',
      'nine',
    ],
  ])('refused: %s', (_, part, path, words) => {
    const problem = problemsOf(runOf(part)).find((candidate) => candidate.path === path);
    expect(problem?.message).toContain(words);
  });

  test('a detail is where it is, from whichever face it is given', () => {
    const at = (place: number | string, datum?: string | number) =>
      read({
        outside: [step(20, 12, { name: 'head' }), step(30, 18)],
        details: [{ kind: 'groove', at: place, width: 2, bottom: 26, ...(datum === undefined ? {} : { datum }) }],
      }).features[0]?.z0;
    // 20 from the front is 8 behind the head, and 10 before the back.
    expect([at(20), at(8, 'head'), at('8', 1), at(10, 'back')]).toEqual([20, 20, 20, 20]);
    expect(
      problemsOf(runOf({ details: [{ kind: 'groove', at: 3, width: 2, bottom: 8, datum: 'neck' }] }))[0],
    ).toMatchObject({
      path: 'part.details[0].datum',
      message: expect.stringContaining('is no face'),
    });
  });

  test('a place with limits keeps them, from whichever face; a corner has none of its own', () => {
    const part = (at: SizeEntry, kind: 'groove' | 'chamfer', datum?: string) => ({
      outside: [step(20, 12), step(30, 18)],
      details: [
        {
          at,
          ...(kind === 'groove' ? { kind, width: 2, bottom: 26 } : { kind, size: 1 }),
          ...(datum === undefined ? {} : { datum }),
        },
      ],
    });
    const from = (at: SizeEntry, datum?: string) => read(part(at, 'groove', datum)).features[0];
    expect(from('20 +0.1/+0.3')).toMatchObject({ z0: 20, place: { face: 0, size: { lower: 0.1, upper: 0.3 } } });
    expect(from('20 +0.1/+0.3')?.middle).toBeCloseTo(0.2, 9);
    // From the back towards the front: 10.2 from there is 0.2 nearer to the front.
    expect(from('10 +0.1/+0.3', 'back')).toMatchObject({ z0: 20, place: { face: 2 } });
    expect(from('10 +0.1/+0.3', 'back')?.middle).toBeCloseTo(-0.2, 9);
    // Without limits the general tolerance of 20 (medium).
    expect(from(20)?.place?.size).toMatchObject({ lower: -0.2, upper: 0.2, from: 'general' });
    expect(problemsOf(runOf(part('12 ±0.1', 'chamfer')))).toContainEqual({
      path: 'part.details[0].at',
      message: expect.stringContaining('give the limits to the length that ends there'),
    });
    const turned = mirrorPart({ part: { ...runOf({}).part, ...part('20 +0.1/+0.3', 'groove') }, units: 'mm' });
    expect(turned.ok && turned.value.details?.[0]).toMatchObject({ at: { size: 8, limits: [-0.3, -0.1] } });
  });

  test('turned end for end twice is the same part', () => {
    const part = { ...runOf({ outside, lengths }).part };
    const once = mirrorPart({ part, units: 'mm' });
    if (!once.ok) throw new Error(JSON.stringify(once.problems));
    expect(read(once.value).steps.map(({ length }) => Number(length.nominal.toFixed(6)))).toEqual([8, 5, 9]);
    const twice = mirrorPart({ part: once.value, units: 'mm' });
    expect(twice.ok && read(twice.value).steps.map(({ length }) => length)).toEqual(
      read(part).steps.map(({ length }) => length),
    );
  });

  test('as lines, and read back', () => {
    const text = linesOf({ outside: [step(10, 9, { critical: true, why: 'seat of the ring' })], lengths });
    expect(text.split('\n')).toEqual([
      '10; 9; why seat of the ring; critical',
      'length front; seat; 14 ±0.05',
      'length 1; seat; 5 ±0.02',
      'length seat; back; 8',
    ]);
    const lines = readLines(text);
    expect(lines.ok && linesOf(lines.value)).toBe(text);
  });
});

describe('chains', () => {
  test('the closest tolerances make the tree, the widest closes the chain', () => {
    const links = [link(0, 1, 9, -0.2), link(1, 2, 5, -0.02), link(0, 2, 14, -0.05)];
    expect(treeOf(3, links).map(({ path }) => path)).toEqual(['1-2', '0-2']);
  });

  test('limits on one side: 10 +0.1 less 4 −0.05/0 is 6 +0.15', () => {
    const chain = chainBetween([link(0, 2, 10, 0, 0.1), link(1, 2, 4, -0.05, 0)], 0, 1);
    const { nominal, lower, upper } = sumOf(chain ?? []);
    expect([nominal, lower, upper]).toEqual([6, 0, expect.closeTo(0.15, 9)]);
    expect(chainBetween([link(0, 1, 3, -1)], 0, 2)).toBeUndefined();
  });

  test('the middle of a face is the middles of the links that lead to it', () => {
    expect(middlesOf(3, [link(0, 1, 9, 0, 0.05), link(1, 2, 5, -0.1)]).map((z) => Number(z.toFixed(6)))).toEqual([
      0, 9.025, 14.025,
    ]);
  });

  test('a chain and its way back add up to nothing, with the same width', () => {
    const some = fc.array(fc.tuple(fc.integer({ min: 1, max: 50 }), fc.integer({ min: 1, max: 30 })), {
      minLength: 2,
      maxLength: 8,
    });
    fc.assert(
      fc.property(some, (lengths) => {
        const links = lengths.map(([nominal, width], index) => link(index, index + 1, nominal, 0, width / 100));
        const [there, back] = [chainBetween(links, 0, lengths.length), chainBetween(links, lengths.length, 0)].map(
          (chain) => sumOf(chain ?? []),
        );
        expect((there?.nominal ?? 0) + (back?.nominal ?? 0)).toBeCloseTo(0, 9);
        expect((there?.upper ?? 0) - (there?.lower ?? 0)).toBeCloseTo((back?.upper ?? 0) - (back?.lower ?? 0), 9);
      }),
    );
  });
});
