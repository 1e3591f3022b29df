import type { HoleFile } from '../../read/runFile';
import { only, operationsOf, runOf, step } from '../../testing';

const tapped: HoleFile = { from: 'front', shape: 'tap', designation: 'M8', depth: 12 };
const fileOf = (bores: HoleFile[]) => runOf({ outside: [step(16, 30)], bores });
const kindsOf = (bores: HoleFile[]) => operationsOf(fileOf(bores)).map(({ kind }) => kind);

test('one pitch at 45° between drill and tap, though the drawing is silent: ⌀6.75 and twice 1.25 are 9.25', () => {
  const kinds = kindsOf([tapped]).filter((kind) => ['drill', 'lead-in', 'tap'].includes(kind));
  expect(kinds).toEqual(['drill', 'lead-in', 'tap']);
  const leadIn = only(fileOf([tapped]), 'lead-in');
  expect(leadIn).toMatchObject({ to: 1.25, diameter: 9.25, name: 'Lead-in for M8' });
  // Slow, like everything that is sunk.
  expect(leadIn.speed.value).toBeLessThanOrEqual(250);
  expect(leadIn.reasons.some(({ because }) => because.includes('starts the tap straight'))).toBe(true);
});

test('its mouth is not broken once more', () => {
  const broken = operationsOf(fileOf([tapped])).flatMap(({ breaks = [] }) => breaks.filter(({ inside }) => inside));
  expect(broken).toHaveLength(1);
});

test('none where the drawing opens the mouth, or a wider hole lies before it', () => {
  expect(kindsOf([tapped, { from: 'front', shape: 'countersink', mouth: 10, included: 90 }])).not.toContain('lead-in');
  expect(kindsOf([tapped, { from: 'front', shape: 'drill', diameter: 9, depth: 3 }])).not.toContain('lead-in');
});
