import { readdirSync, readFileSync } from 'node:fs';
import type { RunFile } from '@/core/read/runFile';
import { sameNumber } from '@/core/model/part/partNumber';
import { startValues } from '@/core/model/shop/startValues';
import { closeDatabase, database } from '@/server/database';
import { completeRunList } from '@/server/runRepository';
import { otherGeometry } from './torture/fuzzed';
import { randomOf } from './torture/random';

/** Brings a database to so many runs, each with some revisions, and a rack to go with them: for the bench. */
const RUNS = Number(process.argv[2] ?? 500);
const REVISIONS = 10;
/** Of one run, the first that is made. */
const DEEP = 2010;
const BARS = 300;

const materials = startValues.materials.map(({ id }) => id);
const examples = readdirSync('examples')
  .filter((name) => name.endsWith('.json'))
  .map((name) => JSON.parse(readFileSync(`examples/${name}`, 'utf8')) as Record<string, unknown>);

const inParts = <T>(rows: T[], size = 500): T[][] =>
  Array.from({ length: Math.ceil(rows.length / size) }, (_, at) => rows.slice(at * size, (at + 1) * size));

const insert = async (table: string, rows: object[]) => {
  for (const some of inParts(rows)) await database()(table).insert(some);
};

const last = async (table: string): Promise<number> => Number((await database()(table).max({ id: 'id' }))[0]?.id ?? 0);

try {
  const [there, firstRun, firstPart, firstRevision] = [
    Number((await database()('runs').count({ n: '*' }))[0]?.n),
    (await last('runs')) + 1,
    (await last('parts')) + 1,
    (await last('part_revisions')) + 1,
  ];
  const wanted = Math.max(0, RUNS - there);
  const at = new Date();
  const rows = { parts: [], part_revisions: [], runs: [], run_revisions: [] } as Record<string, object[]>;
  for (let index = 0; index < wanted; index += 1) {
    const random = randomOf(7000 + firstRun + index);
    const number = `WS-L${firstRun + index}`;
    const [partId, runId, revisionId] = [firstPart + index, firstRun + index, firstRevision + index];
    const file = otherGeometry(random.one(examples), random, materials) as unknown as RunFile;
    const { part, ...rest } = { ...file, units: 'mm', part: { ...file.part, number } };
    rows.parts?.push({ id: partId, number, same_as: sameNumber(number) });
    rows.part_revisions?.push({
      id: revisionId,
      part_id: partId,
      revision: 1,
      document: JSON.stringify(part),
      units: 'mm',
      saved_at: at,
    });
    rows.runs?.push({ id: runId, created_at: at });
    const many = index === 0 ? DEEP : REVISIONS;
    for (let revision = 1; revision <= many; revision += 1)
      rows.run_revisions?.push({
        run_id: runId,
        revision,
        part_revision_id: revisionId,
        document: JSON.stringify({ ...rest, quantity: String(Number(rest.quantity) + revision) }),
        saved_at: at,
      });
  }
  for (const [table, some] of Object.entries(rows)) await insert(table, some);
  const bars = Number((await database()('stock_items').count({ n: '*' }))[0]?.n);
  const random = randomOf(99);
  await insert(
    'stock_items',
    Array.from({ length: Math.max(0, BARS - bars) }, () => ({
      material: random.one(materials),
      form: 'round',
      size: random.whole(6, 60),
      condition: 'drawn',
      length: random.whole(300, 3000),
      offcut: random.often(0.4),
      place: `A${random.whole(1, 9)}`,
    })),
  );
  await completeRunList();
  const revisions = Number((await database()('run_revisions').count({ n: '*' }))[0]?.n);
  process.stdout.write(`${Math.max(RUNS, there)} runs, ${revisions} revisions, ${Math.max(BARS, bars)} bars`);
} finally {
  await closeDatabase();
}
