import { key } from './words';
import { largeShop } from '../src/test/large/largeShop';
import { expect, expectAccessible, test } from './bench';

test('a long bench and a long log: found by words, drawn and read as far as one looks', async ({
  page,
}) => {
  await page.goto('/book');
  await expect(page.getByText('The log begins with the first piece.')).toBeVisible();
  await page.getByLabel('Shop file').setInputFiles({
    name: 'large.json',
    mimeType: 'application/json',
    buffer: Buffer.from(largeShop(Date.now(), 60)),
  });
  await expect(page.getByText(/^Imported \d+ rows/)).toBeVisible({ timeout: 30_000 });
  const words = page.getByText(/of [1-9]\d* entries/);
  await expect(words).toBeVisible();
  const total = Number(/of (\d+)/.exec(await words.innerText())?.[1]);
  expect(total).toBeGreaterThan(1200);
  const entries = page
    .getByRole('region', { name: 'Log' })
    .getByRole('button', { name: /^Correct/ });
  await expect(entries).toHaveCount(60);
  await page.getByRole('button', { name: 'Show 60 earlier' }).click();
  await expect(entries).toHaveCount(120);
  await page.getByLabel('Search the log').fill('piece added');
  await expect(page.getByText(`60 of ${total} entries`)).toBeVisible();
  await expect(entries).toHaveCount(60);

  await key(key(page, 'places'), 'pieces').click();
  const cards = page.getByRole('heading', { level: 2 });
  await expect(page.getByText('60 of 60')).toBeVisible();
  expect(await cards.count()).toBeLessThan(40);
  await expectAccessible(page);
  const last = page.getByRole('heading', { level: 2, name: / 60$/ });
  await expect(last).toHaveCount(0);
  for (let i = 0; i < 8; i += 1) await page.keyboard.press('End');
  await expect(last).toBeVisible();
  await page.getByLabel('Search the pieces').fill('bare wood 7');
  await expect(page.getByText(/^\d+ of 60$/)).not.toHaveText('60 of 60');
  for (const name of await cards.allInnerTexts()) expect(name).toContain('7');
  await page.getByLabel('Search the pieces').fill('nothing has these');
  await expect(page.getByText('No piece has these words.')).toBeVisible();
});
