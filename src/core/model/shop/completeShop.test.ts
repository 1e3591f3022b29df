import { readShop } from '../../read/readShop';
import { completeShop } from './completeShop';
import { startValues } from './startValues';

/** A shop as the first version kept it: round bars alone, no prices, and a figure that the shop had set itself. */
function earlier(): Record<string, unknown> {
  const shop = structuredClone(startValues) as unknown as Record<string, unknown>;
  delete shop['spares'];
  delete shop['rates'];
  const allowances: Partial<typeof startValues.allowances> = { ...startValues.allowances, kerf: 1.4 };
  delete allowances.offcutFrom;
  shop['allowances'] = { ...allowances, skin: { drawn: 0, 'hot-rolled': 1.5 } };
  shop['materials'] = startValues.materials.map((material) => ({
    ...material,
    density: material.density + 0.01,
    bars: material.bars
      .slice(0, 1)
      .map(({ condition, units, sizes, barLength }) => ({ condition, units, sizes, barLength })),
  }));
  return shop;
}

test('what an earlier version kept is completed, and the shop’s own figures stay', () => {
  expect(readShop(earlier()).ok).toBe(false);
  const shop = readShop(completeShop(earlier()));
  if (!shop.ok) throw new Error(JSON.stringify(shop.problems));
  expect(shop.value.allowances).toMatchObject({ kerf: 1.4, offcutFrom: startValues.allowances.offcutFrom });
  expect(shop.value.allowances.skin).toEqual({ drawn: 0, ground: 0, 'hot-rolled': 1.5, sawn: 1 });
  expect(shop.value.materials[0]?.density).toBeCloseTo(8.48, 9);
  expect(shop.value.materials[0]?.bars).toEqual(startValues.materials[0]?.bars);
  expect(shop.value.rates).toEqual(startValues.rates);
});

test('kinds of operation that came later bring their tools, and a blade that is there learns to groove', () => {
  const tools = startValues.tools
    .filter(({ does }) => !does.includes('ream') && !does.includes('countersink'))
    .map((tool) => ({ ...tool, does: tool.does.filter((kind) => kind !== 'groove') }));
  const found = { ...tools[0], id: 'own-tool', name: 'own tool' };
  const shop = completeShop({ ...startValues, tools: [...tools, found] }) as typeof startValues;
  const ids = shop.tools.map(({ id }) => id);
  expect(new Set(ids).size).toBe(ids.length);
  expect(ids).toEqual(expect.arrayContaining(['own-tool', 'reamer-8', 'countersink-90']));
  expect(shop.tools.find(({ id }) => id === 'blade-3')?.does).toEqual(['part-off', 'part-in', 'groove']);
});

test('small centre drills came with the seat of a centre: a shop kept before gets them, one kept since does as it likes', () => {
  const { centreSeat, ...before } = startValues.cutting;
  const tools = startValues.tools.filter(({ id }) => !['centre-1', 'centre-1.6', 'chamfer-30'].includes(id));
  const idsOf = (cutting: object) =>
    (completeShop({ ...startValues, tools, cutting }) as typeof startValues).tools.map(({ id }) => id);
  expect(idsOf(before)).toEqual(expect.arrayContaining(['centre-1', 'centre-1.6', 'chamfer-30']));
  expect(new Set(idsOf(before)).size).toBe(idsOf(before).length);
  expect(idsOf({ ...before, centreSeat })).not.toContain('centre-1');
});

test('one grip for all holdings becomes as much for each of them', () => {
  const cutting = { ...startValues.cutting, gripForce: 9000 };
  const shop = completeShop({ ...startValues, cutting }) as typeof startValues;
  expect(shop.cutting.gripForce).toMatchObject({ '3-jaw': 9000, collet: 9000, mandrel: 9000 });
  expect(readShop(shop).ok).toBe(true);
});

test('chamfers that were all as slow as a form are told apart by their width; what is left to a reamer has a least', () => {
  const { reamLeast, reamMost, ...cutting } = startValues.cutting;
  const speedFactor = Object.fromEntries(
    Object.entries(cutting.speedFactor).filter(([kind]) => kind !== 'wide-chamfer'),
  );
  const before = {
    ...cutting,
    reamAllowance: { 6: 0.15 },
    reamLarger: 1.6,
    speedFactor: { ...speedFactor, chamfer: 0.3 },
  };
  const shop = completeShop({ ...startValues, cutting: before }) as typeof startValues;
  expect(shop.cutting.speedFactor).toMatchObject({ chamfer: 1, 'wide-chamfer': 0.5 });
  expect(shop.cutting).toMatchObject({ reamLeast, reamMost });
  expect(readShop(shop).ok).toBe(true);
  // Told apart already, it is as the shop set it.
  const since = { ...cutting, speedFactor: { ...cutting.speedFactor, chamfer: 0.6 } };
  expect((completeShop({ ...startValues, cutting: since }) as typeof startValues).cutting.speedFactor['chamfer']).toBe(
    0.6,
  );
});

test('a whole shop stays as it is, and what is no shop stays what it is', () => {
  expect(completeShop(startValues)).toEqual(startValues);
  expect(completeShop('shop')).toBe('shop');
});

test('a machine of a new shop gets the fields that came later and keeps its own; gauges for what none measures come', () => {
  const [machine] = startValues.machines;
  const { gauges } = startValues;
  const earlier = {
    ...startValues,
    machines: [{ ...machine, swing: 210, leadscrew: undefined, compoundTravel: undefined }].map(
      (each) => JSON.parse(JSON.stringify(each)) as object,
    ),
    gauges: gauges.filter(({ measures }) => !measures.includes('thread')),
  };
  const shop = completeShop(earlier) as typeof startValues;
  expect(shop.machines[0]).toMatchObject({ swing: 210, leadscrew: machine?.leadscrew, compoundTravel: 60 });
  const kept = gauges.map(({ name }) => name).filter((name) => name !== 'thread gauge');
  expect(shop.gauges.map(({ name }) => name)).toEqual([...kept, 'thread gauge']);
});
