import { expect, test } from '@playwright/test';
import { emptyRun, type RunFile } from '../../src/core/read/runFile';
import { closeDatabase, database } from '../../src/server/database';
import { act, receive } from '../../src/server/rackRepository';
import { ANY_RUN, listNeeds, listRuns, wantAnew } from '../../src/server/runList';
import { changeStates } from '../../src/server/runStates';
import { createRun, saveRun } from '../../src/server/runRepository';

/** Against the real MariaDB of the test run, where the keeper of figures is at work beside it. */
const runOf = (number: string, more: Partial<RunFile['part']> = {}, rest: Partial<RunFile> = {}): RunFile => ({
  ...emptyRun(),
  quantity: '10',
  ...rest,
  part: {
    ...emptyRun().part,
    number,
    material: 'bronze',
    outside: [{ shape: 'cylinder', diameter: '19', length: '30' }],
    ...more,
  },
});

const unique = (name: string) => `${name}-${process.hrtime.bigint()}`;

const row = (id: number) => database()('run_list').where({ run_id: id }).first();

/** The row of a run once its figures are those of now. */
async function figured(id: number): Promise<{ basis: string; figures: string; wanted: number; batch_minutes: number }> {
  await expect.poll(async () => (await row(id)).stale).toBe(0);
  return row(id);
}

test.afterAll(closeDatabase);

test('a saved run has its figures soon, off the request, and new ones after another save', async () => {
  const number = unique('L-FIGURES');
  const { id } = await createRun(runOf(number));
  const first = await figured(id);
  expect(JSON.parse(first.figures)).toMatchObject({ pieceMinutes: expect.any(Number), bars: 1 });
  await saveRun(id, 1, runOf(number, {}, { quantity: '200' }));
  const second = await figured(id);
  expect(second.batch_minutes).toBeGreaterThan(5 * first.batch_minutes);
});

test('what a run is not made from moves nothing: its figures are looked at and stay', async () => {
  const { id } = await createRun(runOf(unique('L-STAYS')));
  const before = await figured(id);
  await receive({
    material: 'copper',
    form: 'round',
    size: 20,
    bore: 0,
    condition: 'drawn',
    length: 900,
    count: 1,
    offcut: false,
    batch: '',
    place: '',
  });
  expect((await row(id)).wanted).toBe(before.wanted);
  await wantAnew(database());
  expect(await figured(id)).toMatchObject({ basis: before.basis, wanted: before.wanted + 1 });
});

test('a bar of its material is one of the things that figures are made from', async () => {
  const { id } = await createRun(runOf(unique('L-BAR')));
  const before = await figured(id);
  await receive({
    material: 'bronze',
    form: 'round',
    size: 20,
    bore: 0,
    condition: 'drawn',
    length: 1100,
    count: 1,
    offcut: false,
    batch: '',
    place: '',
  });
  expect((await figured(id)).basis).not.toBe(before.basis);
});

test('what cannot be planned says why in the list', async () => {
  const { id } = await createRun(runOf(unique('L-NONE'), { material: '' }));
  expect(JSON.parse((await figured(id)).figures)).toMatchObject({ problem: { path: 'part.material' } });
});

test('the list is found in, sorted and paged by the database', async () => {
  const word = unique('L-FIND').replace('-', '');
  for (const [name, due] of [
    ['Cap 100%', '2027-03-01'],
    ['Axle', ''],
    ['Bush', '2027-02-01'],
  ] as const)
    await createRun(runOf(`${word}-${name[0]}`, { name }, { due }));
  const names = async (more: Partial<Parameters<typeof listRuns>[0]>) => {
    const listed = await listRuns({ ...ANY_RUN, find: word, ...more });
    return [listed.found, ...listed.runs.map((run) => run.name)];
  };
  // No promised day comes last.
  expect(await names({})).toEqual([3, 'Bush', 'Cap 100%', 'Axle']);
  expect(await names({ order: 'name' })).toEqual([3, 'Axle', 'Bush', 'Cap 100%']);
  expect(await names({ order: 'newest' })).toEqual([3, 'Bush', 'Axle', 'Cap 100%']);
  expect(await names({ from: 1, most: 1 })).toEqual([3, 'Cap 100%']);
  expect(await names({ find: `${word} bush` })).toEqual([1, 'Bush']);
  // What is a wildcard to the database is a sign like others to people.
  expect(await names({ find: `${word} 100%` })).toEqual([1, 'Cap 100%']);
  expect(await names({ find: `${word} B_sh` })).toEqual([0]);
});

test('how far runs have come: kept with who and when, narrows the list, and goes back', async () => {
  const word = unique('L-STATE').replace('-', '');
  const ids: number[] = [];
  for (const due of ['2027-03-04', '2027-02-01', ''])
    ids.push(
      (await createRun(runOf(`${word}-${ids.length}`, {}, { due, customer: `cust ${word}`, note: 'in a hurry' }))).id,
    );
  const [first = 0, second = 0] = ids;
  const found = async (more: Partial<Parameters<typeof listRuns>[0]>) =>
    (await listRuns({ ...ANY_RUN, find: word, ...more })).runs.map(({ number }) => number.slice(-1));
  expect(await found({})).toEqual(['1', '0', '2']);
  const before = await changeStates({
    runs: [
      { id: first, state: 'away' },
      { id: second, state: 'running' },
    ],
    by: 'lathe 1',
  });
  expect(before).toEqual([
    { id: first, state: 'open' },
    { id: second, state: 'open' },
  ]);
  expect(await found({})).toEqual(['1', '2']);
  expect(await found({ state: 'away' })).toEqual(['0']);
  expect(await found({ state: 'all' })).toEqual(['1', '0', '2']);
  expect((await listRuns({ ...ANY_RUN, find: word, state: 'running' })).runs[0]).toMatchObject({ stateBy: 'lathe 1' });
  // By the promised day; 2027-01-28 to 2027-02-04 is a week.
  expect(await found({ due: 'week', today: '2027-01-28' })).toEqual(['1']);
  expect(await found({ due: 'late', today: '2027-02-02' })).toEqual(['1']);
  expect(await found({ due: 'none' })).toEqual(['2']);
  expect(await found({ find: `${word} hurry cust` })).toEqual(['1', '2']);
  await changeStates({ runs: before });
  expect(await found({ group: 'customer' })).toEqual(['1', '0', '2']);
  expect(await database()('run_states').where({ run_id: first }).pluck('state')).toEqual(['away', 'open']);
});

test('what a run has used of the rack it needs no more', async () => {
  const { id } = await createRun(runOf(unique('L-USED')));
  await figured(id);
  const needOf = async () => (await listNeeds()).find(({ run }) => run === id);
  const before = (await needOf())?.length ?? 0;
  const bar = {
    form: 'round' as const,
    size: 20,
    bore: 0,
    condition: 'drawn' as const,
    offcut: false,
    batch: '',
    place: '',
  };
  const [item = 0] = await receive({ ...bar, material: 'bronze', length: 3000, count: 1 });
  const used = await act(item, { do: 'use', run: id, left: 3000 - before / 4, place: '' });
  expect(used.ok).toBe(true);
  expect((await needOf())?.length).toBeCloseTo((3 / 4) * before, 2);
  // All of it used, it asks for nothing.
  const [other = 0] = await receive({ ...bar, material: 'bronze', length: 3000, count: 1 });
  expect((await act(other, { do: 'use', run: id, left: 0, place: '' })).ok).toBe(true);
  expect(await needOf()).toBeUndefined();
});
