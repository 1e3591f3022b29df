import type { PartFile } from '../runFile';
import { addLine } from './addLine';
import { tokensOf } from './tokens';

const empty: PartFile = { number: 'T', material: 'brass-cw614n', outside: [] };

/** A part that lines make, one after the other. */
function made(...lines: string[]): PartFile {
  return lines.reduce((part, line) => {
    const added = addLine(part, line, 'mm');
    if (!added.ok) throw new Error(`${line}: ${JSON.stringify(added.problems)}`);
    return added.value.part;
  }, empty);
}

/** What is wrong with a line, and the word that is. */
const wrong = (line: string, part: PartFile = empty) => {
  const added = addLine(part, line, 'mm');
  if (added.ok) throw new Error(`“${line}” was understood: ${added.value.words}`);
  const [{ token, message }] = added.problems;
  return [line.slice(token?.from ?? 0, token?.to ?? 0), message];
};

describe('the words of a line', () => {
  // A figure with what belongs to it is one word.
  test.each([
    ['10 h9 16 c1', ['10 h9', '16', 'c1']],
    ['12 +0.1 -0.05 9', ['12 +0.1 -0.05', '9']],
    ['12 0 -0.1 9', ['12 0 -0.1', '9']],
    ['1 5/16 in 3/8', ['1 5/16 in', '3/8']],
    ['about 40 16', ['about 40', '16']],
    ['14 8 ±0.05', ['14', '8 ±0.05']],
    ['10 16 c1 r0.4', ['10', '16', 'c1', 'r0.4']],
    ['20 free 5', ['20 free', '5']],
  ])('%s', (line, words) => expect(tokensOf(line).map(({ text }) => text)).toEqual(words));
});

describe('a step', () => {
  test('diameter with its fit, length, chamfer at the edge that is free', () => {
    expect(made('10 h9 16 c1', '14 6 c0.5', '8 5 c0.3').outside).toEqual([
      { shape: 'cylinder', diameter: '10 h9', length: '16', chamfers: { front: '1' } },
      { shape: 'cylinder', diameter: '14', length: '6', chamfers: { front: '0.5' } },
      // The one before it is larger: its free edge is behind.
      { shape: 'cylinder', diameter: '8', length: '5', chamfers: { back: '0.3' } },
    ]);
  });

  test('a second c is the other edge; f and b say which', () => {
    expect(made('10 16 c1 c0.5').outside[0]).toMatchObject({ chamfers: { front: '1', back: '0.5' } });
    expect(made('10 16 b0.5').outside[0]).toMatchObject({ chamfers: { back: '0.5' } });
    expect(made('10 16 c.5').outside[0]).toMatchObject({ chamfers: { front: '.5' } });
    expect(made('10 16 f2').outside[0]).toMatchObject({ chamfers: { front: '2' } });
  });

  test('roughness, its grade, that it is critical, its name', () => {
    expect(made('10 16 ra1.6 ! name seat').outside[0]).toMatchObject({
      roughness: '1.6',
      critical: true,
      name: 'seat',
    });
    expect(made('10 16 N7').outside[0]).toMatchObject({ roughness: 'N7' });
  });

  test('other shapes by their word, or by as much of it as is only theirs', () => {
    expect(made('cone 20 26 5').outside[0]).toEqual({ shape: 'cone', from: '20', to: '26', length: '5' });
    expect(made('hex 16 8').outside[0]).toEqual({ shape: 'hex', across: '16', length: '8' });
  });

  test('as in the long notation, with semicolons', () => {
    expect(made('14 h8; 9 +0.05; ra 1.6; name spigot; critical').outside[0]).toEqual({
      shape: 'cylinder',
      diameter: '14 h8',
      length: '9 +0.05',
      roughness: '1.6',
      name: 'spigot',
      critical: true,
    });
  });

  // The corner where the step meets its larger neighbour: behind it, where the next is not known yet.
  test('a radius in its corner', () => {
    expect(made('10 16 r0.4').details).toEqual([{ kind: 'radius', at: 16, size: '0.4' }]);
    expect(made('20 5', '10 16 r0.4').details).toEqual([{ kind: 'radius', at: 5, size: '0.4' }]);
  });
});

