import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readdirSync, statSync } from 'node:fs';
import { createServer } from 'node:net';
import path from 'node:path';
import process from 'node:process';

export const CHROMIUM = '/usr/bin/chromium';
const ENV = { ...process.env, NEXT_TELEMETRY_DISABLED: '1' };

/** Runs a command with its output shown; true when it succeeded. */
export function run(command, args, env = {}) {
  const { status } = spawnSync(command, args, { stdio: 'inherit', env: { ...ENV, ...env } });
  return status === 0;
}

/** Runs a command of a package in node_modules. */
export const runBin = (bin, args, env) => run(path.join('node_modules', '.bin', bin), args, env);

/** Runs commands of packages one after the other, without stopping for a failure; gives back what they print. */
export async function runQuietly(commands) {
  let [ok, output] = [true, ''];
  for (const [bin, ...args] of commands) {
    const program = bin === 'node' ? process.execPath : path.join('node_modules', '.bin', bin);
    const child = spawn(program, args, { env: ENV });
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (text) => (output += text));
    const code = await new Promise((resolve) => child.on('close', resolve));
    ok &&= code === 0;
  }
  return { ok, output };
}

/** Stops with a sentence for the user. */
export function stop(message) {
  console.error(`\n${message}`);
  process.exit(1);
}

export function ensureNode() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 9))
    stop(`Node 20.9 or newer is needed; this is ${process.versions.node}.`);
}

/** Installs packages when they are missing or the lockfile is newer than the last install. */
export function ensureInstalled() {
  const mark = path.join('node_modules', '.package-lock.json');
  if (existsSync(mark) && statSync(mark).mtimeMs >= statSync('package-lock.json').mtimeMs) return;
  console.log('Installing packages …');
  // Not `npm ci`: it refuses a lockfile made where optional packages of other systems are not served.
  if (!run('npm', ['install', '--no-audit', '--no-fund']))
    stop('The packages could not be installed.');
}

function newestMs(folder) {
  return Math.max(
    0,
    ...readdirSync(folder, { withFileTypes: true, recursive: true })
      .filter((entry) => entry.isFile())
      .map((entry) => statSync(path.join(entry.parentPath ?? entry.path, entry.name)).mtimeMs),
  );
}

/** Builds when there is no build or a source is newer than it. */
export function ensureBuilt() {
  const mark = path.join('.next', 'BUILD_ID');
  const sources = Math.max(
    newestMs('src'),
    newestMs('public'),
    ...['package-lock.json', 'next.config.ts', 'tsconfig.json'].map((f) => statSync(f).mtimeMs),
  );
  if (existsSync(mark) && statSync(mark).mtimeMs >= sources) return;
  console.log('Building …');
  if (!runBin('next', ['build'])) stop('The build failed.');
}

/** Chromium without a window: tests run a sixth faster in it. */
export const HEADLESS = 'chromium-headless-shell';

/**
 * Makes sure that Chromium is there: from Debian when this is root, else with a message.
 * @param name of its package and program; where there is no `HEADLESS`, the whole one does
 */
export function ensureChromium(name = 'chromium') {
  if (existsSync(`/usr/bin/${name}`)) return;
  const root = process.getuid?.() === 0;
  const apt = spawnSync('apt-get', ['--version']).status === 0;
  if (name === HEADLESS && existsSync(CHROMIUM) && !(root && apt)) return;
  if (!root || !apt)
    stop(`Browser tests need /usr/bin/${name}. On Debian, as root: apt-get install ${name}`);
  console.log('Installing Chromium from Debian …');
  run('apt-get', ['update', '-qq']);
  if (run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', name])) return;
  if (name === HEADLESS) return ensureChromium();
  stop('Chromium could not be installed from Debian.');
}

export function portOf(fallback) {
  const port = Number(process.env.PORT ?? fallback);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    stop(`PORT is “${process.env.PORT}”: it must be a number from 1 to 65535.`);
  return port;
}

export async function ensurePortFree(port) {
  const free = await new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
  });
  if (!free) stop(`Port ${port} is taken. Choose another: PORT=${port + 1} npm run demo`);
}

/** Starts the built application and waits until it answers; `close` ends it. */
export async function startServer(port, stdio = 'ignore') {
  const args = ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', String(port)];
  const server = spawn(process.execPath, args, { stdio, env: ENV });
  const origin = `http://127.0.0.1:${port}`;
  for (let tries = 0; tries < 200; tries += 1) {
    if (server.exitCode !== null) stop('The server stopped while it started.');
    if (
      await fetch(origin).then(
        (r) => r.ok,
        () => false,
      )
    )
      break;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  return { origin, server, close: () => server.kill() };
}
