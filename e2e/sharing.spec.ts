import { key } from './words';
import type { Browser, Page } from '@playwright/test';
import { largeShop } from '../src/test/large/largeShop';
import {
  downloadedBytes,
  expect,
  expectAccessible,
  openDemo,
  openPiece,
  openSession,
  test,
  weighIn,
} from './bench';

/** Another machine: its own store, the same clock. */
async function otherMachine(browser: Browser, baseURL: string | undefined): Promise<Page> {
  const context = await browser.newContext({
    ...(baseURL && { baseURL }),
    ...{ timezoneId: 'Europe/London', locale: 'en-GB', serviceWorkers: 'block' as const },
  });
  const page = await context.newPage();
  await page.clock.install({ time: new Date('2026-11-24T13:30:00Z') });
  return page;
}
const toBook = async (page: Page) => {
  await page.goto('/book');
  await expect(page.getByRole('heading', { level: 1, name: 'Book' })).toBeVisible();
};
const pick = (page: Page, buffer: Buffer) =>
  page
    .getByLabel('Shop file')
    .setInputFiles({ name: 'bundle.zip', mimeType: 'application/zip', buffer });
/** Takes a bundle in and waits until it says so. */
async function takeIn(page: Page, bytes: Buffer): Promise<void> {
  await toBook(page);
  await pick(page, bytes);
  await key(page.getByRole('dialog'), 'takeItIn').click();
  await expect(page.getByText(/^Taken in: \d+ rows? changed/)).toBeVisible();
}
const handOver = (page: Page) =>
  downloadedBytes(page, () => page.getByRole('button', { name: 'Hand over' }).first().click());

test('a wet session begun at the desk is weighed on the tablet, and the desk has it back', async ({
  page,
  browser,
  baseURL,
}) => {
  await openSession(page, 'weighing');
  const path = new URL(page.url()).pathname;
  const out = await handOver(page);

  const tablet = await otherMachine(browser, baseURL);
  await takeIn(tablet, out);
  await tablet.goto(path);
  await weighIn(tablet, 'A');
  await expect(tablet.getByRole('heading', { name: 'Weigh part B' })).toBeVisible();
  const back = await handOver(tablet);
  await tablet.context().close();

  await toBook(page);
  await pick(page, back);
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByText(/batch changed there/)).toBeVisible();
  await expectAccessible(page);
  await key(dialog, 'takeItIn').click();
  await expect(page.getByText(/^Taken in: /)).toBeVisible();
  await expect(page.getByText('bundle taken in').first()).toBeVisible();
  await page.goto(path);
  await expect(page.getByRole('heading', { name: 'Weigh part B' })).toBeVisible();
});

test('what both sides changed is asked about; a bundle that was spoilt changes nothing', async ({
  page,
  browser,
  baseURL,
}) => {
  await openDemo(page);
  await toBook(page);
  const [whole] = [await downloadedBytes(page, () => key(page, 'backUpNow').click())];
  const tablet = await otherMachine(browser, baseURL);
  await takeIn(tablet, whole);

  const rename = async (at: Page, name: string) => {
    await openPiece(at, 'Door numerals', 'survey');
    await at.getByLabel('Name', { exact: true }).fill(name);
    await at.getByRole('button', { name: /^Save/ }).click();
    await expect(at.getByRole('heading', { level: 1, name })).toBeVisible();
  };
  await rename(page, 'Door numerals, desk');
  await rename(tablet, 'Door numerals, tablet');
  await toBook(tablet);
  const back = await downloadedBytes(tablet, () => key(tablet, 'backUpNow').click());
  await tablet.context().close();

  await toBook(page);
  await pick(page, Buffer.concat([back.subarray(0, back.length - 4000), Buffer.alloc(4000)]));
  await expect(page.getByRole('alert').filter({ hasText: 'Nothing was changed' })).toBeVisible();

  await pick(page, back);
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('button', { name: '1 to decide first' })).toBeDisabled();
  await dialog
    .getByRole('group', { name: /Door numerals/ })
    .getByRole('button', { name: 'Take what comes' })
    .click();
  await key(dialog, 'takeItIn').click();
  await expect(page.getByText(/^Taken in: /)).toBeVisible();
  await key(key(page, 'places'), 'pieces').click();
  await expect(
    page.getByRole('heading', { level: 2, name: 'Door numerals, tablet' }),
  ).toBeVisible();
});

test('a large file that is stopped while it is written changes nothing; of a large bundle all can be looked at first', async ({
  page,
  browser,
  baseURL,
}) => {
  await toBook(page);
  const shopFile = (pieces: number) => ({
    ...{ name: 'large.json', mimeType: 'application/json' },
    buffer: Buffer.from(largeShop(Date.UTC(2026, 10, 24), pieces)),
  });
  await page.getByLabel('Shop file').setInputFiles(shopFile(300));
  const far = page.getByRole('progressbar');
  await expect(far).toHaveAttribute('aria-valuenow', /^[2-8]\d$/, { timeout: 30_000 });
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  const stopped = page.getByText('was stopped: nothing was changed');
  await expect(stopped).toBeVisible();
  await expect(stopped).toBeFocused();
  await expect(page.getByText('The log begins with the first piece.')).toBeVisible();

  await page.getByLabel('Shop file').setInputFiles(shopFile(60));
  await expect(page.getByText(/^Imported \d+ rows/)).toBeVisible({ timeout: 30_000 });
  await expect(stopped).toHaveCount(0);
  const whole = await downloadedBytes(page, () => key(page, 'backUpNow').click());
  const tablet = await otherMachine(browser, baseURL);
  await toBook(tablet);
  await pick(tablet, whole);
  const told = tablet.getByRole('dialog').getByRole('list', { name: 'What comes in' });
  const more = told.getByRole('button', { name: /^Show \d+ more$/ });
  const left = Number(/\d+/.exec(await more.innerText())?.[0]);
  await expect(told.getByRole('listitem')).toHaveCount(41);
  await more.click();
  await expect(told.getByRole('listitem')).toHaveCount(40 + left);
  await expect(told).toBeFocused();
  expect(left).toBeGreaterThanOrEqual(20);
  await key(tablet.getByRole('dialog'), 'takeItIn').click();
  await expect(tablet.getByText(/^Taken in: \d+ rows changed/)).toBeVisible({ timeout: 30_000 });
  await tablet.context().close();
});
