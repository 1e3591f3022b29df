import { randomInt, randomUUID } from 'node:crypto';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBrowser, startApplication } from './lib/application.mjs';
import { bundle } from './lib/bundle.mjs';
import { project } from './lib/folder.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { closeAll, closeOnSignals, mustRun, run } from './lib/processes.mjs';
import { main, say, step } from './lib/say.mjs';

/** How much of each; a first word on the command line divides it, to try the torture itself. */
const SHARE = 1 / Number(process.argv[2] ?? 1);
const INPUTS = Math.round(10_000 * SHARE);
const REQUESTS = Math.round(2000 * SHARE);
const ROUNDS = Math.round(100 * SHARE);
const KILLS = Math.round(24 * SHARE);
const SLOW_MS = 2000;

const rows = [];
let broken = 0;
const row = (what, figures, holds) => {
  rows.push([what, figures, holds ? 'holds' : 'DOES NOT HOLD']);
  if (!holds) broken += 1;
};

/** Every kind of input, many times over. */
async function fuzz() {
  const kinds = JSON.parse(
    await mustRun(process.execPath, [await bundle('torture/fuzz'), `${INPUTS}`], { cwd: project }),
  );
  for (const { name, count, through, refused, broken: bad, slow, longest, first } of kinds) {
    if (first) say(`${first}\n`);
    const enough = name !== 'run files' || through >= count / 2;
    row(
      `${count} ${name}`,
      `${through} went through, ${refused} refused in words, ${bad} broke, longest ${longest.toFixed(0)} ms`,
      bad === 0 && slow === 0 && enough,
    );
  }
}

/** Routes: every grip of fifty small parts tried, and 2 000 parts that are known to have a route. */
async function routes() {
  const tests = ['src/core/plan/brute.test.ts', 'src/core/plan/makeable.test.ts'];
  const { code, output } = await run(join(project, 'node_modules/.bin/jest'), tests, {
    cwd: project,
    env: { SHINGLE_TORTURE: '1' },
  });
  row('50 small parts by every grip, 2 000 that can be made', /Tests:.*/.exec(output)?.[0] ?? 'no tests', code === 0);
}

const PATHS = [
  '/',
  '/rack',
  '/rack/cuts',
  '/shop',
  '/devices',
  '/sign-in',
  '/runs/1',
  '/runs/x',
  '/runs/999999',
  '/no',
];
const WRITES = [
  ['POST', '/api/runs'],
  ['PUT', '/api/runs/1'],
  ['POST', '/api/import'],
  ['POST', '/api/rack'],
  ['POST', '/api/rack/1'],
  ['POST', '/api/rack/levels'],
  ['PUT', '/api/shop'],
  ['POST', '/api/shop/preview'],
  ['POST', '/api/keys'],
  ['DELETE', '/api/keys/9999'],
  ['PUT', '/api/passcode'],
];

/** Requests of every kind with every kind of body: no answer is a fault, a trace, or late. */
async function requests(address) {
  const bodies = JSON.parse(
    await mustRun(process.execPath, [await bundle('torture/bodies'), `${REQUESTS}`], { cwd: project }),
  );
  const statuses = new Map();
  let [bad, longest] = [0, 0];
  for (let index = 0; index < REQUESTS; index += 1) {
    const writes = randomInt(4) > 0;
    const [method, path] = writes ? WRITES[randomInt(WRITES.length)] : ['GET', PATHS[randomInt(PATHS.length)]];
    const query =
      randomInt(3) === 0
        ? `?find=${encodeURIComponent(bodies[index].slice(0, 40).toWellFormed())}&page=${randomInt(-5, 99)}&order=x`
        : '';
    const from = performance.now();
    const response = await fetch(address + path + query, {
      method,
      redirect: 'manual',
      ...(writes
        ? {
            headers: {
              origin: randomInt(9) > 0 ? address : 'http://other.example',
              'content-type': randomInt(9) > 0 ? 'application/json' : 'text/plain',
            },
            ...(method === 'DELETE' ? {} : { body: bodies[index] }),
          }
        : {}),
    });
    const text = await response.text();
    const took = performance.now() - from;
    longest = Math.max(longest, took);
    statuses.set(response.status, (statuses.get(response.status) ?? 0) + 1);
    if (response.status >= 500 || /\n\s+at \w/.test(text) || took > SLOW_MS) {
      bad += 1;
      say(
        `${method} ${path}${query} ${response.status} ${took.toFixed(0)} ms: ${text.slice(0, 200)}\n${bodies[index].slice(0, 300)}\n`,
      );
    }
  }
  const told = [...statuses]
    .sort(([a], [b]) => a - b)
    .map(([status, count]) => `${count} × ${status}`)
    .join(', ');
  row(`${REQUESTS} requests`, `${told}; longest ${longest.toFixed(0)} ms`, bad === 0);
}

const asPage = (address, method, path, body) =>
  fetch(address + path, {
    method,
    headers: { origin: address, 'content-type': 'application/json' },
    body: JSON.stringify(body),
    signal: AbortSignal.timeout(20_000),
  });

const fileOf = (number, quantity, name) => ({
  format: 'shingle-run/1',
  units: 'mm',
  quantity: String(quantity),
  part: { number, name, material: 'brass-cw614n', outside: [{ shape: 'cylinder', diameter: '12', length: '30' }] },
});

async function made(address, number) {
  const answer = await asPage(address, 'POST', '/api/runs', { file: fileOf(number, 1, '') });
  return (await answer.json()).run.id;
}

