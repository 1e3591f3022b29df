import { createHash, type Hash } from 'node:crypto';
import { createReadStream, createWriteStream, renameSync, rmSync } from 'node:fs';
import { createInterface } from 'node:readline';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip, createGzip } from 'node:zlib';
import Joi from 'joi';
import type { Knex } from 'knex';
import { database } from './database';
import { replacing } from './migrations/onlyGrows';
import { migrationNames } from './migrations';
import { wantAnew } from './runList';

/** Why a backup cannot be written or read, as a sentence: what, and what would do. */
export class BackupRefusal extends Error {}

/** What is kept, in an order in which nothing points at what comes later; and by what its rows are told apart. */
const TABLES: Record<string, readonly string[]> = {
  shop_revisions: ['revision'],
  parts: ['id'],
  part_revisions: ['id'],
  runs: ['id'],
  run_revisions: ['id'],
  run_list: ['run_id'],
  run_states: ['id'],
  attachments: ['id'],
  lathe_events: ['id'],
  begun_with: ['run_id'],
  learned_runs: ['id'],
  days_revisions: ['revision'],
  stock_items: ['id'],
  stock_reservations: ['item_id', 'run_id'],
  stock_history: ['id'],
  stock_levels: ['material', 'form', 'size', 'bore', 'condition'],
  device_keys: ['id'],
  passcodes: ['id'],
};

const FORMAT = 'shingle-backup/1';

/** Rows of a table read and written together: drawings and photos each by itself, they may be large. */
const atOnce = (table: string): number => (table === 'attachments' ? 1 : 500);

type Row = Record<string, unknown>;

interface Header {
  format: string;
  madeAt: string;
  migrations: string[];
}

const headerSchema = Joi.object<Header>({
  format: Joi.string().required(),
  madeAt: Joi.string().isoDate().required(),
  migrations: Joi.array().items(Joi.string()).required(),
}).required();

/** How many rows of each table there are. */
export type RowCounts = Record<string, number>;

/** A backup that reads from beginning to end. */
export interface CheckedBackup {
  madeAt: string;
  rows: RowCounts;
}

/** Every row of a table in the order of its key, as the text that the server has: no figure passes through a float. */
async function* rowsOf(knex: Knex, table: string): AsyncGenerator<Row> {
  const keys = TABLES[table] ?? [];
  for (let from = 0; ; from += atOnce(table)) {
    const rows = (await knex(table)
      .orderBy([...keys])
      .offset(from)
      .limit(atOnce(table))
      .options({ dateStrings: true, typeCast: false })) as Record<string, Buffer | string | null>[];
    for (const row of rows)
      yield Object.fromEntries(Object.entries(row).map(([key, value]) => [key, value === null ? null : String(value)]));
    if (rows.length < atOnce(table)) return;
  }
}

async function* linesOf(knex: Knex): AsyncGenerator<string> {
  const digest = createHash('sha256');
  const rows: RowCounts = {};
  const line = (value: unknown) => {
    const text = `${JSON.stringify(value)}\n`;
    digest.update(text);
    return text;
  };
  yield line({ format: FORMAT, madeAt: new Date().toISOString(), migrations: [...migrationNames] } satisfies Header);
  for (const table of Object.keys(TABLES)) {
    rows[table] = 0;
    for await (const row of rowsOf(knex, table)) {
      rows[table] += 1;
      yield line({ table, row });
    }
  }
  yield `${JSON.stringify({ rows, digest: digest.digest('hex') })}\n`;
}

/**
 * Writes everything that is kept into a file, as it is at one moment, and reads the file again from beginning to end
 * before it gets its name.
 */
export async function writeBackup(file: string): Promise<CheckedBackup> {
  const unfinished = `${file}.part`;
  try {
    await database().transaction(
      async (knex) => {
        await pipeline(Readable.from(linesOf(knex)), createGzip(), createWriteStream(unfinished, { mode: 0o600 }));
      },
      { isolationLevel: 'repeatable read' },
    );
    const checked = await checkBackup(unfinished);
    renameSync(unfinished, file);
    return checked;
  } catch (error) {
    rmSync(unfinished, { force: true });
    throw error;
  }
}

const parsed = (line: string, file: string): Record<string, unknown> => {
  try {
    return JSON.parse(line) as Record<string, unknown>;
  } catch {
    throw new BackupRefusal(`${file} is damaged: a line of it does not read. Take another backup.`);
  }
};

