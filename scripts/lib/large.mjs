// How a shop of 1,000 pieces answers: import, every place, a wet tap, idle, memory, and rows read by one write.
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { chromium } from '@playwright/test';
import { loadTs } from './loadTs.mjs';
import { CHROMIUM } from './prepare.mjs';
import { settableTime, walkSteps, watchLongTasks, WET_STEPS } from './taps.mjs';

const PLACES = [
  ['Pieces', 'Pieces'],
  ['Book', 'Book'],
  ['Settings', 'Settings'],
  ['Resins', 'Resins'],
  ['Today', /\d\d:\d\d/],
];

/** Clicks what `find` gives, and counts ms until `seen` finds something and it is painted. */
const timed = (page, click, seen) =>
  page.evaluate(
    ([clickOn, wanted, source]) =>
      new Promise((resolve, reject) => {
        const [selector, words] = clickOn;
        const target = [...document.querySelectorAll(selector)].find((e) =>
          (e.getAttribute('aria-label') ?? e.textContent ?? '').includes(words),
        );
        if (!target) return reject(new Error(`nothing to click: ${words}`));
        const test = source ? new RegExp(wanted) : null;
        const start = performance.now();
        target.click();
        const look = () => {
          const heading = document.querySelector('main h1, main h2')?.textContent ?? '';
          if (test ? test.test(heading) : heading.includes(wanted))
            return requestAnimationFrame(() => resolve(performance.now() - start));
          if (performance.now() - start > 30_000)
            return reject(new Error(`no ${wanted}: ${heading}`));
          requestAnimationFrame(look);
        };
        look();
      }),
    [click, seen instanceof RegExp ? seen.source : seen, seen instanceof RegExp],
  );

const PHOTOS = { count: 300, bytes: 120_000 };

/** Photos of the first pieces, past all of the program: bytes that nothing packs. */
const putPhotos = ({ count, bytes }) =>
  new Promise((resolve, reject) => {
    const asked = indexedDB.open('bilamina');
    asked.onerror = () => reject(asked.error);
    asked.onsuccess = () => {
      const db = asked.result;
      const tx = db.transaction(['pieces', 'photos'], 'readwrite');
      tx.objectStore('pieces').getAllKeys(null, count).onsuccess = ({ target }) => {
        for (const [i, pieceId] of target.result.entries()) {
          const picture = new Uint8Array(bytes);
          for (let at = 0; at < bytes; at += 60_000)
            crypto.getRandomValues(picture.subarray(at, at + 60_000));
          const told = { id: `photo-${i}`, pieceId, defectId: null, name: `photo ${i}` };
          const size = { widthPx: 1600, heightPx: 1200, takenMs: Date.now() };
          const blob = new Blob([picture], { type: 'image/jpeg' });
          tx.objectStore('photos').put({ ...told, ...size, blob });
        }
      };
      tx.oncomplete = () => (db.close(), resolve());
      tx.onerror = () => reject(tx.error);
    };
  });

/** A profile on the disk, as users have one: what a private window keeps in memory is written twice as slowly. */
async function onDisk(work) {
  const profile = mkdtempSync(path.join(tmpdir(), 'large-'));
  const context = await chromium.launchPersistentContext(profile, {
    ...{ executablePath: CHROMIUM, args: ['--no-sandbox'] },
    ...{ viewport: { width: 1280, height: 800 }, locale: 'en-GB', serviceWorkers: 'block' },
  });
  await work(context.pages()[0], context);
  await context.close();
  rmSync(profile, { recursive: true, force: true });
}

const seconds = (from) => Number(((performance.now() - from) / 1000).toFixed(1));

/** A backup of the shop that is open with photos added, and the same taken in by an empty shop. */
async function bundleFigures(page, origin, add) {
  await page.evaluate(putPhotos, PHOTOS);
  await page.goto(`${origin}/book`);
  await page.getByRole('heading', { level: 1, name: 'Book' }).waitFor();
  await page.waitForTimeout(2000);
  let from = performance.now();
  const [download] = await Promise.all([
    page.waitForEvent('download', { timeout: 240_000 }),
    page.getByRole('button', { name: 'Back up now' }).click(),
  ]);
  add(`bundle with ${PHOTOS.count} photos made`, seconds(from), 's', '<= 10');
  const file = path.resolve('.tmp', 'large.zip');
  await download.saveAs(file);
  await onDisk(async (other) => {
    await other.goto(`${origin}/book`);
    await other.getByRole('heading', { level: 1, name: 'Book' }).waitFor();
    await other.waitForTimeout(1500);
    from = performance.now();
    await other.getByLabel('Shop file').setInputFiles(file);
    await other.getByRole('button', { name: 'Take it in' }).click({ timeout: 240_000 });
    await other.getByText(/^Taken in/).waitFor({ timeout: 240_000 });
    add('the same taken in by an empty shop', seconds(from), 's', '<= 10');
  });
}