/** Runs of one part saved by many at the same moment. */
async function races(address) {
  for (const clients of [2, 20]) {
    const ids = [];
    for (let client = 0; client < clients; client += 1) ids.push(await made(address, `WS-RACE-${clients}`));
    let saved = 0;
    const rounds = clients === 2 ? ROUNDS : Math.ceil(ROUNDS / 5);
    for (let round = 1; round <= rounds; round += 1) {
      const answers = await Promise.all(
        ids.map((id, client) =>
          asPage(address, 'PUT', `/api/runs/${id}`, {
            base: round,
            file: fileOf(`WS-RACE-${clients}`, round, `of ${client} in round ${round}`),
          }),
        ),
      );
      saved += answers.filter(({ status }) => status === 200).length;
    }
    row(
      `${rounds} rounds of ${clients} clients, one part`,
      `${saved} of ${rounds * clients} saved`,
      saved === rounds * clients,
    );
  }
}

/** What is killed, and how. */
const VICTIMS = [
  ['mariadbd', 'SIGKILL'],
  ['serve.mjs', 'SIGKILL'],
  ['mariadbd', 'SIGTERM'],
  ['keepFigures', 'SIGKILL'],
];

/** Ids of our own children of a kind. */
async function ours(name) {
  const { output } = await run('pgrep', ['-P', String(process.pid), '-f', name]);
  return output.split('\n').map(Number).filter(Boolean);
}

const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/** Sends what happens at a lathe as a device does, five at a time and each until it is acknowledged. @returns their names, in order */
async function sendEvents(address, run, isOver) {
  const acknowledged = [];
  let sentAgain = 0;
  while (!isOver()) {
    const events = Array.from({ length: 5 }, (_, index) => ({
      id: randomUUID(),
      device: 'tablet',
      seq: acknowledged.length + index,
      at: new Date().toISOString(),
      revision: 1,
      piece: 1,
      operation: 'load',
      kind: 'done',
    }));
    const isKept = () =>
      asPage(address, 'POST', `/api/runs/${run}/events`, { events })
        .then(({ ok }) => ok)
        .catch(() => false);
    while (!(await isKept())) {
      sentAgain += 1;
      await pause(20);
    }
    acknowledged.push(...events.map(({ id }) => id));
  }
  return { acknowledged, sentAgain };
}

/** Kills parts of the application while somebody saves and sends all the time: nothing that was acknowledged is lost, or kept twice. */
async function kills(address) {
  const id = await made(address, 'WS-KILL');
  let [base, acknowledged, failed, over, killed] = [1, 0, 0, false, 0];
  const saving = (async () => {
    while (!over) {
      try {
        const answer = await asPage(address, 'PUT', `/api/runs/${id}`, { base, file: fileOf('WS-KILL', base + 1, '') });
        const { run: saved, current } = await answer.json();
        if (saved) [base, acknowledged] = [saved.revision, acknowledged + 1];
        else if (current) base = current.revision;
        else failed += 1;
      } catch {
        failed += 1;
      }
      if (failed > 0) await pause(20);
    }
  })();
  const atLathe = await made(address, 'WS-KILL-SENT');
  const sending = sendEvents(address, atLathe, () => over);
  while (killed < KILLS) {
    await pause(1000 + randomInt(2500));
    const [name, signal] = VICTIMS[killed % VICTIMS.length];
    for (const pid of await ours(name)) process.kill(pid, signal);
    killed += 1;
  }
  // Back again, and then counted.
  for (let tries = 0; tries < 120; tries += 1) {
    const there = await fetch(`${address}/api/health`)
      .then(({ ok }) => ok)
      .catch(() => false);
    if (there) break;
    await pause(500);
  }
  await pause(1500);
  over = true;
  await saving;
  const { acknowledged: sent, sentAgain } = await sending;
  const { events } = await (await fetch(`${address}/api/runs/${atLathe}/events`)).json();
  row(
    `${killed} kills while what happens is sent`,
    `${sent.length} events acknowledged, ${events.length} kept, ${sentAgain} times sent again`,
    sent.length > 0 && JSON.stringify(events.map(({ id }) => id)) === JSON.stringify(sent),
  );
  const { run: last } = await (await fetch(`${address}/api/runs/${id}`)).json();
  row(
    `${killed} kills of database, server and keeper`,
    `${acknowledged} saves acknowledged, revision ${last.revision} kept, ${failed} refused meanwhile`,
    last.revision >= acknowledged + 1 && Number(last.file.quantity) === last.revision,
  );
}

/** Long and rough: judged by what it finds, never part of npm test. Ends with 1 when something does not hold. */
await main(async () => {
  closeOnSignals();
  try {
    await ensurePackages();
    await ensureBrowser();
    await step('inputs', fuzz);
    await step('routes', routes);
    const { address, url, network, own } = await startApplication({ lasting: true });
    await step('requests', () => requests(address));
    await step('races', () => races(address));
    await step('kills', () => kills(address));
    await step('processes and schema', async () => {
      const { code, output } = await run(
        join(project, 'node_modules/.bin/playwright'),
        ['test', 'tests/server/processes.spec.ts', 'tests/server/schema.spec.ts'],
        {
          cwd: project,
          env: { BASE_URL: address, NETWORK_URL: network, DATABASE_URL: url, TEST_FOLDER: own, SHINGLE_TORTURE: '1' },
        },
      );
      row(
        'a kill before every statement of a migration; ends of commands; frozen database',
        /\d+ passed.*/.exec(output)?.[0] ?? 'none passed',
        code === 0,
      );
    });
    const widths = [0, 1].map((column) => Math.max(...rows.map((cells) => cells[column].length)));
    say(`\n${rows.map((cells) => cells.map((cell, at) => cell.padEnd(widths[at] ?? 0)).join('   ')).join('\n')}\n`);
    rmSync(own, { recursive: true, force: true });
    return broken > 0 ? 1 : 0;
  } finally {
    await closeAll();
  }
});
