import { createServer } from 'node:http';
import next from 'next';

/** The server itself: one process, on loopback, that ends when told or when the command that started it is gone. */
const port = Number(process.env.PORT);
const app = next({ dev: false, dir: new URL('..', import.meta.url).pathname, hostname: '127.0.0.1', port });
await app.prepare();
const handle = app.getRequestHandler();

const server = createServer((request, response) => void handle(request, response));
server.listen(port, '127.0.0.1');

const stop = () => {
  server.close();
  server.closeAllConnections();
  process.exit(0);
};
for (const signal of ['SIGTERM', 'SIGINT', 'SIGHUP']) process.on(signal, stop);
const parent = process.ppid;
setInterval(() => process.ppid !== parent && stop(), 1000).unref();
