// Serves the built application on 127.0.0.1; says clearly when the port is taken.
import { spawn } from 'node:child_process';
import { createServer } from 'node:net';
import process from 'node:process';

const port = Number(process.env.PORT ?? 4180);
if (!Number.isInteger(port) || port < 1 || port > 65535) {
  console.error(`PORT is “${process.env.PORT}”: it must be a number from 1 to 65535.`);
  process.exit(1);
}

const free = await new Promise((resolve) => {
  const probe = createServer();
  probe.once('error', () => resolve(false));
  probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
});
if (!free) {
  console.error(`Port ${port} is taken. Choose another: PORT=4181 npm run demo`);
  process.exit(1);
}

const server = spawn(
  process.execPath,
  ['node_modules/next/dist/bin/next', 'start', '--hostname', '127.0.0.1', '--port', String(port)],
  {
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1' },
  },
);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
