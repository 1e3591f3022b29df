import { expect, test } from '@playwright/test';
import { emptyRun, type RunFile } from '../../src/core/read/runFile';
import { startValues } from '../../src/core/model/shop/startValues';
import { closeDatabase, database } from '../../src/server/database';
import { migrationSource } from '../../src/server/migrations';
import { partsKeptTwice, revisionsOf } from '../../src/server/partRepository';
import { ANY_RUN, listRuns } from '../../src/server/runList';
import { createRun, DamagedRow, findRun, readRuns, saveRun } from '../../src/server/runRepository';
import { currentShop, seedShop } from '../../src/server/shopRepository';

/** Against the real MariaDB of the test run; each test makes its own runs. */
const runOf = (number: string, more: Partial<RunFile> = {}): RunFile => ({
  ...emptyRun(),
  quantity: '10',
  ...more,
  part: {
    ...emptyRun().part,
    number,
    outside: [{ shape: 'cylinder', diameter: '1 1/32 in', length: '0.1000' }],
    ...more.part,
  },
});

/** A part number that no other run of this test has used. */
const unique = (name: string) => `${name}-${process.hrtime.bigint()}`;

const partRevisions = async (number: string) =>
  (
    await database()('part_revisions as r')
      .join('parts as p', 'p.id', 'r.part_id')
      .where('p.number', number)
      .count<{ n: number }[]>({ n: '*' })
  )[0]?.n;

test.afterAll(closeDatabase);

test('lengths come back digit for digit, with their unit', async () => {
  const { id } = await createRun(runOf('S-EXACT', { allowances: { kerf: 0.1, frontFacing: '.30' } }));
  const read = await findRun(id);
  expect(read?.file.part.outside[0]).toEqual({ shape: 'cylinder', diameter: '1 1/32 in', length: '0.1000' });
  expect(read?.file.allowances).toEqual({ kerf: 0.1, frontFacing: '.30' });
  const row = await database()('part_revisions as r')
    .join('parts as p', 'p.id', 'r.part_id')
    .where('p.number', 'S-EXACT')
    .first('r.document');
  expect(row.document).toContain('"length":"0.1000"');
});

test('a save appends and keeps what was before', async () => {
  const { id } = await createRun(runOf('S-APPEND'));
  const saved = await saveRun(id, 1, runOf('S-APPEND', { quantity: '20' }));
  expect(saved).toMatchObject({ kind: 'saved', run: { revision: 2 } });
  const rows = await database()('run_revisions').where({ run_id: id }).orderBy('revision');
  expect(rows.map(({ revision, document }) => [revision, JSON.parse(document).quantity])).toEqual([
    [1, '10'],
    [2, '20'],
  ]);
});

test('a part gets a revision when it changes, and only then; another run keeps the one it was saved with', async () => {
  const number = unique('S-PART');
  const first = await createRun(runOf(number));
  const other = await createRun(runOf(number, { quantity: '7' }));
  await saveRun(first.id, 1, runOf(number, { quantity: '11' }));
  expect(await partRevisions(number)).toBe(1);
  const changed = runOf(number);
  changed.part.name = 'Changed';
  await saveRun(first.id, 2, changed);
  expect(await partRevisions(number)).toBe(2);
  expect((await findRun(first.id))?.file.part.name).toBe('Changed');
  expect((await findRun(other.id))?.file.part.name).toBe('');
});

test('revisions of a part: the newest first, with the runs that are planned with each', async () => {
  const number = unique('S-REV');
  const at = (revision: string, length: string) => {
    const file = runOf(number);
    return {
      ...file,
      part: { ...file.part, revision, outside: [{ shape: 'cylinder' as const, diameter: '8', length }] },
    };
  };
  const kept = await createRun(at('A', '18'));
  expect((await findRun(kept.id))?.newerPart).toBeUndefined();
  const later = await createRun(at('B', '19.5'));
  const revisions = await revisionsOf(number);
  expect(revisions.map(({ count, part, runs }) => [count, part.revision, runs])).toEqual([
    [2, 'B', [later.id]],
    [1, 'A', [kept.id]],
  ]);
  expect((await findRun(kept.id))?.newerPart?.revision).toBe('B');
  // Saved again, it still keeps its own, and no revision is added.
  await saveRun(kept.id, 1, { ...at('A', '18'), quantity: '55' });
  expect((await findRun(kept.id))?.file.part.revision).toBe('A');
  expect(await revisionsOf(number)).toHaveLength(2);
  await saveRun(kept.id, 2, at('B', '19.5'));
  expect((await findRun(kept.id))?.newerPart).toBeUndefined();
});

