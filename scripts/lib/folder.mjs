import { createHash } from 'node:crypto';
import { mkdirSync, openSync, closeSync, readFileSync, readdirSync, rmSync, statSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { alive } from './processes.mjs';

/** The project's folder, and the one in it for everything that is made. */
export const project = fileURLToPath(new URL('../..', import.meta.url)).replace(/\/$/, '');
export const made = join(project, '.shingle');

/** Reads a small file, or undefined. */
export function peek(file) {
  try {
    return readFileSync(file, 'utf8');
  } catch {
    return undefined;
  }
}

/** Does something that two commands must not do at the same time; the second waits. */
export async function alone(name, work) {
  mkdirSync(made, { recursive: true });
  const file = join(made, `${name}.lock`);
  for (;;) {
    try {
      const handle = openSync(file, 'wx');
      writeSync(handle, String(process.pid));
      closeSync(handle);
      break;
    } catch (error) {
      if (error.code !== 'EEXIST') throw error;
      const owner = Number(peek(file));
      if (owner && !alive(owner)) rmSync(file, { force: true });
      else await new Promise((resolve) => setTimeout(resolve, 250));
    }
  }
  try {
    return await work();
  } finally {
    rmSync(file, { force: true });
  }
}

const files = (path) =>
  statSync(path).isDirectory()
    ? readdirSync(path)
        .sort()
        .flatMap((name) => files(join(path, name)))
    : [path];

/** A digest of files and folders of the project, to know whether what was made from them is stale. */
export function digest(...paths) {
  const hash = createHash('sha256');
  for (const path of paths.flatMap((name) => files(join(project, name))))
    hash.update(path.slice(project.length)).update(readFileSync(path));
  return hash.digest('hex');
}