/** Figures of the large shop. */
export async function largeShopRows(origin, pieces = 1000) {
  const rows = [];
  const add = (name, figure, unit, limit) =>
    rows.push({ name: `large shop: ${name}`, figure, unit, limit });
  const { largeShop, LARGE_SESSION } = await loadTs('src/test/large/largeShop.ts');
  const text = largeShop(Date.now(), pieces);
  mkdirSync('.tmp', { recursive: true });
  const file = path.resolve('.tmp', 'large.json');
  writeFileSync(file, text);
  await onDisk(async (page, context) => {
    await largeFigures(page, context, { origin, file, session: LARGE_SESSION, add });
    await bundleFigures(page, origin, add);
  });
  return rows;
}

/** Import, every place, idle, memory and a wet tap of a shop that is imported from a file. */
async function largeFigures(page, context, { origin, file, session, add }) {
  await watchLongTasks(page);
  await settableTime(page);
  const longest = () =>
    page.evaluate(() => Math.max(0, ...window.longTasks.splice(0, window.longTasks.length)));
  await page.goto(`${origin}/book`);
  await page.getByRole('heading', { level: 1, name: 'Book' }).waitFor();
  await page.waitForTimeout(1500);
  await longest();
  // As a hand does it: the button, a moment of choosing, the file.
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: /^Import a shop/ }).click(),
  ]);
  await page.waitForTimeout(1500);
  const from = performance.now();
  await chooser.setFiles(file);
  await page.getByText(/^Imported \d+ rows/).waitFor({ timeout: 240_000 });
  add('import', Number(((performance.now() - from) / 1000).toFixed(1)), 's', '<= 3');
  await page.waitForTimeout(1500);
  add('longest block while it is imported', Math.round(await longest()), 'ms', '<= 100');
  await page.reload();
  await page.getByRole('heading', { level: 1, name: 'Book' }).waitFor();
  await page.waitForTimeout(2500);
  // Once to fetch the pages, twice to measure: the slower visit of each place.
  const visits = PLACES.map(() => []);
  for (let round = 0; round < 3; round += 1)
    for (const [i, [link, heading]] of PLACES.entries()) {
      const ms = await timed(page, ['nav a', link], heading);
      if (round > 0) visits[i].push(ms);
      await page.waitForTimeout(400);
    }
  for (const [i, [link]] of PLACES.entries())
    add(`click to ${link}`, Math.round(Math.max(...visits[i])), 'ms', '<= 500');
  const client = await context.newCDPSession(page);
  await client.send('Performance.enable');
  const metrics = async () => {
    const { metrics: list } = await client.send('Performance.getMetrics');
    return Object.fromEntries(list.map((m) => [m.name, m.value]));
  };
  await page.waitForTimeout(3000);
  const before = await metrics();
  await page.waitForTimeout(12_000);
  const after = await metrics();
  const idle =
    (100 * (after.TaskDuration - before.TaskDuration)) / (after.Timestamp - before.Timestamp);
  add('main thread busy when idle, on Today', Number(idle.toFixed(1)), '%', '< 3');
  await client.send('HeapProfiler.collectGarbage');
  add('heap', Math.round((await metrics()).JSHeapUsedSize / 1e6), 'MB', '< 200');
  await page.goto(`${origin}/wet/${session}`);
  await page.getByRole('heading', { name: 'Weigh part A' }).waitFor();
  await page.waitForTimeout(2500);
  const steps = WET_STEPS.filter(([button]) => button !== 'Poured: Viaduct painting');
  const taps = await walkSteps(
    page,
    steps.slice(
      0,
      steps.findIndex(([b]) => b === 'Covered'),
    ),
  );
  add('slowest tap of a wet session', Math.round(Math.max(...taps)), 'ms', '<= 100');
}
