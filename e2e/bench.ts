import { key } from './words';
import { AxeBuilder } from '@axe-core/playwright';
import { expect, test as base, type BrowserContext, type Page } from '@playwright/test';
import { placeOf, putShop, type ShopName } from './shops';

/** A Tuesday afternoon; browser time starts here in every test. */
export const START = new Date('2026-11-24T13:30:00Z');

function watch(context: BrowserContext, origin: string): string[] {
  const troubles: string[] = [];
  context.on('console', (message) => {
    if (message.type() === 'error')
      troubles.push(`console: ${message.text()} (${message.location().url})`);
  });
  context.on('weberror', (error) => troubles.push(`page: ${error.error().message}`));
  context.on('request', (request) => {
    const url = request.url();
    if (!url.startsWith(origin) && !/^(blob|data):/.test(url))
      troubles.push(`request outside: ${url}`);
  });
  return troubles;
}

/** What an earlier test left in the browser; the next one must find nothing. */
async function leftOver(page: Page): Promise<string[]> {
  await page.goto('/icon.svg');
  const found = await page.evaluate(async () => [
    ...(await indexedDB.databases()).map(({ name }) => `database ${name}`),
    ...(await caches.keys()).map((name) => `cache ${name}`),
    ...(await navigator.serviceWorker.getRegistrations()).map(() => 'a service worker'),
    ...[localStorage, sessionStorage].flatMap((store) => Object.keys(store)),
  ]);
  return found;
}

interface Fixtures {
  /** What a test expects to go wrong on purpose: messages that hold one of these are let pass. */
  allowed: string[];
  troubles: undefined;
}

