import { AsyncLocalStorage } from 'node:async_hooks';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import { constants } from 'node:zlib';
import compression from 'compression';
import next from 'next';

/**
 * The server itself: one process, on loopback and, where that was asked for, with TLS on the shop's network. It ends
 * when told, or when the command that started it is gone.
 */
const port = Number(process.env.PORT);
const { SHINGLE_LISTEN: network, SHINGLE_TLS_PORT: securePort } = process.env;

const app = next({ dev: false, dir: new URL('..', import.meta.url).pathname, hostname: '127.0.0.1', port });
await app.prepare();
const handle = app.getRequestHandler();

/** Whatever answers a request says its figures as the device wants them that asks: its settings come along as a cookie. */
const asking = new AsyncLocalStorage();
globalThis.decimalMark = () => asking.getStore() ?? '.';
const markFor = ({ headers }) =>
  /shingle-settings=[^;]*%22mark%22%3A%22comma%22/.test(headers.cookie ?? '') ? ',' : '.';

/** What every answer says, whatever it is. */
const ALWAYS = { 'x-content-type-options': 'nosniff' };

/** What answers with something of the shop's say as well. */
const OF_THE_SHOP = {
  'referrer-policy': 'no-referrer',
  'x-frame-options': 'DENY',
  'cross-origin-resource-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
};

/** A worker goes by what comes with its script; pages have a policy of their own. */
const OF_A_WORKER = { 'content-security-policy': "default-src 'self'; script-src 'self' 'wasm-unsafe-eval'" };

/** What an answer says beside what it holds. What the build made is everybody's, and often asked for: it says little. */
const wordsFor = ({ url, headers }) => {
  if (!url?.startsWith('/_next/static/')) return { ...ALWAYS, ...OF_THE_SHOP };
  return headers['sec-fetch-dest'] === 'worker' ? { ...ALWAYS, ...OF_A_WORKER } : ALWAYS;
};

/** What the build made is packed small, since it is kept; an answer is packed quickly, since somebody waits for it. */
const packSmall = compression();
const packQuickly = compression({ level: 1, brotli: { params: { [constants.BROTLI_PARAM_QUALITY]: 1 } } });
const packing = ({ url }) => (url?.startsWith('/_next/static/') ? packSmall : packQuickly);

/** Takes requests of one door: which one it is, and from where they come, is said by the server alone. */
const at = (door) => (request, response) => {
  for (const name of Object.keys(request.headers)) if (name.startsWith('x-shingle-')) delete request.headers[name];
  request.headers['x-shingle-door'] = door;
  request.headers['x-shingle-from'] = request.socket.remoteAddress ?? '';
  for (const [name, value] of Object.entries(wordsFor(request))) response.setHeader(name, value);
  packing(request)(request, response, () => asking.run(markFor(request), () => void handle(request, response)));
};

/** How long a connection may lie idle, ms: longer than any browser keeps one, so that the server never hangs up first. */
const IDLE = 120_000;

const servers = [createServer({ keepAliveTimeout: IDLE }, at('loopback')).listen(port, '127.0.0.1')];
if (network)
  servers.push(
    createSecureServer(
      {
        cert: readFileSync(process.env.SHINGLE_CERTIFICATE),
        key: readFileSync(process.env.SHINGLE_CERTIFICATE_KEY),
        minVersion: 'TLSv1.2',
        keepAliveTimeout: IDLE,
      },
      at('network'),
    ).listen(Number(securePort), network),
  );
for (const server of servers)
  server.on('error', (error) => {
    console.error(`error: ${error.message}`);
    process.exit(1);
  });

const stop = () => {
  for (const server of servers) {
    server.close();
    server.closeAllConnections();
  }
  process.exit(0);
};
for (const signal of ['SIGTERM', 'SIGINT', 'SIGHUP']) process.on(signal, stop);
const parent = process.ppid;
setInterval(() => process.ppid !== parent && stop(), 1000).unref();
