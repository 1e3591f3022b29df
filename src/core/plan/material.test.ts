import { startValues } from '../model/shop/startValues';
import { planned, runOf, step } from '../testing';
import { costOfRun } from './cost/runCost';

const pin = (material: string | string[]) =>
  runOf({ material: material as string, outside: [step(12, 24), step(20, 10)] }, { quantity: 40 });
const costIn = (material: string | string[]) => costOfRun(planned(pin(material))).batch.value;

test('of materials any of which does the one that the batch costs least in is taken, whichever is named first', () => {
  const [brass, steel] = [costIn('brass-cw614n'), costIn('mild-steel')];
  expect(brass).not.toBeCloseTo(steel, 0);
  const cheaper = brass < steel ? 'brass-cw614n' : 'mild-steel';
  for (const both of [
    ['brass-cw614n', 'mild-steel'],
    ['mild-steel', 'brass-cw614n'],
  ]) {
    const { run, stock } = planned(pin(both));
    expect(run.shop.material.id).toBe(cheaper);
    expect(costIn(both)).toBeCloseTo(Math.min(brass, steel), 9);
    // The reason says what each would cost.
    expect(stock.reasons[0]).toMatchObject({ rule: 'ANY-MATERIAL' });
    for (const cost of [brass, steel]) expect(stock.reasons[0]?.because).toContain(` ${Math.round(cost)} €`);
  }
});

test('the price of the bar turns the choice', () => {
  const at = (id: string) =>
    startValues.materials.map((material) => ({
      ...material,
      bars: material.bars.map((bar) => (material.id === id ? { ...bar, pricePerKilogram: 1000 } : bar)),
    }));
  const takenAt = (dear: string) =>
    planned(pin(['brass-cw614n', 'mild-steel']), { ...startValues, materials: at(dear) }).run.shop.material.id;
  expect([takenAt('brass-cw614n'), takenAt('mild-steel')]).toEqual(['mild-steel', 'brass-cw614n']);
});

test('one that the shop has not is passed over, and alone in the list nothing is weighed', () => {
  const { run, stock } = planned(pin(['unobtainium', 'mild-steel']));
  expect(run.shop.material.id).toBe('mild-steel');
  expect(stock.reasons.some(({ rule }) => rule === 'ANY-MATERIAL')).toBe(false);
});
