// `npm run hostile`: 10,000 seeded hostile inputs: shop files, drawings and requests in Node, photos in the real
// browser. None may be accepted that cannot be shown, none throws, none takes over 2 s or 500 MB. Prints one table.
import process from 'node:process';
import { chromium } from '@playwright/test';
import {
  CHROMIUM,
  ensureBuilt,
  ensureChromium,
  ensureInstalled,
  startServer,
} from './lib/prepare.mjs';
import { writeFigures } from './lib/figures.mjs';
import { loadTs } from './lib/loadTs.mjs';

// React warns in development and is slower there.
process.env.NODE_ENV = 'production';
const PHOTOS = 200;
const total = Number(process.argv[2] ?? 10_000);
const seed = Number(process.argv[3] ?? Math.floor(Date.now() / 86_400_000));

ensureInstalled();
ensureChromium();
ensureBuilt();
const { HOSTILE_LIMITS, hostilePhoto, runHostile } = await loadTs('src/test/hostile/run.ts');
const rows = await runHostile(total - PHOTOS, seed);

/** Photos that are none, or were cut, filled or said to be larger than they are: told at the field, or shown. */
async function photos() {
  const { origin, close } = await startServer(4196);
  const browser = await chromium.launch({
    executablePath: CHROMIUM,
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-sync'],
  });
  const page = await browser.newPage();
  const row = {
    what: 'photos',
    inputs: PHOTOS,
    accepted: 0,
    refused: 0,
    slowestMs: 0,
    largestBytes: 0,
    wrong: [],
  };
  const troubles = [];
  page.on('pageerror', (error) => troubles.push(error.message));
  page.on('crash', () => troubles.push('the page crashed'));
  await page.goto(`${origin}/?shop=demo`);
  await page.getByRole('link', { name: 'Pieces' }).click();
  await page.getByRole('heading', { level: 2, name: 'Relief map' }).click();
  await page.getByRole('link', { name: /inspect/i }).click();
  const field = page.getByLabel('Photo', { exact: true });
  await field.waitFor();
  for (let i = 0; i < PHOTOS; i += 1) {
    const { name, bytes } = hostilePhoto((seed + 5) * 1_000_000 + i);
    const from = performance.now();
    await field.setInputFiles({ name, mimeType: 'image/png', buffer: Buffer.from(bytes) });
    const ready = page.getByRole('button', { name: 'Note it in the log' });
    const late = await ready.waitFor({ timeout: 10_000 }).catch(() => 'it is never done');
    const ms = performance.now() - from;
    row.slowestMs = Math.max(row.slowestMs, ms);
    const told = await page
      .getByRole('alert')
      .filter({ hasText: /picture/ })
      .count();
    if (told > 0) row.refused += 1;
    else row.accepted += 1;
    if (late) row.wrong.push(`${i}: ${late}`);
    if (ms > HOSTILE_LIMITS.ms) row.wrong.push(`${i}: took ${Math.round(ms)} ms`);
  }
  row.wrong.push(...troubles);
  await browser.close();
  close();
  return row;
}
rows.push(await photos());

const table = rows.map(({ what, inputs, accepted, refused, slowestMs, largestBytes, wrong }) => ({
  what,
  inputs,
  accepted,
  refused,
  'slowest, ms': Math.round(slowestMs),
  'largest, MB': Math.round(largestBytes / 1e6),
  wrong: wrong.length,
}));
console.table(table);
for (const { what, wrong } of rows) for (const w of wrong.slice(0, 20)) console.log(`${what} ${w}`);
writeFigures('hostile', [
  ...rows.map((r) => ({
    name: `hostile: ${r.what}, wrong of ${r.inputs} (${r.accepted} accepted)`,
    figure: r.wrong.length,
    unit: 'inputs',
    limit: '<= 0',
  })),
  {
    name: 'hostile: slowest input',
    figure: Math.round(Math.max(...rows.map((r) => r.slowestMs))),
    unit: 'ms',
    limit: '<= 2000',
  },
  {
    name: 'hostile: largest input',
    figure: Math.round(Math.max(...rows.map((r) => r.largestBytes)) / 1e6),
    unit: 'MB',
    limit: '<= 500',
  },
]);
process.exit(rows.some((r) => r.wrong.length > 0) ? 1 : 0);
