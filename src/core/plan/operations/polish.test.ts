import { only, operationsOf, planned, runOf, step } from '../../testing';

const journal = (diameter: string, roughness?: number) =>
  runOf(
    {
      material: 'free-cutting-steel',
      outside: [step(diameter, 18, roughness === undefined ? {} : { roughness }), step(14, 8)],
    },
    { way: 'from-bar' },
  );
const kindsOf = (file: ReturnType<typeof journal>) => operationsOf(file).map(({ kind }) => kind);

test('Ra 0.2 on ⌀8 h6 (0/−0.009), by hand: turned to 8 for the middle 7.9955, three grits of 0.3, then measured and off', () => {
  const file = journal('8 h6', 0.2);
  // 7.9955 and 0.01 are 8.0055: no more than the upper limit.
  expect(only(file, 'turn-finish').passes.at(-1)?.diameter).toBeCloseTo(8, 9);
  const polish = only(file, 'polish');
  expect(polish.hand.terms.find(({ name }) => name.includes('grit'))?.value).toBeCloseTo(3 * 0.3, 9);
  expect(polish.cautions.some(({ kind, text }) => kind === 'danger' && text.includes('never wrapped'))).toBe(true);
  const kinds = kindsOf(file);
  expect(kinds.lastIndexOf('polish')).toBeGreaterThan(kinds.indexOf('turn-finish'));
  expect(kinds.indexOf('polish')).toBeLessThan(kinds.indexOf('part-off'));
  expect(planned(file).proof.faults).toEqual([]);
});

test('closer than the machine turns it is polished, too; what is ground elsewhere, or as smooth as turning leaves it, is not', () => {
  expect(kindsOf(journal('8 h5'))).toContain('polish');
  expect(kindsOf(journal('8 h6'))).not.toContain('polish');
  expect(kindsOf(journal('8 h6', 0.8))).not.toContain('polish');
  const file = journal('8 h5');
  const ground = { ...file, part: { ...file.part, elsewhere: [{ kind: 'grind' as const, on: '1' }] } };
  expect(kindsOf(ground)).not.toContain('polish');
});
