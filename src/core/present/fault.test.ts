import { sayFault } from './fault';

test('a fault says of which operation, what, where and by how much, in the run’s units', () => {
  const deep = {
    code: 'depth-differs',
    setup: 1,
    operation: 40,
    pass: 1,
    what: 'the depth',
    is: 1.5,
    asked: 0.35,
    amount: 1.15,
  } as const;
  expect(sayFault(deep, 'mm')).toBe(
    '40, pass 1: the cut is not as deep as the plan says (1.5 mm instead of 0.35 mm): by 1.15 mm.',
  );
  // 25.4 mm are an inch.
  const tips = {
    code: 'tips',
    setup: 1,
    operation: 10,
    what: 'the grip',
    is: 101.6,
    asked: 12.7,
    amount: 50.8,
  } as const;
  expect(sayFault(tips, 'in')).toBe(
    '10: the cut could tip the work out of its holding: so far out of so much gripped (4 in out of 0.5 in): by 2 in.',
  );
  const left = { code: 'too-much-metal', setup: 2, what: 'too much metal', z: 9, diameter: 14.2, amount: 0.1 } as const;
  expect(sayFault(left, 'mm')).toBe(
    'Set-up 2: metal is left that the drawing does not allow: 9 mm behind the front face, at ⌀14.2, by 0.1 mm.',
  );
});
