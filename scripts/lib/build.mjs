import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { alone, digest, made, peek, project } from './folder.mjs';
import { mustRun, start, until, listens, end, atEnd } from './processes.mjs';
import { Refusal } from './say.mjs';

const SOURCES = ['src', 'next.config.ts', 'package-lock.json', 'tsconfig.json'];
const NEXT = join(project, 'node_modules/next/dist/bin/next');

/** A production build in a folder of its own, when what it was made from has changed. */
export const ensureBuild = (name) =>
  alone(`build-${name}`, async () => {
    const folder = `.shingle/build-${name}`;
    const stamp = join(made, `build-${name}.stamp`);
    const wanted = digest(...SOURCES);
    if (peek(stamp) === wanted && peek(join(project, folder, 'BUILD_ID'))) return { folder, note: 'up to date' };
    await mustRun(process.execPath, [NEXT, 'build'], {
      cwd: project,
      env: { SHINGLE_BUILD: folder, NODE_ENV: 'production', NEXT_TELEMETRY_DISABLED: '1' },
    });
    writeFileSync(stamp, digest(...SOURCES));
    return { folder, note: 'made' };
  });

/** The server on loopback; one process that ends when told. */
export async function startServer({ folder, port, url }) {
  let output = '';
  const server = start(process.execPath, [NEXT, 'start', '-H', '127.0.0.1', '-p', String(port)], {
    cwd: project,
    env: { SHINGLE_BUILD: folder, DATABASE_URL: url, NODE_ENV: 'production', NEXT_TELEMETRY_DISABLED: '1' },
    onOutput: (text) => {
      output = (output + text).slice(-4000);
      if (/error/i.test(text)) process.stderr.write(text);
    },
  });
  atEnd(() => end(server));
  await until(
    async () => server.exitCode !== null || (await listens(port)),
    30,
    () => `The server did not answer within 30 s.\n${output}`,
  );
  if (server.exitCode !== null) throw new Refusal(`The server ended as it started:\n${output}`);
  // The first board plans every run; better now than when somebody waits for it. What is wrong with it, it says itself.
  await fetch(`http://127.0.0.1:${port}/`).catch(() => undefined);
  return server;
}
