import { rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import languages from './languages.cjs';
import { alone, digest, made, peek, project } from './folder.mjs';
import { keepGoing } from './keepGoing.mjs';
import { mustRun, PATIENCE, start, until } from './processes.mjs';
import { Refusal, say } from './say.mjs';

const { languageNames } = languages;

/** What the build is made from, and what makes it. */
const SOURCES = ['src', 'tsconfig.json'];
const MAKERS = ['next.config.ts', 'package-lock.json', 'scripts/lib/oneLanguage.cjs'];
const SAYERS = ['inLanguage', 'wordings'].map((name) => `scripts/lib/${name}.cjs`);

/** What says the sources in the language that is asked for; nothing for English. */
function sayers() {
  const name = process.env.SHINGLE_LANGUAGE;
  if (!name) return [];
  if (!languageNames().includes(name))
    throw new Refusal(
      `SHINGLE_LANGUAGE is “${name}”, and languages/ has ${languageNames().join(', ')}. Begin it with npm run languages -- ${name}.`,
    );
  return [...SAYERS, `languages/${name}.json`];
}

const NEXT = join(project, 'node_modules/next/dist/bin/next');

/** A production build in a folder of its own, when what it was made from has changed. */
export const ensureBuild = (name) =>
  alone(`build-${name}`, async () => {
    const folder = `.shingle/build-${name}`;
    const stamp = join(made, `build-${name}.stamp`);
    const makers = digest(...MAKERS, ...sayers());
    const wanted = `${makers} ${digest(...SOURCES)}`;
    if (peek(stamp) === wanted && peek(join(project, folder, 'BUILD_ID'))) return { folder, note: 'up to date' };
    // What other makers have left half done is not gone on with: the bundler would call them again.
    if (!peek(stamp)?.startsWith(makers)) rmSync(join(project, folder, 'cache'), { recursive: true, force: true });
    await mustRun(process.execPath, [NEXT, 'build'], {
      cwd: project,
      env: { SHINGLE_BUILD: folder, NODE_ENV: 'production', NEXT_TELEMETRY_DISABLED: '1' },
    });
    writeFileSync(stamp, `${makers} ${digest(...SOURCES)}`);
    return { folder, note: 'made' };
  });

/** What the server, and the process that keeps its figures, are told. */
const settings = (folder, url) => ({
  SHINGLE_BUILD: folder,
  DATABASE_URL: url,
  // Figures that another planner has planned are planned again.
  SHINGLE_PLANNER: digest('src/core'),
  NODE_ENV: 'production',
  NEXT_TELEMETRY_DISABLED: '1',
});

/** What a child says of errors goes on to the terminal; its last words are kept for a refusal. */
function listening() {
  let words = '';
  return {
    onOutput: (text) => {
      words = (words + text).slice(-4000);
      if (/error|bug \d|trouble/i.test(text)) say(text, process.stderr);
    },
    lastWords: () => words,
  };
}

/** Whether the server is there: it answers without asking the database. */
const answers = async (port) =>
  (await fetch(`http://127.0.0.1:${port}/api/alive`, { signal: AbortSignal.timeout(12_000) })).ok;

/**
 * The server on loopback, and on the network where that was asked for; with it the process that keeps the figures of
 * the lists. Both end when told, and are begun again when they end by themselves.
 */
export async function startServer({ folder, port, url, env = {} }) {
  const ids = {};
  const begin = async () => {
    const { onOutput, lastWords } = listening();
    const server = start(process.execPath, [join(project, 'scripts/serve.mjs')], {
      cwd: project,
      env: { ...settings(folder, url), PORT: String(port), ...env },
      onOutput,
    });
    await until(
      async () => server.exitCode !== null || (await answers(port).catch(() => false)),
      PATIENCE,
      () => `The server did not answer within ${PATIENCE} s.\n${lastWords()}`,
    );
    if (server.exitCode !== null) throw new Refusal(`The server ended as it started:\n${lastWords()}`);
    ids.server = server.pid;
    return server;
  };
  await keepGoing('the server', begin, () => answers(port));
  const keeper = async () => {
    const { onOutput } = listening();
    return start(process.execPath, ['--import', 'tsx', join(project, 'src/server/keepFigures.ts')], {
      cwd: project,
      env: settings(folder, url),
      onOutput,
    });
  };
  await keepGoing('the keeper of figures', keeper, async () => true);
  return ids;
}
