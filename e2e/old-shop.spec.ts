import { key } from './words';
import type { Page } from '@playwright/test';
import { MIGRATIONS } from '../src/data/migrations';
import { FIXTURES } from '../src/data/migrations/fixtures';
import { downloaded, expect, expectAccessible, openDemo, test } from './bench';

/** A page of this origin that opens no shop. */
async function openNothing(page: Page): Promise<void> {
  await page.route('**/nothing', (route) =>
    route.fulfill({ contentType: 'text/html', body: '<title>nothing</title>' }),
  );
  await page.goto('/nothing');
}

/** Puts a shop as an older program left it into the browser; with `hold` its tab keeps it open. */
function putOldShop(page: Page, version: number, hold: boolean): Promise<void> {
  const stores = MIGRATIONS.filter((m) => m.version <= version).map((m) => m.stores);
  const tables = FIXTURES[version];
  return page.evaluate(
    ([all, rows, native, held]) =>
      new Promise<void>((resolve, reject) => {
        indexedDB.deleteDatabase('bilamina').onsuccess = () => {
          const request = indexedDB.open('bilamina', native);
          request.onerror = () => reject(request.error ?? new Error('not made'));
          request.onupgradeneeded = () => {
            for (const [name, keys] of Object.entries(
              Object.assign({}, ...all) as Record<string, string | null>,
            )) {
              if (keys === null) continue;
              const [key, ...indices] = keys.split(/,\s*/);
              const store = request.result.createObjectStore(name, { keyPath: key ?? 'id' });
              for (const index of indices) store.createIndex(index, index);
              for (const row of (rows as Record<string, Record<string, unknown>[]>)[name] ?? []) {
                const { base64, type, ...rest } = row;
                const blob = new Blob([atob((base64 as string) ?? '')], { type: String(type) });
                store.add(name === 'photos' ? { ...rest, blob } : row);
              }
            }
          };
          request.onsuccess = () => {
            if (held) Object.assign(window, { heldShop: request.result });
            else request.result.close();
            resolve();
          };
        };
      }),
    [stores, tables, version * 10, hold] as const,
  );
}

/** One with photos; every version is opened in fake IndexedDB (`oldShops.test.ts`). */
const SEEN = [4];

for (const version of SEEN)
  test(`a shop of version ${version} opens in Chromium with nothing lost`, async ({ page }) => {
    await openNothing(page);
    await putOldShop(page, version, false);
    await page.goto('/book');
    const entries = FIXTURES[version]?.['log']?.length ?? 0;
    await expect(page.getByText(new RegExp(`(^| )of ${entries} entries$`))).toBeVisible();
    await key(key(page, 'places'), 'pieces').click();
    const [piece] = (FIXTURES[version]?.['pieces'] ?? []) as { name: string }[];
    await expect(page.getByRole('heading', { level: 2, name: piece?.name ?? '' })).toBeVisible();
    const names = await page.evaluate(async () => (await indexedDB.databases()).map((d) => d.name));
    expect(names).toEqual(['bilamina']);
  });

test('an upgrade that waits for another tab says so, and goes on when that tab closes', async ({
  page,
  context,
}) => {
  await openNothing(page);
  await putOldShop(page, 3, true);
  const fresh = await context.newPage();
  await fresh.goto('/');
  await expect(
    fresh.getByRole('heading', { name: 'Another tab holds the shop open' }),
  ).toBeVisible();
  await expectAccessible(fresh);
  await page.close();
  await expect(fresh.getByRole('heading', { name: 'Next, in order' })).toBeVisible();
});

test('a tab left open over an upgrade says so, keeps what was typed and writes nothing more', async ({
  page,
  context,
}) => {
  await openDemo(page, '/book');
  await page.getByLabel('Note', { exact: true }).fill('half a note');
  const other = await context.newPage();
  await openNothing(other);
  await other.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const request = indexedDB.open('bilamina', 9990);
        request.onsuccess = () => resolve(request.result.close());
      }),
  );
  await expect(page.getByText('This tab is out of date.')).toBeVisible();
  await expect(page.getByLabel('Note', { exact: true })).toHaveValue('half a note');
  await page.getByRole('button', { name: 'Add a note' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Not saved' })).toContainText(
    'brought this shop up to date',
  );
  await expectAccessible(page);
});

test('a shop of a newer program is not opened; what is rescued is a whole shop file', async ({
  page,
}) => {
  await openDemo(page, '/settings');
  await expect(page.getByRole('heading', { name: 'Settings' })).toBeVisible();
  await openNothing(page);
  const version = await page.evaluate(async () => {
    const all = await indexedDB.databases();
    return (all.find((d) => d.name === 'bilamina')?.version ?? 0) / 10;
  });
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const request = indexedDB.open('bilamina', 990);
        request.onsuccess = () => resolve(request.result.close());
      }),
  );
  await page.goto('/');
  await expect(
    page.getByRole('heading', { name: 'This shop was written by a newer Bilamina' }),
  ).toBeVisible();
  await expectAccessible(page);
  const rescued = JSON.parse(
    await downloaded(page, () =>
      page.getByRole('button', { name: 'Save everything to a file' }).click(),
    ),
  ) as { format: string; version: number; tables: Record<string, Record<string, unknown>[]> };
  expect(rescued).toMatchObject({ format: 'bilamina.shop', version: 99 });
  expect(rescued.tables['photos']?.[0]?.['base64']).toMatch(/^[A-Za-z0-9+/=]+$/);
  // As the newer program would: the same rows come in again where their version is known.
  const file = { ...rescued, version };
  await page.evaluate(
    () => new Promise((r) => (indexedDB.deleteDatabase('bilamina').onsuccess = r)),
  );
  await page.goto('/book');
  await page.getByLabel('Shop file').setInputFiles({
    name: 'rescue.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(file)),
  });
  await expect(page.getByText(/Imported \d+ rows/)).toBeVisible();
});

test('a browser that never answers is told of after some seconds', async ({ page }) => {
  await page.addInitScript(() => {
    const real = IDBFactory.prototype.open;
    Object.assign(window, { answer: () => (IDBFactory.prototype.open = real) });
    IDBFactory.prototype.open = () => ({}) as IDBOpenDBRequest;
  });
  await page.goto('/');
  await page.clock.fastForward(6000);
  await expect(
    page.getByRole('heading', { name: 'The browser’s storage does not answer' }),
  ).toBeVisible();
});
