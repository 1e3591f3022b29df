import { expect, test } from '@playwright/test';
import { emptyRun } from '../../src/core/read/runFile';
import { closeDatabase, database } from '../../src/server/database';
import { act, listRack, rackHistory, receive } from '../../src/server/rackRepository';
import { createRun } from '../../src/server/runRepository';

/** Against the real MariaDB of the test run; each test receives its own bars and makes its own runs. */
const run = async () => {
  const file = { ...emptyRun(), quantity: '10' };
  return (await createRun({ ...file, part: { ...file.part, number: `R-${process.hrtime.bigint()}` } })).id;
};

const bar = async (length = 3000, more: Partial<Parameters<typeof receive>[0]> = {}) => {
  const section = { material: 'brass-cw614n', form: 'round', size: 12, bore: 0, condition: 'drawn' } as const;
  const [id] = await receive({ ...section, length, count: 1, offcut: false, batch: 'B-7', place: 'A1', ...more });
  return id as number;
};

const item = async (id: number) => (await listRack()).find((own) => own.id === id);

test.afterAll(closeDatabase);

test('what came in is on the rack, to the thousandth, with its batch, place and price', async () => {
  const id = await bar(3657.6, { price: 26.5 });
  expect(await item(id)).toMatchObject({
    length: 3657.6,
    size: 12,
    batch: 'B-7',
    place: 'A1',
    price: 26.5,
    reserved: [],
  });
});

test('two runs cannot reserve the same metre, and the second is told who has it', async () => {
  const [id, one, other] = [await bar(), await run(), await run()];
  expect(await act(id, { do: 'reserve', run: one, length: 2000 })).toMatchObject({ ok: true });
  expect(await act(id, { do: 'reserve', run: other, length: 1001 })).toMatchObject({
    ok: false,
    problems: [{ path: 'length', message: expect.stringContaining(`reserved by run ${one}, and 1000 mm are left`) }],
  });
  expect(await act(id, { do: 'reserve', run: other, length: 1000 })).toMatchObject({ ok: true });
});

test('of ten users at once on the last bar, exactly as many get it as it gives', async () => {
  const id = await bar(1000);
  const runs = await Promise.all(Array.from({ length: 10 }, run));
  const done = await Promise.all(runs.map((own) => act(id, { do: 'reserve', run: own, length: 400 })));
  expect(done.filter(({ ok }) => ok)).toHaveLength(2);
  const kept = await item(id);
  expect(kept?.reserved.reduce((total, { length }) => total + length, 0)).toBe(800);
});

test('reserving again changes the own reservation, releasing gives it back', async () => {
  const [id, one] = [await bar(), await run()];
  await act(id, { do: 'reserve', run: one, length: 2000 });
  expect(await act(id, { do: 'reserve', run: one, length: 3000 })).toMatchObject({ ok: true });
  expect((await item(id))?.reserved).toEqual([{ run: one, length: 3000 }]);
  await act(id, { do: 'release', run: one });
  expect((await item(id))?.reserved).toEqual([]);
  expect(await act(id, { do: 'release', run: one })).toMatchObject({ ok: false });
});

test('a used bar is gone, and its rest comes back with its real length and the others’ reservations', async () => {
  const [id, one, other] = [await bar(3000, { price: 30 }), await run(), await run()];
  await act(id, { do: 'reserve', run: one, length: 1500 });
  await act(id, { do: 'reserve', run: other, length: 1000 });
  expect(await act(id, { do: 'use', run: one, left: 900, place: '' })).toMatchObject({
    ok: false,
    problems: [{ path: 'left', message: expect.stringContaining(`reserved by run ${other}`) }],
  });
  expect(await act(id, { do: 'use', run: one, left: 1450, place: 'offcuts' })).toMatchObject({ ok: true });
  expect(await item(id)).toBeUndefined();
  const rest = (await listRack()).find(({ reserved }) => reserved.some((own) => own.run === other));
  expect(rest).toMatchObject({ length: 1450, offcut: true, place: 'offcuts', batch: 'B-7', price: 14.5 });
  expect(await act(id, { do: 'reserve', run: one, length: 1 })).toMatchObject({
    ok: false,
    problems: [{ message: expect.stringContaining('not on the rack any more') }],
  });
});

test('a bar that was not used up after all is brought back with what was reserved of it, unless its rest is used', async () => {
  const [id, one, other] = [await bar(3000), await run(), await run()];
  await act(id, { do: 'reserve', run: one, length: 1500 });
  await act(id, { do: 'reserve', run: other, length: 1000 });
  // As it is on the rack there is nothing to do.
  expect(await act(id, { do: 'bring-back', run: one })).toMatchObject({ ok: true });
  await act(id, { do: 'use', run: one, left: 1440, place: '' });
  expect(await act(id, { do: 'bring-back', run: other })).toMatchObject({
    ok: false,
    problems: [{ path: 'run', message: `run ${one} used this bar up, not run ${other}` }],
  });
  const rest = (await listRack()).find(({ length, batch }) => length === 1440 && batch === 'B-7');
  expect(await act(id, { do: 'bring-back', run: one })).toMatchObject({ ok: true });
  expect(await item(id)).toMatchObject({
    length: 3000,
    reserved: expect.arrayContaining([
      { run: one, length: 1500 },
      { run: other, length: 1000 },
    ]),
  });
  expect(await item(rest?.id ?? 0)).toBeUndefined();
  // Used again, and its rest as well: what is gone is gone.
  await act(id, { do: 'release', run: other });
  await act(id, { do: 'use', run: one, left: 900, place: '' });
  const again = (await listRack()).find(({ length, batch }) => length === 900 && batch === 'B-7');
  await act(again?.id ?? 0, { do: 'use', run: other, left: 0, place: '' });
  expect(await act(id, { do: 'bring-back', run: one })).toMatchObject({
    ok: false,
    problems: [{ message: `what was left of it is used up as well, as bar ${again?.id}: put the rack right by hand` }],
  });
});

test('the history has every move, and cannot be edited away', async () => {
  const [id, one] = [await bar(), await run()];
  await act(id, { do: 'reserve', run: one, length: 500 });
  await act(id, { do: 'use', run: one, left: 0, place: '' });
  const moves = (await rackHistory(1000)).filter((move) => move.item === id).map(({ what, length }) => [what, length]);
  expect(moves).toEqual([
    ['used', 3000],
    ['reserved', 500],
    ['received', 3000],
  ]);
  const history = () => database()('stock_history').where({ item_id: id });
  await expect(history().update({ length: 1 })).rejects.toThrow('the stock history only grows');
  await expect(history().delete()).rejects.toThrow('the stock history only grows');
});