describe('details, on the step before where no place is said', () => {
  test('a thread on the step from its free end', () => {
    expect(made('10 16', 'M10 12').details).toEqual([{ kind: 'thread', at: 0, length: '12', designation: 'M10' }]);
    // Behind a larger step the free end is its back: 5 + 16 − 12.
    expect(made('20 5', '10 16', 'M10x1 12').details).toEqual([
      { kind: 'thread', at: 9, length: '12', designation: 'M10x1' },
    ]);
  });

  test('on no step of its size it makes one', () => {
    const part = made('M10 12');
    expect(part.outside).toEqual([{ shape: 'cylinder', diameter: 10, length: '12' }]);
    expect(part.details).toEqual([{ kind: 'thread', at: 0, length: '12', designation: 'M10' }]);
  });

  test('a groove in the corner behind the step, or at its place', () => {
    expect(made('10 16', 'gr 2 8').details).toEqual([{ kind: 'groove', at: 14, width: '2', bottom: '8' }]);
    expect(made('10 16', 'groove 5 2 8').details).toEqual([{ kind: 'groove', at: '5', width: '2', bottom: '8' }]);
    // Behind a larger step the corner is before it.
    expect(made('20 5', '10 16', 'gr 2 8').details).toEqual([{ kind: 'groove', at: 5, width: '2', bottom: '8' }]);
  });

  test('a knurl and flats all along it', () => {
    expect(made('20 5', '22 8', 'kn 0.8').details).toEqual([
      { kind: 'knurl', at: 5, length: 8, pattern: 'diamond', pitch: '0.8' },
    ]);
    expect(made('22 8', 'kn straight 1').details).toEqual([
      { kind: 'knurl', at: 0, length: 8, pattern: 'straight', pitch: '1' },
    ]);
    expect(made('22 8', 'flats 17').details).toEqual([{ kind: 'flats', at: 0, length: 8, count: 2, across: '17' }]);
    expect(made('22 8', 'flats 19 4').details).toEqual([{ kind: 'flats', at: 0, length: 8, count: '4', across: '19' }]);
  });

  test('a hole across in its middle', () => {
    expect(made('20 5', '22 8', 'cross 3').details).toEqual([{ kind: 'cross-hole', at: 9, diameter: '3' }]);
  });
});

describe('holes', () => {
  test.each([
    ['ream 6 H7 16', { from: 'front', shape: 'ream', diameter: '6 H7', depth: '16' }],
    ['drill 6', { from: 'front', shape: 'drill', diameter: '6', depth: 'through' }],
    ['drill back 5 8', { from: 'back', shape: 'drill', diameter: '5', depth: '8' }],
    ['back drill 5 8', { from: 'back', shape: 'drill', diameter: '5', depth: '8' }],
    ['tap M6 12', { from: 'front', shape: 'tap', designation: 'M6', depth: '12' }],
    ['bore 10 4', { from: 'front', shape: 'bore', diameter: '10', depth: '4' }],
    ['countersink 8', { from: 'front', shape: 'countersink', mouth: '8' }],
    ['dr 4.8 20', { from: 'front', shape: 'drill', diameter: '4.8', depth: '20' }],
  ])('%s', (line, hole) => expect(made('20 30', line).bores).toEqual([hole]));
});

describe('what is wrong, in the word that is', () => {
  test.each([
    ['10 16 x9', 'x9', /not known here/],
    ['grve 2 8', 'grve', /not a word/],
    ['co 6 4', 'co', /countersink|counterbore/],
    ['10 1x6', '1x6', /./],
    ['10 16 8', '8', /one figure too many/],
    ['10,16', '10,16', /10\.16 or 10 16/],
    ['10', '', /length/i],
  ])('%s', (line, word, message) => {
    const [found, said] = wrong(line);
    expect(found).toBe(word);
    expect(said).toMatch(message);
  });

  test('a place on the step before, where there is none', () => {
    expect(wrong('kn 0.8')[1]).toMatch(/no step/);
  });

  test('a fit of the other side is asked', () => {
    expect(wrong('16 H7 10')).toEqual(['16 H7', expect.stringMatching(/H7 is for a hole: on an outside it is h7/)]);
    expect(wrong('ream 5 h7 10', made('10 20'))).toEqual([
      '5 h7',
      expect.stringMatching(/h7 is for a shaft: in a hole it is H7/),
    ]);
  });
});

describe('what was understood', () => {
  test.each([
    ['10 h9 16 c1', 'Cylinder: diameter 10 h9, length 16, chamfer front 1'],
    ['ream 6 H7 16', 'Reamed hole: from front, diameter 6 H7, depth 16; it brings its own drill'],
    ['tap M6 12', 'Tapped hole: from front, thread M6, depth 12; it brings its own drill'],
  ])('%s', (line, words) => {
    const added = addLine(made('8 30'), line, 'mm');
    expect(added.ok && added.value.words).toBe(words);
  });
});
