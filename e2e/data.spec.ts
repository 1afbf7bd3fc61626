import { key } from './words';
import type { Page } from '@playwright/test';
import {
  downloaded,
  expect,
  expectAccessible,
  openAt,
  openDemo,
  openPiece,
  reloadStored,
  startMixing,
  stayWhenAsked,
  test,
} from './bench';

const toBook = (page: Page) => key(key(page, 'places'), 'book').click();

test('two tabs stay consistent', async ({ context }) => {
  const desk = await context.newPage();
  await openAt(desk, 'Viaduct painting', 'coats');
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
  await key(desk, 'addToAWetSession').click();
  await startMixing(desk);
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
  await key(page, 'addToTheBench').click();
  const alert = page.getByRole('alert').filter({ hasText: 'Not saved: add Porter cap' });
  await expect(alert).toContainText('The disk is full');
  await expect(page.getByLabel('Name')).toHaveValue('Porter cap');
  await expect(page.getByLabel('Diameter', { exact: true })).toHaveValue('5 1/2 in');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    alert.getByRole('button', { name: 'Save a copy to a file' }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('bilamina-not-saved.json');
  await stayWhenAsked(page);
  await page.evaluate(() => (window as unknown as { mendStorage: () => void }).mendStorage());
  await key(alert, 'tryAgain').click();
  await expect(alert).toHaveCount(0);
  await key(page, 'pieces').click();
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

test('what another tab saves meanwhile is kept, what both changed is shown with both values', async ({
  context,
}) => {
  const mine = await context.newPage();
  await openDemo(mine, '/settings');
  const theirs = await context.newPage();
  await theirs.goto('/settings');
  // Half typed here, saved there: what is typed stays, the rest follows.
  await mine.getByLabel('Who works here').fill('Rowan and');
  await theirs.getByLabel('The shop opens').fill('06:15');
  await key(theirs, 'saveTheSettings').click();
  await expect(theirs.getByText('✓ Saved')).toBeVisible();
  await expect(mine.getByLabel('The shop opens')).toHaveValue('06:15');
  await expect(mine.getByLabel('Who works here')).toHaveValue('Rowan and');
  // Both change one field, each another field besides.
  await mine.getByLabel('The shop closes').fill('19:00');
  await theirs.getByLabel('The shop closes').fill('20:15');
  await theirs.getByLabel('Currency').fill('€');
  await key(theirs, 'saveTheSettings').click();
  await expect(mine.getByLabel('Currency')).toHaveValue('€');
  await key(mine, 'saveTheSettings').click();
  const bar = mine.getByRole('alert').filter({ hasText: 'Not saved: save the settings' });
  const row = bar.getByRole('row').filter({ hasText: 'closes' });
  await expect(row).toContainText('19:00');
  await expect(row).toContainText('20:15');
  await expectAccessible(mine);
  await bar.getByRole('button', { name: 'Keep yours' }).click();
  await expect(bar).toHaveCount(0);
  await expect(theirs.getByLabel('Who works here')).toHaveValue('Rowan and');
  await expect(theirs.getByLabel('The shop closes')).toHaveValue('19:00');
  await expect(theirs.getByLabel('Currency')).toHaveValue('€');
});

test('a double click on a form stores once; a photo waits for its own defect', async ({ page }) => {
  await openDemo(page, '/pieces/new');
  await page.getByLabel('Name').fill('Twice board');
  await page.getByLabel('Width', { exact: true }).fill('200 mm');
  await page.getByLabel('Height', { exact: true }).fill('100 mm');
  await key(page, 'addToTheBench').dblclick();
  await expect(page.getByRole('heading', { level: 1, name: 'Twice board' })).toBeVisible();
  await page.getByLabel('It is to').selectOption('given');
  await page.getByLabel('Film thickness').fill('1.6 mm');
  await key(page, 'planThisCoat').dblclick();
  await expect(page.getByRole('region', { name: /Ledger of Flood 1/ })).toBeVisible();
  await key(page, 'pieces').click();
  await expect(page.getByRole('heading', { level: 2, name: 'Twice board' })).toHaveCount(1);

  await openPiece(page, 'Hall tiles', 'inspect');
  // A photo that takes a second to read, and a note that is not waited for.
  await page.evaluate(() => {
    const real = window.createImageBitmap.bind(window);
    window.createImageBitmap = (async (source: ImageBitmapSource) => {
      await new Promise((resolve) => setTimeout(resolve, 1000));
      return real(source);
    }) as typeof window.createImageBitmap;
  });
  const svg =
    '<svg xmlns="http://www.w3.org/2000/svg" width="40" height="30"><rect width="40" height="30"/></svg>';
  const png = await page.evaluate(async (text) => {
    const image = new Image();
    image.src = `data:image/svg+xml,${encodeURIComponent(text)}`;
    await image.decode();
    const canvas = new OffscreenCanvas(40, 30);
    canvas.getContext('2d')?.drawImage(image, 0, 0);
    const bytes = await (await canvas.convertToBlob()).arrayBuffer();
    return [...new Uint8Array(bytes)];
  }, svg);
  const found = page.getByRole('region', { name: 'Defects' });
  await page.getByLabel('Photo', { exact: true }).setInputFiles({
    name: 'first.png',
    mimeType: 'image/png',
    buffer: Buffer.from(png),
  });
  await page.getByLabel('Note').fill('the first one');
  await page.getByRole('button', { name: /Note it/ }).dblclick();
  await expect(found.getByText('the first one')).toHaveCount(1);
  await page.getByLabel('Note').fill('the second one');
  await page.getByRole('button', { name: /Note it/ }).click();
  await expect(found.getByText('the second one')).toHaveCount(1);
  const first = found.getByRole('listitem').filter({ hasText: 'the first one' });
  await expect(first.getByRole('img', { name: /Photo of/ })).toHaveCount(1);
  const second = found.getByRole('listitem').filter({ hasText: 'the second one' });
  await expect(second.getByRole('img', { name: /Photo of/ })).toHaveCount(0);
});

test('one row that cannot be shown takes down only its own piece, and is named', async ({
  page,
}) => {
  await openDemo(page);
  await page.evaluate(
    () =>
      new Promise<void>((resolve, reject) => {
        const request = indexedDB.open('bilamina');
        request.onerror = () => reject(request.error ?? new Error('no'));
        request.onsuccess = () => {
          const db = request.result;
          const tx = db.transaction(['pieces', 'areas', 'coats'], 'readwrite');
          const pieces = tx.objectStore('pieces').getAll();
          pieces.onsuccess = () => {
            const board = (pieces.result as { id: string; name: string }[]).find(
              (p) => p.name === 'Signal-box board',
            );
            const coats = tx.objectStore('coats');
            const all = coats.getAll();
            all.onsuccess = () => {
              for (const coat of all.result as { pieceId: string }[])
                if (coat.pieceId === board?.id)
                  coats.put({ ...coat, history: null, areaIds: null });
            };
          };
          tx.oncomplete = () => {
            db.close();
            resolve();
          };
        };
      }),
  );
  await reloadStored(page);
  // The clocks of the others run, and the row is named.
  await expect(page.getByText(/Left out: piece “Signal-box board”/).first()).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Next, in order' })).toBeVisible();
  await expect(
    page.getByRole('region', { name: 'Bench strip' }).getByRole('link').first(),
  ).toBeVisible();
  await expectAccessible(page);
  for (const [place, title] of [
    ['Pieces', 'Pieces'],
    ['Book', 'Book'],
    ['Settings', 'Settings'],
  ] as const) {
    await key(page, 'places').getByRole('link', { name: place }).click();
    await expect(page.getByRole('heading', { level: 1, name: title })).toBeVisible();
  }
  await toBook(page);
  const shop = await downloaded(page, () => key(page, 'exportTheWholeShop').click());
  expect(shop).toContain('Signal-box board');
});

test('a read that fails leaves the page and what was typed; faults of files are told', async ({
  page,
}) => {
  await openDemo(page, '/settings');
  await page.getByLabel('Who works here').fill('Rowan');
  await page.evaluate(() => {
    const real = IDBTransaction.prototype.objectStore;
    IDBTransaction.prototype.objectStore = function (name) {
      if (this.mode === 'readonly') throw new DOMException('The disk hiccups', 'UnknownError');
      return real.call(this, name);
    };
    Object.assign(window, { mend: () => (IDBTransaction.prototype.objectStore = real) });
  });
  await key(page, 'saveTheSettings').click();
  const bar = page.getByRole('alert').filter({ hasText: 'could not be read just now' });
  await expect(bar).toContainText('The disk hiccups');
  await expect(page.getByRole('heading', { name: 'Settings' })).toBeVisible();
  await expect(page.getByLabel('Who works here')).toHaveValue('Rowan');
  await page.evaluate(() => (window as unknown as { mend: () => void }).mend());
  await page.clock.fastForward(4000);
  await expect(bar).toHaveCount(0);

  await toBook(page);
  await page.evaluate(() => {
    Blob.prototype.text = () => Promise.reject(new Error('the stick was pulled out'));
    URL.createObjectURL = () => {
      throw new Error('no room for the file');
    };
  });
  const told = page.getByRole('alert').filter({ hasText: 'Nothing was' });
  await page.getByLabel('Shop file').setInputFiles({
    name: 'a.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{}'),
  });
  await expect(told).toContainText(
    'Reading and trying the file did not work: the stick was pulled out',
  );
  await page.getByRole('button', { name: /Export the log/ }).click();
  await expect(told.filter({ hasText: 'no room for the file' })).toContainText(
    'Exporting the log did not work',
  );
});

test('the browser is asked to keep the data with the first own work, not for the demo', async ({
  page,
}) => {
  await page.addInitScript(() => {
    Object.assign(window, { asked: 0 });
    StorageManager.prototype.persist = () => {
      (window as unknown as { asked: number }).asked += 1;
      return Promise.resolve(false);
    };
  });
  const asked = () => page.evaluate(() => (window as unknown as { asked: number }).asked);
  await openDemo(page);
  expect(await asked()).toBe(0);
  await toBook(page);
  for (const note of ['first', 'second']) {
    await page.getByLabel('Note', { exact: true }).fill(note);
    await page.getByRole('button', { name: 'Add a note' }).click();
    await expect(page.getByLabel('Note', { exact: true })).toHaveValue('');
  }
  expect(await asked()).toBe(1);
});
