import { execFile } from 'node:child_process';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { database } from '../../src/server/database';

const project = join(import.meta.dirname, '../..');
const execute = promisify(execFile);

/** The address of an empty database of its own beside the one of the test run. */
export async function scratchDatabase(name: string): Promise<string> {
  await database().raw('drop database if exists ??', [`shingle_try_${name}`]);
  await database().raw('create database ?? character set utf8mb4', [`shingle_try_${name}`]);
  return (process.env.DATABASE_URL ?? '').replace(/\/shingle$/, `/shingle_try_${name}`);
}

/** How a program ended, and what it said. */
export interface Ended {
  code: number;
  out: string;
  err: string;
}

/** Runs a program of ours against a database. */
export async function runAgainst(url: string, file: string, ...words: string[]): Promise<Ended> {
  try {
    const { stdout, stderr } = await execute(process.execPath, ['--import', 'tsx', join(project, file), ...words], {
      cwd: project,
      env: { ...process.env, DATABASE_URL: url },
    });
    return { code: 0, out: stdout, err: stderr };
  } catch (error) {
    const { code = 1, stdout = '', stderr = '' } = error as { code?: number; stdout?: string; stderr?: string };
    return { code, out: stdout, err: stderr };
  }
}

/** The command line. */
export const shingle = (url: string, ...words: string[]): Promise<Ended> =>
  runAgainst(url, 'src/cli/shingle.ts', ...words);
