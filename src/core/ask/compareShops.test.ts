import { example } from '../testing';
import { planFile } from '../plan/plan';
import { batchMinutes, effectOn, mostFirst } from './compareShops';
import { houseQuestions } from '../model/shop/houseRules';
import type { Shop } from '../model/shop/shop';
import { startValues } from '../model/shop/startValues';
import { usedBy, usesOf } from './usedBy';

const runs = ['sensor-spacer', 'mast-collar', 'pivot-pin'].map((name, index) => ({
  id: index + 1,
  file: example(name),
}));
const compareShops = (each: typeof runs, before: Shop, after: Shop) =>
  mostFirst(each.flatMap((run) => effectOn(run, batchMinutes(planFile(run.file, before)), after) ?? []));
const held = (rules: Partial<Shop['houseRules']>): Shop => ({
  ...startValues,
  houseRules: { ...startValues.houseRules, ...rules },
});

describe('what another shop does to the runs', () => {
  test('the same shop changes none', () => {
    expect(compareShops(runs, startValues, held({}))).toEqual([]);
  });

  test('no pilot: the collar of steel alone, and it is quicker by the pilot', () => {
    const effects = compareShops(runs, startValues, held({ pilot: 'never' }));
    expect(effects.map(({ number }) => number)).toEqual(['WS-255']);
    expect(effects[0]?.after).toBeLessThan(effects[0]?.before ?? 0);
  });

  test('no centre where the drill is stout enough: the pin has no hole, and the thin drill keeps its centre', () => {
    const effects = compareShops(runs, startValues, held({ centreDrill: 'slender-only', pilot: 'never' }));
    expect(effects.map(({ number }) => number)).toEqual(['WS-255']);
  });

  test('a tool put aside is planned with no more; what cannot be planned then says why', () => {
    const without = (kind: string): Shop => ({
      ...startValues,
      tools: startValues.tools.map((tool) => (tool.does.includes(kind) ? { ...tool, archived: true } : tool)),
    });
    const effects = compareShops(runs, startValues, without('chamfer'));
    expect(effects.map(({ number, after }) => [number, after]).sort()).toEqual([
      ['WS-118', undefined],
      ['WS-210', undefined],
      ['WS-255', undefined],
    ]);
    expect(effects[0]?.problem).toContain('nothing to chamfer with');
    expect(compareShops(runs, startValues, without('vee'))).toEqual([]);
    // And the other way: what had no plan gets one.
    expect(compareShops(runs, without('chamfer'), startValues).every(({ before }) => before === undefined)).toBe(true);
  });
});

test('tools and machines know which parts use them', () => {
  const used = usedBy(
    runs.flatMap(({ file }) => {
      const plan = planFile(file, startValues);
      return plan.ok ? [usesOf(plan.value)] : [];
    }),
  );
  expect(used.machines).toEqual({ 'centre-lathe-a': ['WS-210', 'WS-255', 'WS-118'] });
  expect(used.tools['drill-6.8']).toEqual(['WS-210']);
  expect(used.tools['chamfer-45']).toEqual(['WS-210', 'WS-255', 'WS-118']);
  expect(used.tools['boring-bar-16']).toBeUndefined();
});

test('every question has the setting of a new shop among its schools, and both say why', () => {
  for (const { rule, schools } of houseQuestions) {
    expect(schools.map(({ value }) => value)).toContain(startValues.houseRules[rule]);
    expect(schools.length).toBeGreaterThanOrEqual(2);
    for (const { because } of schools) expect(because.endsWith('.')).toBe(true);
  }
  expect(houseQuestions.map(({ rule }) => rule).sort()).toEqual(Object.keys(startValues.houseRules).sort());
});
