import { startValues } from '@/core/shop/startValues';
import type { OnHand } from '@/core/shop/shop';
import { runOf } from '@/core/testing';
import { remembered } from './remembered';

const run = (id: number, revision: number) => ({ id, revision, savedAt: '', file: runOf({}) });
const rack = (free: number): OnHand[] => [
  { material: 'bronze', form: 'round', size: 20, bore: 0, condition: 'drawn', free, longest: free },
];

test('made once for the same run, shop and rack, and anew when one of them changed', () => {
  let made = 0;
  const count = remembered(() => (made += 1));
  const shop = (revision: number) => ({ revision, shop: startValues });
  expect(count(run(1, 1), shop(1), rack(3000))).toBe(1);
  expect(count(run(1, 1), shop(1), rack(3000))).toBe(1);
  expect(count(run(2, 1), shop(1), rack(3000))).toBe(2);
  expect(count(run(1, 2), shop(1), rack(3000))).toBe(3);
  expect(count(run(1, 2), shop(1), rack(2000))).toBe(4);
  expect(count(run(1, 2), shop(2), rack(2000))).toBe(5);
  expect(made).toBe(5);
});