test('the same figures in inches are another part than in millimetres', async () => {
  const number = unique('S-UNITS');
  await createRun(runOf(number));
  await createRun(runOf(number, { units: 'in' }));
  expect((await revisionsOf(number)).map(({ units }) => units)).toEqual(['in', 'mm']);
});

test('a save from an older revision brings the newer one, and changes nothing', async () => {
  const { id } = await createRun(runOf('S-OLD'));
  await saveRun(id, 1, runOf('S-OLD', { quantity: '20' }));
  const outcome = await saveRun(id, 1, runOf('S-OLD', { quantity: '30' }));
  expect(outcome).toMatchObject({ kind: 'conflict', current: { revision: 2, file: { quantity: '20' } } });
  expect((await findRun(id))?.revision).toBe(2);
});

test('of many saves at once one wins', async () => {
  const { id } = await createRun(runOf('S-RACE'));
  const outcomes = await Promise.all(
    Array.from({ length: 8 }, (_, index) => saveRun(id, 1, runOf('S-RACE', { quantity: String(index) }))),
  );
  expect(outcomes.map(({ kind }) => kind).sort()).toEqual([...Array<string>(7).fill('conflict'), 'saved']);
  expect((await findRun(id))?.revision).toBe(2);
});

test('many new runs of one new part at once: one part, all runs', async () => {
  const number = unique('S-MANY');
  const quantities = ['1', '2', '3', '4', '5', '6'];
  await Promise.all(quantities.map((quantity) => createRun(runOf(number, { quantity }))));
  expect(await database()('parts').where({ number })).toHaveLength(1);
  const listed = await listRuns({ ...ANY_RUN, find: number });
  expect(listed.runs.map((own) => own.number)).toEqual(Array(6).fill(number));
});

test('two people save two runs of one part at once: both are saved, round after round', async () => {
  const number = unique('S-BOTH');
  const [one, two] = [await createRun(runOf(number)), await createRun(runOf(number))];
  for (let round = 1; round <= 25; round += 1) {
    const changed = (who: string): RunFile => {
      const file = runOf(number);
      return { ...file, part: { ...file.part, name: `${who} ${round}` } };
    };
    const outcomes = await Promise.all([
      saveRun(one.id, round, changed('one')),
      saveRun(two.id, round, changed('two')),
    ]);
    expect(outcomes.map(({ kind }) => kind)).toEqual(['saved', 'saved']);
  }
  expect(await partRevisions(number)).toBe(1 + 2 * 25);
  expect((await findRun(one.id))?.revision).toBe(26);
});

test('twenty clients save twenty runs of one part at once, all of them', async () => {
  const number = unique('S-TWENTY');
  const runs = await Promise.all(Array.from({ length: 20 }, () => createRun(runOf(number))));
  const outcomes = await Promise.all(
    runs.map(({ id }, index) => {
      const file = runOf(number);
      return saveRun(id, 1, { ...file, part: { ...file.part, name: `client ${index}` } });
    }),
  );
  expect(outcomes.map(({ kind }) => kind)).toEqual(Array(20).fill('saved'));
  expect((await revisionsOf(number)).map(({ count }) => count)).toEqual(Array.from({ length: 21 }, (_, at) => 21 - at));
});

