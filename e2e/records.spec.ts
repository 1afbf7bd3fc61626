import { key } from './words';
import { expect, openAt, openDemo, openPiece, reloadStored, test } from './bench';

/** A picture of one pixel with a marker of position data behind it, as a camera would leave it. */
const PNG = Buffer.concat([
  Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    'base64',
  ),
  Buffer.from('Exif GPSLatitude 51.5'),
]);

test('from an empty shop: a resin, a piece, a coat', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('link', { name: 'Enter a resin' }).click();
  await key(page, 'saveTheSheet').click();
  await expect(page.getByLabel('Name', { exact: true })).toHaveAccessibleDescription(/Needed\./);
  await page.getByLabel('Name', { exact: true }).fill('Orchard Coat');
  await expect(page.getByText(/Densities of A and B are assumed/)).toBeVisible();
  await page.getByLabel('Density of A').fill('1.13');
  await page.getByLabel('Density of B').fill('1.01 g/ml');
  await key(page, 'saveTheSheet').click();
  await expect(page.getByRole('heading', { level: 1, name: 'Orchard Coat' })).toBeVisible();
  // 1.13 / 1.01 − 1 = 11.9 % too much B when weighed 1 : 1.
  await expect(page.getByText(/puts in 11\.9\s%/)).toBeVisible();
  await page.getByLabel('Recoat opens').fill('10 h');
  await key(page, 'saveTheSheet').click();
  await expect(page.getByText('✓ Saved')).toBeVisible();
  await reloadStored(page);
  await expect(page.getByLabel('Recoat opens')).toHaveValue('10 h');
  await key(page, 'book').click();
  await expect(page.getByText('resin changed')).toBeVisible();
});

test('a defect with its photo: position data is left out, the repair is logged once', async ({
  page,
}) => {
  await openAt(page, 'Hall tiles', 'inspect');
  await page.getByLabel('Photo', { exact: true }).setInputFiles({
    name: 'notes.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from('no picture'),
  });
  await expect(page.getByLabel('Photo', { exact: true })).toHaveAccessibleDescription(
    /not a picture/,
  );
  await page
    .getByLabel('Photo', { exact: true })
    .setInputFiles({ name: 'tile.png', mimeType: 'image/png', buffer: PNG });
  await page.getByLabel('What it is').selectOption('fish eye');
  await page.getByLabel('Note').fill('tile 3, by the rim');
  await key(page, 'noteIt').click();
  const defects = page.getByRole('region', { name: 'Defects' });
  await expect(defects.getByRole('img', { name: /Photo of fish eye/ })).toBeVisible();
  const stored = await page.evaluate(async () => {
    const photos = await new Promise<{ name: string; blob: Blob }[]>((resolve) => {
      const open = indexedDB.open('bilamina');
      open.onsuccess = () => {
        const all = open.result.transaction('photos').objectStore('photos').getAll();
        all.onsuccess = () => resolve(all.result);
      };
    });
    const blob = photos.find((p) => p.name === 'tile.png')?.blob ?? new Blob();
    return { type: blob.type, text: await blob.text() };
  });
  expect(stored.type).toBe('image/jpeg');
  expect(stored.text).not.toContain('GPSLatitude');
  await page.getByRole('button', { name: 'Repaired', exact: true }).click();
  await expect(defects).toContainText('repaired 13:3');
  await expect(page.getByRole('button', { name: 'Repaired', exact: true })).toHaveCount(0);
});

test('a second coat is planned and taken off; the reserve follows its school; names stand in the log', async ({
  page,
}) => {
  await openDemo(page, '/settings');
  await page.getByLabel('Who works here').fill('Maren');
  await page.getByLabel('Reserve, school').selectOption('share10');
  await key(page, 'saveTheSettings').click();
  await expect(page.getByText('✓ Saved')).toBeVisible();
  await openPiece(page, 'Timetable canvas', 'coats');
  await key(page, 'planAnotherCoat').click();
  await page.getByLabel('Coat', { exact: true }).fill('Top flood');
  await page.getByLabel('Resin', { exact: true }).selectOption({ label: 'Millrace Clear' });
  await page.getByLabel('Film thickness').first().fill('9 mm');
  await key(page, 'planThisCoat').click();
  await expect(page.getByLabel('Film thickness').first()).toHaveAccessibleDescription(
    /Between 0\.50\smm and 6\.00\smm/,
  );
  await page.getByLabel('Film thickness').first().fill('2 mm');
  await key(page, 'planThisCoat').click();
  const ledger = page.getByRole('region', { name: 'Ledger of Top flood' });
  await expect(ledger).toBeVisible();
  const reserve = ledger.getByRole('row', { name: /Reserve/ });
  const tenth = await reserve.innerText();
  await page.getByLabel('Reserve', { exact: true }).selectOption('risk99');
  await expect(reserve).not.toHaveText(tenth);
  // Only the next coat goes into a session; this one waits for the one below.
  await expect(key(page, 'addToAWetSession')).toHaveCount(0);
  await key(page, 'takeCoatOff').click();
  await expect(page.getByRole('region', { name: 'Ledger of Skim' })).toBeVisible();
  await key(page, 'book').click();
  await page.getByLabel('Search the log').fill('coat removed maren');
  await expect(page.getByText('1 of')).toBeVisible();
});

test('what cannot be taken back asks first, and keeping changes nothing', async ({ page }) => {
  await openDemo(page, '/settings');
  await expect(page.getByRole('button', { name: 'Load the demo shop' })).toBeDisabled();
  await key(page, 'emptyTheShop').click();
  await expect(page.getByText('A wet session is open.')).toHaveCount(0);
  await page.getByRole('button', { name: 'Keep as it is' }).click();
  await expect(page.getByText('16 pieces, 4 resins.')).toBeVisible();
  await key(page, 'emptyTheShop').click();
  await page.keyboard.press('Escape');
  await expect(page.getByText('16 pieces, 4 resins.')).toBeVisible();
});
