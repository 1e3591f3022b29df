import type { DetailFile, HoleFile, PartFile } from './runFile';
import { step } from '../testing';
import { readPart } from './readPart';

const problemOf = (more: Partial<PartFile>) => {
  const part = readPart({ number: 'T-1', material: '', outside: [step(20, 30)], ...more }, 'mm');
  if (part.ok) throw new Error('was read, and must not be');
  return part.problems[0];
};

describe('what cannot be is refused at its place, in words', () => {
  const bores = (...entries: HoleFile[]) => ({ bores: entries });
  const details = (...entries: DetailFile[]) => ({ details: entries });
  test.each<[string, Partial<PartFile>, string, string]>([
    [
      'a cone without its figures',
      { outside: [{ shape: 'cone', from: 20, length: 5 }] },
      'part.outside[0].to',
      'two diameters and a length',
    ],
    [
      'a cone with one too many',
      { outside: [{ shape: 'cone', from: 20, to: 26, length: 5, half: 10 }] },
      'part.outside[0].length',
      'leave one of the four out',
    ],
    [
      'a cone with both angles',
      { outside: [{ shape: 'cone', from: 20, length: 5, half: 10, included: 20 }] },
      'part.outside[0].half',
      'not both',
    ],
    [
      'a cone to beyond its point',
      { outside: [{ shape: 'cone', to: 6, length: 20, included: 60 }] },
      'part.outside[0].length',
      'comes to a point after 5.196 mm',
    ],
    [
      'a cone that is a cylinder',
      { outside: [{ shape: 'cone', from: 20, to: 20, length: 5 }] },
      'part.outside[0].to',
      'is a cylinder',
    ],
    [
      'a ball in the middle',
      { outside: [step(6, 5), { shape: 'sphere', diameter: 12, length: 9 }, step(6, 5)] },
      'part.outside[1].shape',
      'first or the last',
    ],
    [
      'a whole ball',
      { outside: [{ shape: 'sphere', diameter: 12, length: 12 }, step(6, 5)] },
      'part.outside[0].length',
      'whole ball',
    ],
    [
      'a groove in the air',
      details({ kind: 'groove', at: 7, width: 2, bottom: 20 }),
      'part.details[0].bottom',
      'not below the ⌀20',
    ],
    [
      'a groove off the part',
      details({ kind: 'groove', at: 29, width: 2, bottom: 12 }),
      'part.details[0].at',
      'the part from 0 mm to 30 mm'.replace('0 mm', '0'),
    ],
    [
      'a groove into the bore',
      {
        ...details({ kind: 'groove', at: 7, width: 2, bottom: 9 }),
        ...bores({ from: 'front', shape: 'drill', diameter: 10, depth: 'through' }),
      },
      'part.bores[0].diameter',
      'leaves no wall at 7 mm',
    ],
    [
      'corners wider than their groove',
      details({ kind: 'groove', at: 7, width: 2, bottom: 12, radius: 1.5 }),
      'part.details[0].radius',
      'wider than the groove',
    ],
    [
      'a thread on the wrong diameter',
      details({ kind: 'thread', at: 0, length: 6, designation: 'M14x1' }),
      'part.details[0].designation',
      'needs ⌀14',
    ],
    [
      'a thread nobody knows',
      details({ kind: 'thread', at: 0, length: 6, designation: 'M20z' }),
      'part.details[0].designation',
      'write M6, M14x1 or 1/4-20',
    ],
    [
      'a thread without coarse pitch',
      details({ kind: 'thread', at: 0, length: 6, designation: 'M9' }),
      'part.details[0].designation',
      'write its pitch, as M9x1',
    ],
    [
      'a knurl over a shoulder',
      {
        outside: [step(10, 10), step(20, 20)],
        ...details({ kind: 'knurl', at: 5, length: 8, pattern: 'diamond', pitch: 0.8 }),
      },
      'part.details[0].length',
      'one diameter',
    ],
    [
      'a pattern nobody rolls',
      details({ kind: 'knurl', at: 5, length: 8, pattern: 'waves' as never, pitch: 0.8 }),
      'part.details[0].pattern',
      'straight, diamond',
    ],
    [
      'a fillet higher than its shoulder',
      { outside: [step(18, 10), step(20, 20)], ...details({ kind: 'radius', at: 10, size: 2 }) },
      'part.details[0].size',
      'higher than the shoulder',
    ],
    [
      'a fillet at an end',
      details({ kind: 'radius', at: 0, size: 1, form: 'fillet' }),
      'part.details[0].form',
      'no inner corner',
    ],
    [
      'three flats',
      details({ kind: 'flats', at: 5, length: 5, count: 3, across: 16 }),
      'part.details[0].count',
      '1, 2, 4 and 6',
    ],
    [
      'flats that cut nothing',
      details({ kind: 'flats', at: 5, length: 5, count: 2, across: 21 }),
      'part.details[0].across',
      'nothing would be cut',
    ],
    [
      'a form deeper than its radius',
      details({ kind: 'hollow', at: 15, radius: 2, depth: 3 }),
      'part.details[0].depth',
      'could not come out',
    ],
    [
      'a bore as wide as the part',
      bores({ from: 'back', shape: 'bore', diameter: 20, depth: 4 }),
      'part.bores[0].diameter',
      'leaves no wall',
    ],
    [
      'a seat within a wider hole',
      bores(
        { from: 'front', shape: 'drill', diameter: 10, depth: 'through' },
        { from: 'back', shape: 'counterbore', diameter: 8, depth: 4 },
      ),
      'part.bores[1].diameter',
      'within a wider hole',
    ],
    [
      'a thread without metal',
      bores(
        { from: 'front', shape: 'drill', diameter: 6.2, depth: 'through' },
        { from: 'front', shape: 'tap', designation: 'M6', depth: 8 },
      ),
      'part.bores[1].designation',
      'finds no metal',
    ],
    [
      'a groove without a bore',
      bores({ from: 'front', shape: 'groove', at: 4, width: 2, bottom: 8 }),
      'part.bores[0].at',
      'no bore here',
    ],
    [
      'a cone with four figures',
      bores({ from: 'front', shape: 'cone', mouth: 9, small: 6, depth: 4, included: 60 }),
      'part.bores[0].depth',
      'give three',
    ],
    [
      'a mouth narrower than its small end',
      bores({ from: 'front', shape: 'cone', mouth: 5, small: 6, depth: 4 }),
      'part.bores[0].mouth',
      'wider than the small end',
    ],
    [
      'a run-out of nothing known',
      { runout: [{ of: 'spigot', to: 'bore', limit: 0.03 }] },
      'part.runout[0].of',
      'names no surface',
    ],
  ])('%s', (_, more, path, words) => {
    expect(problemOf(more)).toMatchObject({ path, message: expect.stringContaining(words) });
  });
});