test('a number with other spaces or another Unicode form is the same number, and renames nobody’s part', async () => {
  const number = unique('S-M\u00fc 1');
  const written = [number, `${number} `, number.replace(' ', '\u00a0'), number.normalize('NFD'), `\t${number}`];
  const ids: number[] = [];
  for (const typed of written) ids.push((await createRun(runOf(typed))).id);
  const parts = await database()('parts').where({ same_as: number });
  expect(parts.map((part) => part.number)).toEqual([number]);
  // Each run keeps its number as it was typed.
  expect(await Promise.all(ids.map(async (id) => (await findRun(id))?.file.part.number))).toEqual(written);
  for (const typed of written) expect((await revisionsOf(typed)).flatMap(({ runs }) => runs).sort()).toEqual(ids);
});

test('two parts kept before under two ways of writing one number both stay, and are told', async () => {
  const number = unique('S-APART');
  await createRun(runOf(number));
  // As an earlier version kept it: a part of its own.
  const [partId] = await database()('parts').insert({ number: ` ${number}` });
  const { id } = await createRun(runOf(` ${number}`));
  expect((await partsKeptTwice()).filter((numbers) => numbers.includes(number))).toEqual([[number, ` ${number}`]]);
  expect((await revisionsOf(` ${number}`)).map(({ runs }) => runs)).toEqual([[id]]);
  expect((await revisionsOf(number)).flatMap(({ runs }) => runs)).not.toContain(id);
  await database()('run_list').where({ part_id: partId }).delete();
  await database()('run_revisions').where({ run_id: id }).delete();
  await database()('part_revisions').where({ part_id: partId }).delete();
  await database()('parts').where({ id: partId }).delete();
});

test('part numbers that differ in case are different parts', async () => {
  await createRun(runOf('s-case'));
  await createRun(runOf('S-CASE'));
  expect(await database()('parts').whereIn('number', ['s-case', 'S-CASE'])).toHaveLength(2);
});

test('a run that is not there', async () => {
  expect(await findRun(987654)).toBeUndefined();
  expect(await saveRun(987654, 1, runOf('S-NONE'))).toEqual({ kind: 'missing' });
});

test('a damaged row is named, not shown half', async () => {
  const { id } = await createRun(runOf('S-DAMAGED'));
  await database()('run_revisions')
    .where({ run_id: id })
    .update({ document: '{"format":"shingle-run/1","quantity":[]}' });
  const error = await findRun(id).catch((caught: unknown) => caught);
  expect(error).toBeInstanceOf(DamagedRow);
  expect(String(error)).toContain(`run ${id} revision 1: quantity`);
  await database()('run_revisions').where({ run_id: id }).update({ document: '{' });
  expect(String(await findRun(id).catch((caught: unknown) => caught))).toContain('is not JSON');
  // Nor does it hide the others.
  const { id: other } = await createRun(runOf('S-WHOLE'));
  const { runs, damaged } = await readRuns([id, other]);
  expect(damaged.get(id)).toContain(`run ${id} revision 1`);
  expect(runs.map((own) => own.id)).toEqual([other]);
  for (const table of ['run_list', 'run_revisions']) await database()(table).where({ run_id: id }).delete();
});

test('the shop is seeded once and read through its schema', async () => {
  expect(await seedShop()).toBeUndefined();
  expect((await currentShop()).materials.map(({ id }) => id)).toEqual(startValues.materials.map(({ id }) => id));
});

test('every migration is applied, and again is nothing to do', async () => {
  const [, applied] = (await database().migrate.latest({ migrationSource })) as [number, string[]];
  expect(applied).toEqual([]);
  expect(await database().migrate.list({ migrationSource })).toEqual([
    (await migrationSource.getMigrations([])).map((name) => expect.objectContaining({ name })),
    [],
  ]);
});

test('the keys stand behind the code: no two of one revision, no run without its part', async () => {
  const { id } = await createRun(runOf('S-KEYS'));
  const row = await database()('run_revisions').where({ run_id: id }).first();
  const again = { ...row, id: undefined };
  await expect(database()('run_revisions').insert(again)).rejects.toThrow(/Duplicate entry/);
  const orphan = { ...again, revision: 2, part_revision_id: 999999 };
  await expect(database()('run_revisions').insert(orphan)).rejects.toThrow(/foreign key/);
});
