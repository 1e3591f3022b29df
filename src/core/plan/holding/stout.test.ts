import { planned, runOf } from '../../testing';

test('a bolt from a bar that is stout enough is turned under a centre where its shank is not', () => {
  // Hexagon of 13: 15 over its corners, of which 43 may stand out (four times 15 is 60). Once its shank of ⌀8 is turned, 30 of
  // them are that slender: with s from the free end, (30³ / 8.5⁴ + (43³ − 30³) / 15⁴)^(-1/4) · 43^(3/4) is ⌀10.6, of which
  // four times are 42.
  const { setups, proof } = planned(
    runOf({
      material: 'stainless-304',
      outside: [
        { shape: 'hex', across: 13, length: 6 },
        { shape: 'cylinder', diameter: 8, length: 30 },
      ],
      details: [{ kind: 'thread', at: 16, length: 20, designation: 'M8' }],
    }),
  );
  const turned = setups.find(({ operations }) => operations.some(({ kind }) => kind === 'turn-finish'));
  expect(turned?.setup.supported).toBe(true);
  expect(proof.passed).toBe(true);
});
