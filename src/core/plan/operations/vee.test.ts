import { operationsOf, planned, runOf, step } from '../../testing';
import { startValues } from '../../model/shop/startValues';

/** A rim of ⌀50 with a vee of 36° that is 4 wide at its bottom, 6 deep. */
const rim = runOf(
  {
    material: 'aluminium-6082',
    outside: [step(50, 16)],
    details: [{ kind: 'vee', at: 8, included: 36, depth: 6, bottom: 4, name: 'vee' }],
  },
  { quantity: 10, way: 'sawn-blanks' },
);

describe('a vee with a flat bottom', () => {
  const operations = operationsOf(rim);
  const room = operations.find(({ kind }) => kind === 'groove');
  const flanks = operations.find(({ kind }) => kind === 'vee');

  test('a blade no wider than the bottom makes room down to it first, by hand: ⌀50 − 12 = 38, from 6 to 10', () => {
    const of = operations.filter(({ feature }) => feature === 'part.details[0]').map(({ kind }) => kind);
    expect(of).toEqual(['groove', 'vee']);
    expect(room?.diameter).toBeCloseTo(38, 9);
    expect([room?.from, room?.to]).toEqual([6, 10]);
    expect(room?.tool.width).toBeLessThanOrEqual(4);
  });

  test('then each flank by the compound at half of the angle, in passes of half a millimetre', () => {
    // 6 · tan 18° = 1.95 wide: 4 passes a side.
    expect(Math.ceil((6 * Math.tan(Math.PI / 10)) / startValues.cutting.flankStep)).toBe(4);
    expect(flanks?.passes.map(({ note }) => note?.split(' ')[0])).toEqual([
      ...Array.from({ length: 4 }, () => 'right'),
      ...Array.from({ length: 4 }, () => 'left'),
    ]);
    expect(flanks?.compound).toBeCloseTo(90 - 18, 9);
    // The last of each goes from the edge to the corner of the bottom.
    const last = flanks?.passes[3]?.path;
    expect(last?.[1]?.z).toBeCloseTo(6 - 6 * Math.tan(Math.PI / 10), 6);
    expect(last?.[2]).toMatchObject({ z: expect.closeTo(6, 6), r: expect.closeTo(19, 6) });
  });

  test('it is there in the end, and proved', () => {
    const { proof, doubts } = planned(rim);
    expect(proof.faults).toEqual([]);
    expect(doubts.filter(({ rule }) => rule === 'NO-OPERATION')).toEqual([]);
  });
});
