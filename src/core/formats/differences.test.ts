import { differences } from './differences';

test('where two versions differ, and what each says there', () => {
  const mine = { quantity: 120, part: { outside: [{ diameter: '14 h8' }, { diameter: 26 }], name: '' } };
  const theirs = { quantity: 150, part: { outside: [{ diameter: '14 h8' }] } };
  expect(differences(mine, theirs)).toEqual([
    { path: 'quantity', mine: '120', theirs: '150' },
    { path: 'part.outside[1].diameter', mine: '26', theirs: undefined },
  ]);
  expect(differences(mine, structuredClone(mine))).toEqual([]);
});
