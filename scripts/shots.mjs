// `npm run shots`: one current picture of each main view in docs/screenshots, from the demo shop at a fixed time.
import { mkdirSync } from 'node:fs';
import { chromium } from '@playwright/test';
import {
  CHROMIUM,
  ensureBuilt,
  ensureChromium,
  ensureInstalled,
  startServer,
} from './lib/prepare.mjs';
import { loadTs, markPhoto } from './lib/loadTs.mjs';

ensureInstalled();
ensureChromium();
ensureBuilt();
mkdirSync('docs/screenshots', { recursive: true });
const { origin, close } = await startServer(4198);
const browser = await chromium.launch({
  executablePath: CHROMIUM,
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-sync'],
});
const page = await browser.newPage({
  locale: 'en-GB',
  viewport: { width: 1280, height: 800 },
  timezoneId: 'Europe/London',
});
await page.clock.install({ time: new Date('2026-11-24T13:42:00Z') });

const shot = async (name) => {
  await page.mouse.move(4, 700);
  await page.waitForTimeout(400);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
};
const click = (role, name) =>
  page
    .getByRole(role, { name, exact: typeof name === 'string' && /^[+−]/.test(name) })
    .first()
    .click();
const piece = async (name, stage) => {
  await click('link', 'Pieces');
  await click('heading', name);
  await page
    .getByRole('navigation', { name: 'Stages of the piece' })
    .getByRole('link', { name: new RegExp(stage, 'i') })
    .click();
  await page.waitForURL(new RegExp(`/${stage}$`));
};

await page.goto(`${origin}/?shop=demo`);
await page.getByRole('link', { name: /Flood 2, Viaduct/ }).waitFor();
await shot('today');
await click('link', 'Pieces');
await page.getByRole('heading', { name: 'Relief map' }).waitFor();
await shot('pieces');
await piece('Signal lamp lens', 'survey');
await page.locator('svg[aria-label^="Plan of"] image').waitFor();
await shot('survey');
await piece('Estuary panel', 'survey');
await page.getByRole('button', { name: 'Sand bank' }).first().click();
await shot('survey-places');
await piece('Relief map', 'prepare');
await page.getByText('Flood 2 is held.').waitFor();
await shot('prepare');
await page.goto(`${origin}/pieces/new`);
const { photoFile } = await loadTs('src/demo/test/scenes.ts');
await markPhoto(page, photoFile(11, 1600), 1600);
await page.getByRole('button', { name: /Find the edge/ }).click();
await page.getByRole('button', { name: /Area traced/ }).waitFor({ timeout: 60_000 });
await shot('survey-trace');
await page.keyboard.press('Escape');
await piece('Relief map', 'inspect');
await page.getByRole('img', { name: /Photo of/ }).waitFor();
await shot('inspect');
await piece('Luggage label set', 'finish');
await page.getByRole('img', { name: 'Build-up, cut through' }).waitFor();
await shot('finish');
await piece('Hall tiles', 'cure');
await shot('cure');
await piece('Viaduct painting', 'coats');
await shot('coats');
await page.getByRole('button', { name: /Weight of part B/ }).click();
await shot('coats-opened-number');
await page.keyboard.press('Escape');
await piece('Lamp-room tray', 'coats');
await click('button', /^Dome/);
await page.getByRole('status').filter({ hasText: ' the rim' }).waitFor();
await page.evaluate(() => window.scrollTo(0, 0));
await shot('coats-dome');
await piece('Estuary panel', 'coats');
await click('button', 'Cut from front to back');
await page.getByRole('status').filter({ hasText: 'everywhere' }).waitFor();
await page.evaluate(() => window.scrollTo(0, 0));
await shot('coats-places');
await click('link', 'Resins');
await click('heading', 'Millrace Clear');
await page.locator('.recharts-line').first().waitFor();
await shot('resin');
await click('link', 'Book');
await page.getByText(/of \d+ entries/).waitFor();
await shot('book');
await click('link', 'Room');
await page
  .getByRole('region', { name: 'Air over time' })
  .locator('.recharts-line')
  .first()
  .waitFor();
await shot('room');
await piece('Viaduct painting', 'coats');
await click('link', 'Add to a wet session');
for (const here of ['Gloves', 'Window', 'Extinguisher', 'Covers', 'Phone'])
  await click('button', new RegExp(`^○ ${here}`));
await page.clock.runFor(900);
await click('button', 'Start: weigh A');
await click('button', /The scale shows/);
await click('button', /^A is in/);
await page.getByRole('heading', { name: 'Weigh part B' }).waitFor();
await click('button', /The scale shows/);
for (const key of ['−1', '−1', '−1', '−1']) await click('button', key);
await page.waitForTimeout(900);
await shot('wet-weigh');
for (let i = 0; i < 4; i += 1) await click('button', '+1');
await click('button', /^B is in, stir/);
await click('button', /Start stirring/);
await page.clock.fastForward('02:10');
await shot('wet-stir');
await page.clock.fastForward('02:00');
await click('button', /Stirred, no streaks/);
await page.getByRole('heading', { name: 'Pour' }).waitFor();
await page.clock.fastForward('02:20');
await shot('wet-pour');

await browser.close();
close();