/** Every browser test fails on a console error, a page error or a request outside the origin. */
export const test = base.extend<Fixtures>({
  allowed: [[], { option: true }],
  troubles: [
    async ({ context, page, baseURL, allowed, reuseContext }, use) => {
      if (reuseContext) expect(await leftOver(page)).toEqual([]);
      const troubles = watch(context, baseURL ?? '');
      await context.clock.install({ time: START });
      await use(undefined);
      expect(troubles.filter((t) => !allowed.some((a) => t.includes(a)))).toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };

/** The demo as a user loads it, by the address that asks for it. */
export async function loadDemo(page: Page): Promise<void> {
  await page.goto('/?shop=demo');
  await expect(page.getByRole('heading', { name: 'Next, in order' })).toBeVisible();
  await expect(page.getByRole('link', { name: /Flood 2, Viaduct/ })).toBeVisible();
}

/** Opens a place of a kept shop, and waits until it stands. */
async function openKept(page: Page, shop: ShopName, path?: string): Promise<void> {
  const kept = await putShop(page, shop);
  await page.goto(path ?? kept);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Bench strip' })).toBeVisible();
}

/** Opens a place of the demo shop. */
export const openDemo = (page: Page, path = '/'): Promise<void> => openKept(page, 'demo', path);

/** Opens a piece of the demo, or of another kept shop, at one of its stages. */
export const openAt = (page: Page, piece: string, stage: string, shop: ShopName = 'demo') =>
  openKept(page, shop, placeOf(shop, piece, stage));

/** Opens the session of the viaduct painting: at “weigh A”, or with its mix stirred. */
export const openSession = async (page: Page, at: 'weighing' | 'stirred'): Promise<void> => {
  await page.goto(await putShop(page, at));
  const title = at === 'weighing' ? 'Weigh part A' : 'Pour';
  await expect(page.getByRole('heading', { name: title, exact: true })).toBeVisible();
};

/** Opens a piece at one of its stages by clicking through. */
export async function openPiece(page: Page, name: string, stage: string): Promise<void> {
  await key(key(page, 'places'), 'pieces').click();
  await page.getByRole('heading', { level: 2, name }).click();
  await openStage(page, stage);
}

/** No violation of WCAG 2.2 A and AA on what is shown now. */
export async function expectAccessible(page: Page): Promise<void> {
  // What lies half under the strip is no small target: it is scrolled.
  await page.evaluate(() => window.scrollTo(0, 0));
  const tags = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];
  // Without frames one page is enough, and what passed is not described: half the time, the same rules.
  const { violations } = await new AxeBuilder({ page })
    .options({ resultTypes: ['violations'] })
    .withTags(tags)
    .setLegacyMode(true)
    .analyze();
  expect(
    violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(' | ')}`),
  ).toEqual([]);
}

/** What a click downloads. */
export async function downloadedBytes(page: Page, click: () => Promise<void>): Promise<Buffer> {
  const [download] = await Promise.all([page.waitForEvent('download'), click()]);
  const stream = await download.createReadStream();
  const chunks: Buffer[] = [];
  for await (const chunk of stream) chunks.push(chunk as Buffer);
  return Buffer.concat(chunks);
}

/** The text of what a click downloads. */
export const downloaded = async (page: Page, click: () => Promise<void>): Promise<string> =>
  (await downloadedBytes(page, click)).toString('utf8');

/** The words of a PDF, page after page, read by a library that did not write it; every space is a plain one. */
export async function pdfWords(bytes: Buffer): Promise<string> {
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs');
  const doc = await getDocument({ data: new Uint8Array(bytes) }).promise;
  const pages: string[] = [];
  for (let i = 1; i <= doc.numPages; i += 1) {
    const { items } = await (await doc.getPage(i)).getTextContent();
    pages.push(items.map((item) => ('str' in item ? item.str : '')).join(''));
  }
  return pages.join(' ').replace(/\s/g, ' ');
}

/** Goes to another stage of the piece that is open. */
export async function openStage(page: Page, stage: string): Promise<void> {
  await key(page, 'stagesOfThePiece')
    .getByRole('link', { name: new RegExp(stage, 'i') })
    .click();
  await expect(page).toHaveURL(new RegExp(`/${stage}$`));
}

/** Ticks every open step of the piece that is open until its coat is ready, and goes to its coats. */
export async function makeReady(page: Page): Promise<void> {
  await openStage(page, 'prepare');
  const ready = page.getByText(/ is ready\.$/).first();
  const tick = page.getByRole('button', { name: /^Done(?: again)?: / }).first();
  await expect(ready.or(tick).first()).toBeVisible();
  for (let step = 0; step < 20 && !(await ready.isVisible()); step += 1) {
    const task = ((await tick.getAttribute('aria-label')) ?? '').replace(/^Done(?: again)?: /, '');
    const done = page.getByRole('button', { name: `Take back: ${task}` }).first();
    // What the step before it changed may move it from under the hand: then it is ticked again.
    await expect(async () => {
      if ((await tick.getAttribute('aria-label'))?.endsWith(task)) await tick.click();
      await expect(done).toBeVisible({ timeout: 4000 });
    }).toPass();
  }
  await expect(ready).toBeVisible();
  await openStage(page, 'coats');
}

/** So long the large button is deaf after its words come. */
const DEAF_MS = 700;

/** The large button of a wet step, once it takes taps. */
export async function mainButton(page: Page, name: RegExp | string) {
  const button = page.getByRole('button', { name });
  await expect(button).toBeVisible();
  await page.clock.runFor(DEAF_MS);
  await expect(button).toBeEnabled();
  return button;
}

/** Presses the large button of a wet step. */
export async function pressMain(page: Page, name: RegExp | string): Promise<void> {
  await (await mainButton(page, name)).click();
}

/** Says that everything is at hand, one key each, and starts to mix. */
export async function startMixing(page: Page, words: RegExp = /^Start: weigh A/): Promise<void> {
  const open = page
    .getByRole('region', { name: 'At hand' })
    .getByRole('button', { pressed: false });
  await expect(open).toHaveCount(5);
  for (let left = 5; left > 0; left -= 1) {
    await open.first().click();
    await expect(open).toHaveCount(left - 1);
  }
  await pressMain(page, words);
}

/** The part that is being weighed reads as wanted, and is in. */
export async function weighIn(page: Page, part: 'A' | 'B'): Promise<void> {
  await expect(page.getByRole('heading', { name: `Weigh part ${part}` })).toBeVisible();
  await key(page, 'theScaleShows').click();
  await pressMain(page, new RegExp(`^${part} is in`));
}

/** From the gathered coats to a stirred mix, everything read as it is wanted. */
export async function mixStirred(page: Page): Promise<void> {
  await startMixing(page);
  for (const part of ['A', 'B'] as const) await weighIn(page, part);
  await pressMain(page, /Start stirring/);
  await page.clock.fastForward('04:20');
  await pressMain(page, /Stirred, no streaks/);
}

/** Holds a button down, as one does what must not be done by a tap. */
export async function holdDown(page: Page, name: RegExp): Promise<void> {
  const button = await mainButton(page, name);
  const box = await button.boundingBox();
  if (!box) throw new Error('nothing to hold');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await expect(button).toHaveCount(0);
  await page.mouse.up();
}

/** Closes the page as a hand would: the browser asks first, and the hand stays. */
export async function stayWhenAsked(page: Page): Promise<void> {
  const asked = page.waitForEvent('dialog');
  await page.close({ runBeforeUnload: true });
  const dialog = await asked;
  expect(dialog.type()).toBe('beforeunload');
  await dialog.dismiss();
}

/** Waits until all that was done is stored: the browser would let the page go. */
export async function untilStored(page: Page): Promise<void> {
  await page.waitForFunction(() =>
    window.dispatchEvent(new Event('beforeunload', { cancelable: true })),
  );
}

/** Loads the page again as a hand does that heeds the browser. */
export async function reloadStored(page: Page): Promise<void> {
  await untilStored(page);
  await page.reload();
}

/**
 * What stands over the edge of a window of a width, px. About once in a hundred times this browser keeps the columns of
 * the wider window after one jump, though its rules say otherwise. A window that is dragged is sized many times: so is
 * this one where something stands over.
 */
export function overAt(page: Page, width: number): () => Promise<number> {
  let looks = 0;
  return async () => {
    const jump = looks % 4 === 0;
    if (jump && looks > 0) await page.setViewportSize({ width: 1280, height: 800 });
    if (jump) await page.setViewportSize({ width, height: 800 });
    looks += 1;
    return page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  };
}
