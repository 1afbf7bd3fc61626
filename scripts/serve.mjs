// Serves the built application on 127.0.0.1; says clearly when the port is taken, and starts the server again
// when it dies.
import process from 'node:process';
import { ensurePortFree, portOf, startServer, stop } from './lib/prepare.mjs';

/** A server that dies more often than this within a minute is not started again. */
const MOST_DEATHS = 5;

const port = portOf(4180);
await ensurePortFree(port);
let running = null;
let ending = false;
const deaths = [];

async function serve() {
  running = await startServer(port, ['ignore', 'ignore', 'inherit']);
  running.server.on('exit', (code, signal) => {
    if (ending) process.exit(code ?? 0);
    const now = Date.now();
    deaths.push(now);
    if (deaths.filter((t) => now - t < 60_000).length > MOST_DEATHS)
      stop('The server stops again and again: it is not started any more.');
    console.error(`\n  The server stopped (${signal ?? `code ${code}`}). It is started again …`);
    serve().then(() => console.error('  It answers again. Nothing in your browser was lost.'));
  });
}

for (const signal of ['SIGINT', 'SIGTERM'])
  process.on(signal, () => {
    ending = true;
    running?.close();
  });
await serve();
console.log(
  `\n  Bilamina       ${running.origin}\n  The demo shop  ${running.origin}/?shop=demo\n\n  Ctrl+C ends it.`,
);
