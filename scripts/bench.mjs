// `npm run bench`: figures of every `*.bench.ts`, what the first screen weighs, how fast the main path
// answers, and a 12-megapixel photo traced in the browser. Writes docs/bench.json. Limits of times are meant for the
// machine at its best: `atBest` is what a figure comes to there, by fixed work that is timed before and after it.
import { gzipSync } from 'node:zlib';
import { readdirSync, readFileSync } from 'node:fs';
import process from 'node:process';
import path from 'node:path';
import { chromium } from '@playwright/test';
import {
  CHROMIUM,
  ensureBuilt,
  ensureChromium,
  ensureInstalled,
  startServer,
} from './lib/prepare.mjs';
import { writeFigures } from './lib/figures.mjs';
import { largeShopRows } from './lib/large.mjs';
import { loadTs, markPhoto } from './lib/loadTs.mjs';
import { withSpeed } from './lib/speed.mjs';
import { median, STEPS, walk, watchLongTasks } from './lib/taps.mjs';

if (process.argv[2] === 'gate') {
  const { minutes, atBest } = JSON.parse(readFileSync('test-results/gate.json', 'utf8'));
  const row = { figure: Number(minutes.toFixed(1)), unit: 'min', limit: '<= 10' };
  writeFigures('gate', [
    { name: 'gate: the whole of it', ...row, atBest: Number(atBest.toFixed(1)) },
  ]);
  process.exit(0);
}
ensureInstalled();
ensureChromium();
ensureBuilt();
const { origin, close } = await startServer(4197);
const browser = await chromium.launch({
  executablePath: CHROMIUM,
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-sync'],
});
const rows = [];
const parted = withSpeed(rows);
const add = (name, figure, unit, limit) =>
  rows.push({ name, figure, unit, ...(limit && { limit }) });

/** Gzipped JavaScript that a fresh browser loads for one address, kB of 1000 bytes. */
async function weight(path, ready) {
  const context = await browser.newContext();
  const page = await context.newPage();
  const sizes = new Map();
  page.on('response', async (response) => {
    if (!/javascript/.test(response.headers()['content-type'] ?? '')) return;
    const body = await response.body().catch(() => Buffer.alloc(0));
    sizes.set(response.url(), gzipSync(body, { level: 9 }).length);
  });
  await page.goto(origin + path);
  await page.getByRole('heading', { level: 1, name: ready }).waitFor();
  await page.waitForLoadState('networkidle');
  await context.close();
  return [...sizes.values()].reduce((sum, n) => sum + n, 0) / 1000;
}

add(
  'first screen, JavaScript gzipped',
  Math.round(await weight('/', 'The bench is empty')),
  'kB',
  '<= 330',
);
add('book, JavaScript gzipped', Math.round(await weight('/book', 'Book')), 'kB');
add(
  'new data sheet, JavaScript gzipped',
  Math.round(await weight('/resins/new', 'New data sheet')),
  'kB',
);

const walks = [];
for (let i = 0; i < 3; i += 1) walks.push(await walk(browser, origin));
const taps = STEPS.map(([button], i) => ({ button, ms: median(walks.map((w) => w[i])) }));
add(
  'slowest tap of the main path, median of 3',
  Math.round(Math.max(...taps.map((t) => t.ms))),
  'ms',
  '<= 80',
);
add(
  'middle tap of the main path, median of 3',
  Math.round(median(taps.map((t) => t.ms))),
  'ms',
  '<= 35',
);
parted();

/** Traces a photo of 12 megapixels: seconds in the worker, and the longest task of the page meanwhile. */
async function traceLarge() {
  const { photoFile } = await loadTs('src/demo/test/scenes.ts');
  const width = 4000;
  const photo = photoFile(7, width);
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await watchLongTasks(page);
  await page.goto(`${origin}/pieces/new`);
  await markPhoto(page, photo, width);
  await page.evaluate(() => (window.longTasks.length = 0));
  const from = performance.now();
  await page.getByRole('button', { name: /Find the edge/ }).click();
  await page.getByRole('button', { name: /Area traced/ }).waitFor({ timeout: 60_000 });
  const ms = performance.now() - from;
  const longest = await page.evaluate(() => Math.max(0, ...window.longTasks));
  await context.close();
  return { ms, longest };
}
const large = await traceLarge();
add('12-megapixel photo traced', Number((large.ms / 1000).toFixed(1)), 's', '<= 4');
add(
  'longest task of the page meanwhile (under 50 ms counts as 0)',
  Math.round(large.longest),
  'ms',
  '<= 100',
);
parted();

/** Frames while the surface of a coat is dragged: ms each, with ledger, map, checks and lifts following. */
async function dragFrames(openCoat) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.goto(`${origin}/?shop=demo`);
  await openCoat(page);
  const box = await page.getByRole('slider', { name: /^Thickness of/ }).boundingBox();
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let i = 0; i < 20; i += 1) await page.mouse.move(x, y + (i % 2) * 3);
  await page.evaluate(() => {
    window.dragFrames = [];
    let last = performance.now();
    const next = (now) => {
      window.dragFrames.push(now - last);
      last = now;
      window.frameLoop = requestAnimationFrame(next);
    };
    window.frameLoop = requestAnimationFrame(next);
  });
  for (let i = 0; i < 150; i += 1) {
    await page.mouse.move(x, y - 30 * Math.sin(i / 12));
    await page.waitForTimeout(12);
  }
  const frames = await page.evaluate(() => {
    cancelAnimationFrame(window.frameLoop);
    return window.dragFrames.slice(1).sort((a, b) => a - b);
  });
  await page.mouse.up();
  await context.close();
  return frames;
}
const plain = async (page) => {
  await page.getByRole('link', { name: /Flood 2, Viaduct/ }).click();
  await page.getByRole('status').filter({ hasText: ' the rim' }).waitFor();
};
/** The flood over four cells and their lines: the demo's face of most places. */
const cut = async (page) => {
  await page.getByRole('link', { name: 'Pieces' }).click();
  await page.getByRole('heading', { name: 'Buffer-beam roundel' }).click();
  const stages = page.getByRole('navigation', { name: 'Stages of the piece' });
  await stages.getByRole('link', { name: /coats/i }).click();
  await page
    .getByRole('button', { name: /^Flood over all/ })
    .first()
    .click();
  await page.getByRole('slider', { name: /^Thickness of Flood over all/ }).waitFor();
};
for (const [where, openCoat] of [
  ['', plain],
  [' over four cells', cut],
]) {
  const frames = await dragFrames(openCoat);
  add(
    `frame while a surface is dragged${where}, 95 % of ${frames.length}`,
    Number(frames[Math.floor(frames.length * 0.95)].toFixed(1)),
    'ms',
    '< 20',
  );
}
parted();
rows.push(...(await largeShopRows(origin)));
parted();
await browser.close();
close();
const benches = readdirSync('src', { recursive: true })
  .map((file) => path.join('src', String(file)))
  .filter((file) => file.endsWith('.bench.ts'))
  .sort();
for (const file of benches) {
  const { rows: measured } = await loadTs(file);
  rows.push(...(await measured()));
}
add('the machine, against its best', Number(parted().toFixed(2)), 'times as long');
console.table(rows);
console.log(taps.map((t) => `${t.button}: ${t.ms.toFixed(0)} ms`).join('\n'));
writeFigures(null, rows);