function headerOf(line: string, file: string): Header {
  const notOurs = () => new BackupRefusal(`${file} is not a backup of Shingle.`);
  let value: unknown;
  try {
    value = JSON.parse(line);
  } catch {
    throw notOurs();
  }
  const checked = headerSchema.validate(value, { allowUnknown: true });
  if (checked.error || !checked.value.format.startsWith('shingle-backup/')) throw notOurs();
  const { format, migrations } = checked.value;
  const later = migrations.filter((name) => !migrationNames.includes(name));
  if (format !== FORMAT || later.length > 0)
    throw new BackupRefusal(
      `${file} was made by a later version of Shingle (${[...(format === FORMAT ? [] : [format]), ...later].join(', ')}). Restore it with that version.`,
    );
  return checked.value;
}

/** Lines of a packed file; what is not packed as ours is said so. */
async function* unpacked(file: string): AsyncGenerator<string> {
  const source = createReadStream(file);
  const text = source.pipe(createGunzip());
  source.on('error', (error) => text.destroy(error));
  try {
    yield* createInterface({ input: text, crlfDelay: Infinity });
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    if (code === 'ENOENT') throw new BackupRefusal(`${file} is not there; check its name.`);
    if (code === 'Z_DATA_ERROR' && text.bytesWritten === 0)
      throw new BackupRefusal(`${file} is not a backup of Shingle.`);
    if (code?.startsWith('Z_'))
      throw new BackupRefusal(`${file} is damaged or not a backup of Shingle: it does not unpack.`);
    throw error;
  }
}

const entrySchema = Joi.object<{ table: string; row: Row }>({
  table: Joi.valid(...Object.keys(TABLES)).required(),
  row: Joi.object().required(),
});

/**
 * Reads a backup to its end and hands its rows over; refuses what is not whole, not ours, or newer than we know.
 * @param take gets every row in the order in which it can be put back
 */
async function readBackup(
  file: string,
  take: (table: string, row: Row) => void | Promise<void>,
): Promise<CheckedBackup> {
  const digest: Hash = createHash('sha256');
  const rows: RowCounts = {};
  let header: Header | undefined;
  let ended = false;
  for await (const line of unpacked(file)) {
    if (!header) header = headerOf(line, file);
    else {
      const value = parsed(line, file);
      if ('digest' in value) {
        const same = JSON.stringify(value.rows) === JSON.stringify(rows) && value.digest === digest.digest('hex');
        if (!same) throw new BackupRefusal(`${file} is damaged: it is not what was written. Take another backup.`);
        ended = true;
        break;
      }
      const entry = entrySchema.validate(value);
      if (entry.error) throw new BackupRefusal(`${file} is damaged: ${entry.error.message}. Take another backup.`);
      const { table, row } = entry.value;
      rows[table] = (rows[table] ?? 0) + 1;
      await take(table, row);
    }
    digest.update(`${line}\n`);
    if (header) for (const table of Object.keys(TABLES)) rows[table] ??= 0;
  }
  if (!header || !ended) throw new BackupRefusal(`${file} is damaged: its end is missing. Take another backup.`);
  return { madeAt: header.madeAt, rows };
}

/** Reads a backup from beginning to end, and puts nothing back. */
export const checkBackup = (file: string): Promise<CheckedBackup> => readBackup(file, () => undefined);

/** How many runs and bars the database holds: what a restore would overwrite. */
export async function kept(): Promise<{ runs: number; bars: number }> {
  const count = async (table: string) =>
    Number((await database()(table).count<{ n: number }[]>({ n: '*' }))[0]?.n ?? 0);
  return { runs: await count('runs'), bars: await count('stock_items') };
}

/** Puts back the rows of a backup in place of what is there: all of it, or nothing. */
async function putBack(file: string, knex: Knex): Promise<void> {
  // Rows come in an order that holds; a bar that was cut from another may still come before it.
  await knex.raw('set foreign_key_checks = 0');
  try {
    for (const table of ['sessions', ...Object.keys(TABLES).reverse()]) await knex(table).delete();
    let [waiting, of]: [Row[], string] = [[], ''];
    const write = async () => {
      if (waiting.length > 0) await knex(of).insert(waiting);
      waiting = [];
    };
    await readBackup(file, async (table, row) => {
      if (table !== of || waiting.length >= atOnce(table)) await write();
      of = table;
      waiting.push(row);
    });
    await write();
    await wantAnew(knex);
  } finally {
    await knex.raw('set foreign_key_checks = 1');
  }
}

/**
 * Puts a backup back. It is read to its end first; where the database holds work, that is only replaced when told so.
 * Whoever looks meanwhile sees what was before, until all of it is there.
 */
export async function restoreBackup(file: string, { replace }: { replace: boolean }): Promise<CheckedBackup> {
  const checked = await checkBackup(file);
  const { runs, bars } = await kept();
  if (runs + bars > 0 && !replace)
    throw new BackupRefusal(
      `The database holds ${runs} runs and ${bars} bars, which a restore takes away. Say --replace to have them replaced; they are backed up before.`,
    );
  await replacing(database(), () => database().transaction((knex) => putBack(file, knex)));
  return checked;
}
