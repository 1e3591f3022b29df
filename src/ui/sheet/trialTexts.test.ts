import { runOf } from '@/core/testing';
import { decidedTexts, trialOf, valueOf, wrongIn, type TrialTexts } from './trialTexts';

const EMPTY: TrialTexts = { speed: '', feed: '', depth: '', nose: '', edge: '', stickOut: '' };
const tile = { key: 'turn-finish:part.outside[0]', setup: 1 as const };

describe('what is typed in a trial', () => {
  test('numbers as the machine has them, lengths in the run’s units or with their own', () => {
    expect(valueOf('speed', '560', 'mm')).toBe(560);
    expect(valueOf('feed', '0,08', 'mm')).toBe(0.08);
    expect(valueOf('stickOut', '40', 'mm')).toBe(40);
    expect(valueOf('stickOut', '1 1/2', 'in')).toBeCloseTo(38.1, 9);
    expect(valueOf('depth', '1/16 in', 'mm')).toBeCloseTo(1.5875, 9);
  });

  test.each([
    ['speed', 'fast', 'is no number above nothing'],
    ['feed', '0', 'is no number above nothing'],
    ['feed', '-0.1', 'is no number above nothing'],
    ['nose', 'round', 'is no length above nothing'],
    ['stickOut', '0', 'is no length above nothing'],
  ] as const)('%s “%s” is wrong and said so', (field, text, words) => {
    expect(valueOf(field, text, 'mm')).toBeUndefined();
    expect(wrongIn(field, text, 'mm')).toBe(`“${text}” ${words}`);
  });

  test('nothing typed is nothing wrong, and nothing asked for', () => {
    for (const field of Object.keys(EMPTY) as (keyof TrialTexts)[]) expect(wrongIn(field, ' ', 'mm')).toBeUndefined();
    expect(trialOf(EMPTY, undefined, 'mm')).toEqual({ cut: {} });
  });

  test('everything typed is asked for, the stick-out of the set-up apart from the cut', () => {
    const texts = { speed: '560', feed: '0.08', depth: '1.2', nose: '0.8', edge: 'hss', stickOut: '60' };
    expect(trialOf(texts, 'blade-3', 'mm')).toEqual({
      cut: { speed: 560, feed: 0.08, depth: 1.2, nose: 0.8, edge: 'hss' },
      tool: 'blade-3',
      stickOut: 60,
    });
  });
});

describe('what was decided before', () => {
  test('stands in the fields, lengths in the run’s units', () => {
    const file = runOf(
      {},
      {
        units: 'in',
        overrules: [
          { operation: tile.key, cut: { feed: 0.05, nose: 0.8 } },
          { setup: 1, stickOut: 50.8 },
          { setup: 2, stickOut: 25.4 },
          { operation: 'turn-rough:part.outside[0]', cut: { speed: 400 } },
        ],
      },
    );
    expect(decidedTexts(file, tile, 'in')).toEqual({ ...EMPTY, feed: '0.05', nose: '0.0315', stickOut: '2' });
    expect(decidedTexts(file, { ...tile, setup: 2 }, 'in').stickOut).toBe('1');
    expect(decidedTexts(runOf({}), tile, 'mm')).toEqual(EMPTY);
  });

  test('read back it is what was decided', () => {
    const file = runOf({}, { overrules: [{ operation: tile.key, cut: { speed: 560, edge: 'hss' } }] });
    expect(trialOf(decidedTexts(file, tile, 'mm'), undefined, 'mm')).toEqual({ cut: { speed: 560, edge: 'hss' } });
  });
});
