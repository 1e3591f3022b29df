import { randomUUID } from 'node:crypto';
import { expect, test } from '@playwright/test';
import { inOrder, type LatheEvent } from '../../src/core/lathe/events';
import { emptyRun } from '../../src/core/read/runFile';
import { closeDatabase, database } from '../../src/server/database';
import { earlierOf, eventsOf, keepEvents, logOf } from '../../src/server/latheEvents';
import { keepLearned, learnedRuns } from '../../src/server/learned';
import { createRun } from '../../src/server/runRepository';
import { shingle } from './scratch';

const run = async () => {
  const file = { ...emptyRun(), quantity: '10' };
  return (await createRun({ ...file, part: { ...file.part, number: `L-${process.hrtime.bigint()}` } })).id;
};

/** So many steps of a device, one after the other. */
const stepsOf = (device: string, count: number, from = 1): LatheEvent[] =>
  Array.from({ length: count }, (_, index) => ({
    id: randomUUID(),
    device,
    seq: from + index,
    at: new Date().toISOString(),
    revision: 1,
    piece: index + 1,
    operation: 'face:front',
    kind: 'done' as const,
  }));

test.afterAll(closeDatabase);

test('what is sent twice is kept once, where it first came; of a run that is none nothing is kept', async () => {
  const id = await run();
  const events = stepsOf('lathe A', 5);
  const first = await keepEvents(id, events.slice(0, 3));
  const again = await keepEvents(id, events);
  expect([...(again ?? [])].filter(([name]) => first?.has(name))).toEqual([...(first ?? [])]);
  expect((await eventsOf(id)).map(({ id: name }) => name).sort()).toEqual(events.map(({ id: name }) => name).sort());
  expect(await keepEvents(999_999_999, events)).toBeUndefined();
});

test('twenty devices at once: everything is kept once, and each device’s own order with it', async () => {
  const id = await run();
  const devices = Array.from({ length: 20 }, (_, index) => `tablet ${index + 1}`);
  const sent = devices.map((device) => stepsOf(device, 40));
  await Promise.all(
    sent.map(async (events) => {
      // As a device sends: some at a time, each batch once more as if its answer had been lost.
      for (let from = 0; from < events.length; from += 10) {
        await keepEvents(id, events.slice(from, from + 10));
        await keepEvents(id, events.slice(from, from + 10));
      }
    }),
  );
  const kept = inOrder(await eventsOf(id));
  expect(kept).toHaveLength(20 * 40);
  for (const device of devices) {
    const own = kept.filter((event) => event.device === device).map(({ seq }) => seq);
    expect(own).toEqual(own.toSorted((a, b) => a - b));
  }
});

test('only what came after is fetched; what happened is never changed, and is found by its words', async () => {
  const id = await run();
  await keepEvents(id, stepsOf('lathe A', 3));
  const last = (await eventsOf(id)).at(-1)?.order ?? 0;
  const [note] = stepsOf('lathe A', 1, 4);
  await keepEvents(id, [{ ...(note as LatheEvent), kind: 'note', text: `100 % of ${id} in oil_` } as LatheEvent]);
  expect(await eventsOf(id, last)).toHaveLength(1);
  expect(await logOf({ find: `100 % of ${id} in oil_` })).toHaveLength(1);
  expect(await logOf({ find: `100 % of ${id} in oilX` })).toHaveLength(0);
  await expect(database()('lathe_events').where({ run_id: id }).delete()).rejects.toThrow('only grows');
  await expect(database()('lathe_events').where({ run_id: id }).update({ device: 'x' })).rejects.toThrow('only grows');
});

test('the log is narrowed to a part, to a lathe, to the edges of a tool; an earlier run of a part says what it proved', async () => {
  const number = `L-${process.hrtime.bigint()}`;
  const made = async () => {
    const file = { ...emptyRun(), quantity: '10' };
    return (await createRun({ ...file, part: { ...file.part, number } })).id;
  };
  const [before, now] = [await made(), await made()];
  await database()('run_list')
    .where({ run_id: before })
    .update({ machine: `lathe of ${number}` });
  const [done, edge, moved] = stepsOf('lathe A', 3) as [LatheEvent, LatheEvent, LatheEvent];
  await keepEvents(before, [
    done,
    { ...edge, kind: 'edge', tool: 'roughing-tool', what: 'changed' } as LatheEvent,
    { ...moved, kind: 'corrected', place: 'stop 1B', by: 0.02 } as LatheEvent,
  ]);
  const kinds = async (asked: Parameters<typeof logOf>[0]) => (await logOf(asked)).map(({ kind }) => kind).sort();
  expect(await kinds({ find: number })).toEqual(['corrected', 'done', 'edge']);
  expect(await kinds({ lathe: `lathe of ${number}` })).toEqual(['corrected', 'done', 'edge']);
  expect(await kinds({ find: number, tool: 'roughing-tool' })).toEqual(['edge']);
  expect(await kinds({ find: number, tool: 'another' })).toEqual([]);
  expect(await earlierOf(now)).toMatchObject({ run: before, proved: { moved: [{ place: 'stop 1B', by: 0.02 }] } });
  expect(await earlierOf(before)).toBeUndefined();
});

test('on the command line a run’s log is written by its part’s number, as rows', async () => {
  const id = await run();
  const [{ number }] = await database()('run_list').where({ run_id: id }).select('number');
  await keepEvents(id, stepsOf('lathe A', 2));
  const url = process.env.DATABASE_URL ?? '';
  const rows = await shingle(url, 'log', number, '--csv');
  expect(rows.code).toBe(0);
  expect(rows.out.trim().split('\n')).toHaveLength(3);
  expect(rows.out).toMatch(/^order,at,device,seq,revision,piece,operation,kind,value,more/);
});

test('of what a run taught the newest counts, and what it said before stays', async () => {
  const id = await run();
  const says = (mean: number) => ({ hand: { mean, variance: 0.01, within: 0.02, pieces: 8 } });
  await keepLearned(id, { machine: 'lathe-a', says: says(0.1) }, 'tablet');
  await keepLearned(id, { machine: 'lathe-a', says: says(0.2) }, 'tablet');
  expect((await learnedRuns()).filter((learned) => learned.run === id).map((learned) => learned.says)).toEqual([
    says(0.2),
  ]);
  expect(await database()('learned_runs').where({ run_id: id })).toHaveLength(2);
  // As it was kept before edges and cost were learned, and with them.
  await database()('learned_runs').insert({
    run_id: id,
    machine: 'lathe-a',
    document: JSON.stringify(says(0.3)),
    said_by: '',
    at: new Date(),
  });
  const newest = async () => (await learnedRuns()).find((learned) => learned.run === id);
  expect(await newest()).toMatchObject({ machine: 'lathe-a', says: says(0.3) });
  const edges = { hss: { lives: 2.6, worn: 2 } };
  await keepLearned(id, { machine: 'lathe-a', says: says(0.3), edges }, 'tablet');
  expect(await newest()).toMatchObject({ machine: 'lathe-a', says: says(0.3), edges });
  expect(await keepLearned(999_999_999, { machine: 'lathe-a', says: says(0) }, '')).toBe(false);
});
