import { expect, test } from '@playwright/test';
import { emptyRun, type RunFile } from '../../src/core/read/runFile';
import { closeDatabase, database } from '../../src/server/database';
import { receive } from '../../src/server/rackRepository';
import { listRuns, wantAnew } from '../../src/server/runList';
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
    const listed = await listRuns({ find: word, order: 'due', from: 0, most: 50, ...more });
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
