import type { RunFile } from '../../read/runFile';
import { startValues } from '../../model/shop/startValues';
import { planned, runOf, step } from '../../testing';
import { shareOfHold } from '../cutting/overload';
import { usual } from '../skeleton';

const pin = (diameter: string | number): RunFile =>
  runOf({ outside: [step(diameter, 24), step(20, 10)] }, { quantity: 20, way: 'from-bar', firstEnd: 'front' });
/** Front first, so that the second side is held by what the first made of the pin. */
const risksOf = (file: RunFile, shop = startValues) => planned(file, shop, { only: [usual('from-bar')] }).risks;

test('held by a surface with limits of its own, it weighs 0.3 a piece; by a plain one nothing', () => {
  const fitted = runOf({ outside: [step('12 h8', 30)] }, { quantity: 20, way: 'from-bar' });
  const plan = planned(fitted, startValues, { only: [usual('from-bar')] });
  const [held, ...stops] = plan.risks;
  expect(held).toMatchObject({ price: 'rechucked', minutes: 0.3 });
  expect(new Set(stops.map(({ price }) => price))).toEqual(new Set(['wrongStop']));
  const wrong = stops.reduce((sum, { minutes }) => sum + minutes, 0);
  expect(plan.worth).toBeCloseTo(plan.times.batch.value + 20 * (0.3 + wrong), 9);
  expect(risksOf(pin(12)).filter(({ price }) => price !== 'wrongStop')).toEqual([]);
});

test('a cut that goes to what the hold bears weighs 0.5', () => {
  const cutting = {
    ...startValues.cutting,
    gripForce: { ...startValues.cutting.gripForce, collet: 900, '3-jaw': 900 },
  };
  const risks = risksOf(pin(12), { ...startValues, cutting });
  expect(risks.filter(({ price }) => price === 'nearHold').length).toBeGreaterThan(0);
});

test('a cut of 90 % of what the hold bears is near it, of 70 % is not', () => {
  // The hardest of its cuts asks for a share of the hold: the limit just over it, and just under it.
  const plan = planned(pin(12), startValues, { only: [usual('from-bar')] });
  const forces = plan.setups.flatMap(({ setup, operations }) =>
    operations.flatMap((operation) =>
      operation.passes.flatMap(({ load }) =>
        load ? [shareOfHold(load, operation.on, Math.min(operation.from, operation.to), setup)] : [],
      ),
    ),
  );
  const most = Math.max(...forces);
  const withNear = (holdNear: number) =>
    risksOf(pin(12), { ...startValues, cutting: { ...startValues.cutting, holdNear } }).map(({ price }) => price);
  expect(withNear(most / 0.9)).not.toContain('nearHold');
  expect(withNear(most * 0.9)).toContain('nearHold');
});

test('a set-up that cuts a ring whose wall of 1 under ⌀25 is a twenty-fifth weighs 0.5; one of 5 nothing', () => {
  const ring = (bore: number) =>
    planned(
      runOf(
        {
          material: 'brass-cw614n',
          outside: [step(25, 20)],
          bores: [{ from: 'front', shape: 'drill', diameter: bore, depth: 'through' }],
        },
        { quantity: 20, way: 'sawn-blanks' },
      ),
    ).risks.filter(({ price }) => price === 'thinWall');
  expect(ring(23)).toMatchObject([{ minutes: 0.5 }]);
  expect(ring(15)).toEqual([]);
});

test('what is to run true to each other and is finished in two holdings weighs a fifth of the piece', () => {
  const file = runOf(
    {
      outside: [{ ...step(14, 20), name: 'front' }, step(20, 10), { ...step(14, 20), name: 'back' }],
      runout: [{ of: 'front', to: 'back', limit: 0.2 }],
    },
    { quantity: 20, way: 'from-bar' },
  );
  const plan = planned(file, startValues, { only: [usual('from-bar')] });
  const piece = plan.setups.reduce((sum, setup) => sum + setup.piece.value, 0);
  expect(plan.setups).toHaveLength(2);
  expect(plan.risks.find(({ price }) => price === 'tiedApart')?.minutes).toBeCloseTo(0.2 * piece, 9);
});

test('a knurl that is rolled after its neighbours were finished from the other end is told', () => {
  const screw = runOf(
    {
      outside: [step('8 h8', 20), step(18, 12)],
      details: [{ kind: 'knurl', at: 21, length: 10, pattern: 'straight', pitch: 1 }],
    },
    { quantity: 20, way: 'sawn-blanks', firstEnd: 'front' },
  );
  const plan = planned(screw, startValues, { only: [usual('sawn-blanks')] });
  const knurls = plan.setups.findIndex(({ operations }) => operations.some(({ kind }) => kind === 'knurl'));
  expect(knurls).toBe(1);
  expect(plan.risks).toContainEqual({
    price: 'softRule',
    minutes: 0.5,
    because: expect.stringContaining('after its neighbours'),
  });
});

test('what a risk weighs decides: at nothing the quickest is taken, at much the one without', () => {
  const file = { ...pin('12 h8'), firstEnd: 'choose' as const };
  const weighed = (rechucked: number) =>
    planned(file, { ...startValues, riskPrices: { ...startValues.riskPrices, rechucked } }, {});
  const [light, heavy] = [weighed(0), weighed(50)];
  expect(light.times.batch.value).toBeLessThanOrEqual(heavy.times.batch.value + 1e-9);
  expect(heavy.risks.some(({ price }) => price === 'rechucked')).toBe(false);
});

test('a narrow hole drilled before the wide ones that open it weighs a soft rule; after them nothing', () => {
  const jet = (firstEnd: 'front' | 'back') =>
    runOf(
      {
        outside: [step(10, 18), step(14, 8)],
        bores: [
          { from: 'back', shape: 'drill', diameter: 6, depth: 14 },
          { from: 'back', shape: 'drill', diameter: 3, depth: 21 },
          { from: 'back', shape: 'drill', diameter: 1, depth: 'through' },
        ],
      },
      { quantity: 20, way: 'from-bar', firstEnd },
    );
  const weighs = (firstEnd: 'front' | 'back') =>
    planned(jet(firstEnd)).risks.filter(({ because }) => because.startsWith('A narrow hole'));
  expect(weighs('front')).toMatchObject([{ price: 'softRule' }]);
  expect(weighs('back')).toEqual([]);
});
