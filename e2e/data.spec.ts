import { expect, openDemo, openPiece, test } from './bench';

test('two tabs stay consistent', async ({ context }) => {
  const desk = await context.newPage();
  await openDemo(desk);
  await openPiece(desk, 'Viaduct painting', 'coats');
  const bench = await context.newPage();
  await bench.goto(desk.url());
  const total = (page: typeof desk) => page.getByRole('button', { name: /Mix for this coat/ });
  const before = await total(desk).innerText();
  await expect(total(bench)).toHaveText(before);

  await desk.getByLabel('Film thickness').fill('2.4 mm');
  await desk.keyboard.press('Enter');
  await expect(total(desk)).not.toHaveText(before);
  await expect(total(bench)).toHaveText(await total(desk).innerText());
  await expect(bench.getByLabel('Film thickness')).toHaveValue('2.4 mm');

  // A session started in one tab shows on the strip of the other, and the coat can no longer be changed there.
  await desk.getByRole('link', { name: 'Add to a wet session' }).click();
  await desk.getByRole('button', { name: 'Start: weigh A' }).click();
  await expect(desk.getByRole('heading', { name: 'Weigh part A' })).toBeVisible();
  await expect(bench.getByRole('region', { name: 'Bench strip' })).toContainText(
    'wet session · weigh A',
  );
  await expect(bench.getByLabel('Film thickness')).toHaveCount(0);
});

test('a failed write keeps what was typed, says so, and can be tried again', async ({ page }) => {
  await openDemo(page, '/pieces/new');
  await page.getByLabel('Name').fill('Porter cap');
  await page.getByLabel('Shape of the face').selectOption('disc');
  await page.getByLabel('Diameter').fill('5 1/2 in');
  await page.evaluate(() => {
    const real = IDBObjectStore.prototype.add;
    IDBObjectStore.prototype.add = function () {
      throw new DOMException('The disk is full', 'QuotaExceededError');
    };
    Object.assign(window, { mendStorage: () => (IDBObjectStore.prototype.add = real) });
  });
  await page.getByRole('button', { name: 'Add to the bench' }).click();
  const alert = page.getByRole('alert').filter({ hasText: 'Not saved: add Porter cap' });
  await expect(alert).toContainText('The disk is full');
  await expect(page.getByLabel('Name')).toHaveValue('Porter cap');
  await expect(page.getByLabel('Diameter', { exact: true })).toHaveValue('5 1/2 in');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    alert.getByRole('button', { name: 'Save a copy to a file' }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('bilamina-not-saved.json');
  await page.evaluate(() => (window as unknown as { mendStorage: () => void }).mendStorage());
  await alert.getByRole('button', { name: 'Try again' }).click();
  await expect(alert).toHaveCount(0);
  await page.getByRole('link', { name: 'Pieces' }).click();
  // All or nothing: the failed attempt left nothing behind.
  await expect(page.getByRole('heading', { level: 2, name: 'Porter cap' })).toHaveCount(1);
});

test('a bad shop file is refused with its faults and changes nothing', async ({ page }) => {
  await openDemo(page, '/book');
  const count = await page.getByText(/of \d+ entries/).innerText();
  const upload = (text: string) =>
    page.getByLabel('Shop file').setInputFiles({
      name: 'shop.json',
      mimeType: 'application/json',
      buffer: Buffer.from(text),
    });
  await upload('{"format":"bilamina.shop","version":1,"tables":{"pieces":[');
  await expect(page.getByText(/not JSON, or it was cut short/)).toBeVisible();
  await upload('{"hello":"world"}');
  await expect(page.getByText(/This is not a shop file/)).toBeVisible();
  await upload('{"format":"bilamina.shop","version":99,"tables":{}}');
  await expect(page.getByText(/Written by a newer Bilamina/)).toBeVisible();
  await expect(page.getByText(/of \d+ entries/)).toHaveText(count);
});

test('a shop of a newer Bilamina is not written to, but can be saved to a file', async ({
  page,
}) => {
  await page.goto('/settings');
  await expect(page.getByRole('heading', { name: 'Settings' })).toBeVisible();
  await page.evaluate(
    () =>
      new Promise((resolve, reject) => {
        const request = indexedDB.open('bilamina', 9990);
        request.onsuccess = () => resolve(request.result.close());
        request.onerror = () => reject(request.error);
      }),
  );
  await page.goto('/');
  await expect(
    page.getByRole('heading', { name: 'This shop was written by a newer Bilamina' }),
  ).toBeVisible();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save everything to a file' }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('bilamina-rescue.json');
});
