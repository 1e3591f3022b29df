import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { hostname, networkInterfaces } from 'node:os';
import { join } from 'node:path';
import { createInterface } from 'node:readline';
import { Writable } from 'node:stream';
import { readPasscode } from '@/core/formats/deviceFile';
import type { CheckedBackup } from '@/server/backup';
import type { Said } from './commands';

/** Everything that a Shingle of this folder makes. */
const made = join(process.cwd(), '.shingle');

const said = (out: string): Said => ({ code: 0, out: `${out}\n`, err: '' });
const refused = (err: string): Said => ({ code: 2, out: '', err: `${err}\n` });

/** Points at the database of `DATABASE_URL`, or of the Shingle that runs from this folder. */
function findDatabase(): string | undefined {
  if (process.env.DATABASE_URL) return undefined;
  const address = join(made, 'database/address');
  if (!existsSync(address))
    return 'No database is there: start Shingle in another window with npm start, or point DATABASE_URL at a server.';
  process.env.DATABASE_URL = readFileSync(address, 'utf8').trim();
  return undefined;
}

const what = ({ rows, madeAt }: CheckedBackup): string =>
  `${rows.runs} runs, ${rows.run_revisions} revisions, ${rows.stock_items} bars, as of ${madeAt}`;

async function backup(file: string): Promise<Said> {
  const { writeBackup } = await import('@/server/backup');
  return said(`${file}: ${what(await writeBackup(file))}; written, read again and found whole`);
}

async function restore(file: string, replace: boolean): Promise<Said> {
  const { checkBackup, kept, restoreBackup, writeBackup } = await import('@/server/backup');
  const { bringUpToDate } = await import('@/server/schema');
  await checkBackup(file);
  await bringUpToDate();
  const { runs, bars } = await kept();
  let before = '';
  if (replace && runs + bars > 0) {
    const folder = join(made, 'backups');
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    before = join(folder, `before-restore-${new Date().toISOString().replace(/[:.]/g, '-')}.shingle.gz`);
    await writeBackup(before);
  }
  const restored = await restoreBackup(file, { replace });
  return said(`restored: ${what(restored)}${before && `\nwhat was there before is in ${before}`}`);
}

/** Addresses and names under which other devices reach this machine. */
const ownNames = (): string[] => [
  hostname(),
  `${hostname()}.local`,
  'localhost',
  '127.0.0.1',
  ...Object.values(networkInterfaces())
    .flat()
    .filter((address) => address?.family === 'IPv4' && !address.internal)
    .map((address) => address?.address ?? ''),
];

async function certificate(names: readonly string[]): Promise<Said> {
  const { CERTIFICATE_FILES, makeCertificate } = await import('@/server/certificate');
  const folder = join(made, 'certificate');
  const { names: held, until, authorityKept } = await makeCertificate(folder, names.length > 0 ? names : ownNames());
  return said(
    [
      `${join(folder, CERTIFICATE_FILES.certificate)}, for ${held.join(', ')}, until ${until.toISOString().slice(0, 10)}`,
      authorityKept
        ? 'Devices that trust the authority of this shop trust it already.'
        : `Each device is given ${join(folder, CERTIFICATE_FILES.authority)} once, and trusts it from then on (docs/running.md).`,
    ].join('\n'),
  );
}

/** A line of standard input; at a terminal it is asked for, and not shown as it is typed. */
function secretLine(question: string): Promise<string> {
  const terminal = process.stdin.isTTY;
  if (terminal) process.stderr.write(question);
  const nowhere = new Writable({ write: (_chunk, _encoding, done) => done() });
  const lines = createInterface({ input: process.stdin, output: nowhere, terminal });
  return new Promise((resolve) => {
    lines.once('line', (line) => {
      resolve(line);
      lines.close();
    });
    lines.once('close', () => resolve(''));
  });
}

async function passcode(): Promise<Said> {
  const read = readPasscode({ passcode: await secretLine('Passcode of the shop, not shown: ') });
  if (!read.ok) return refused(`the passcode ${read.problems[0]?.message}`);
  const { setPasscode } = await import('@/server/sessionRepository');
  await setPasscode(read.value);
  return said('the passcode is set; devices on the network sign in with it from now on');
}

/** What happened in a run, by its number in an address or by the number of its part, of which the newest run is meant. */
async function log(run: string, as: string | undefined): Promise<Said> {
  const { runOf } = await import('@/server/runList');
  const { eventsOf } = await import('@/server/latheEvents');
  const id = await runOf(run);
  if (id === undefined) return refused(`there is no run “${run}”: say the number in its address, or its part’s number`);
  const events = await eventsOf(id);
  if (as === '--json') return said(JSON.stringify({ events }, null, 2));
  const { logTable } = await import('@/core/formats/logTable');
  const { tableText } = await import('@/core/formats/table');
  return said(tableText(logTable(events)));
}

const USAGE = `usage: npm run --silent shingle -- backup FILE
       npm run --silent shingle -- restore FILE [--replace]
       npm run --silent shingle -- log RUN [--csv | --json]
       npm run --silent shingle -- passcode
       npm run --silent shingle -- certificate [NAME …]
`;

/** Commands about what the house keeps, and who comes in. */
export const HOUSE = ['backup', 'restore', 'log', 'passcode', 'certificate'];

async function answer([name, ...words]: readonly string[]): Promise<Said> {
  const [file, ...more] = words.filter((word) => word !== '--replace');
  const replace = words.includes('--replace');
  if (name === 'certificate') return certificate(words);
  const missing = findDatabase();
  if (name === 'log') {
    const [run, as, ...rest] = words;
    if (run === undefined || rest.length > 0 || (as !== undefined && as !== '--csv' && as !== '--json'))
      return { code: 2, out: '', err: USAGE };
    return missing ? refused(missing) : log(run, as);
  }
  if (name === 'passcode' && words.length === 0) return missing ? refused(missing) : passcode();
  if (file === undefined || more.length > 0 || (replace && name !== 'restore')) return { code: 2, out: '', err: USAGE };
  if (missing) return refused(missing);
  return name === 'backup' ? backup(file) : restore(file, replace);
}

/** Does one of them; what stands in its way is a sentence. */
export async function house(words: readonly string[]): Promise<Said> {
  const { closeDatabase } = await import('@/server/database');
  try {
    return await answer(words);
  } catch (error) {
    const { BackupRefusal } = await import('@/server/backup');
    const { kindOfTrouble } = await import('@/server/trouble');
    const { message, code } = error as NodeJS.ErrnoException;
    if (error instanceof BackupRefusal) return refused(message);
    if (['ENOENT', 'EACCES', 'EISDIR', 'ENOSPC', 'EROFS'].includes(code ?? '')) return refused(message);
    if (kindOfTrouble(error) === 'bug') throw error;
    return refused(`the database does not answer: ${message}. See that npm start still runs, then try again.`);
  } finally {
    await closeDatabase();
  }
}
