import { startValues } from '../model/shop/startValues';
import { planned, runOf, step } from '../testing';
import { sayFluids } from './fluid';

const planOf = (material: string) =>
  planned(
    runOf(
      {
        material,
        outside: [step(12, 20), step(16, 10)],
        bores: [{ from: 'front', shape: 'drill', diameter: 6, depth: 12 }],
      },
      { way: 'from-bar' },
    ),
  );
const fluidsOf = (material: string) =>
  Object.fromEntries(
    planOf(material).setups.flatMap(({ operations }) => operations.map(({ kind, fluid }) => [kind, fluid])),
  );

test('steel wants oil, and plenty where its chips are shut in; a hand that breaks an edge wants none', () => {
  expect(fluidsOf('mild-steel')).toMatchObject({
    face: 'oil',
    drill: 'plenty',
    'turn-rough': 'oil',
    'part-off': 'plenty',
  });
  expect(fluidsOf('mild-steel')['deburr']).toBeUndefined();
});

test('brass and iron are cut dry, parted dry too; acetal has air at the drill', () => {
  for (const material of ['brass-cw614n', 'grey-iron'])
    expect(new Set(Object.values(fluidsOf(material)))).toEqual(new Set(['dry', undefined]));
  expect(fluidsOf('acetal')).toMatchObject({ face: 'dry', drill: 'air' });
});

test('bringing it takes its minutes: of a cut that is dry none', () => {
  const [face] = planOf('mild-steel').setups[0]?.operations ?? [];
  const [dry] = planOf('brass-cw614n').setups[0]?.operations ?? [];
  expect(face?.hand.terms.find(({ name }) => name === 'oil')?.value).toBe(startValues.handMinutes.oil);
  expect(dry?.hand.terms.some(({ name }) => name === 'dry')).toBe(false);
});

test('of a set-up it is said once, with where it is otherwise', () => {
  const [setup] = planOf('mild-steel').setups;
  expect(setup && sayFluids(setup)).toMatch(/^oil; plenty of oil at \d+/);
  expect(sayFluids({ operations: [] })).toBeUndefined();
});
