// Serves the built application on 127.0.0.1; says clearly when the port is taken.
import process from 'node:process';
import { ensurePortFree, portOf, startServer } from './lib/prepare.mjs';

const port = portOf(4180);
await ensurePortFree(port);
const { origin, server, close } = await startServer(port, ['ignore', 'ignore', 'inherit']);
console.log(
  `\n  Bilamina       ${origin}\n  The demo shop  ${origin}/?shop=demo\n\n  Ctrl+C ends it.`,
);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, close);
server.on('exit', (code) => process.exit(code ?? 0));
