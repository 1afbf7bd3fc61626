import { key } from './words';
import { shoreFile } from '../src/demo/test/scenes';
import { expect, expectAccessible, openAt, openDemo, test } from './bench';

test.use({ viewport: { width: 1280, height: 800 } });

test('a photo is traced end to end: marks by mouse and keys, cancelled, found, used and kept', async ({
  page,
}) => {
  const width = 1000;
  const { png, corners, inside, shore, areaM2 } = shoreFile(width);
  await openDemo(page, '/pieces/new');
  await page.getByLabel('Name', { exact: true }).fill('Traced');
  await page.getByRole('button', { name: 'Trace a photo' }).click();
  const dialog = page.getByRole('dialog', { name: 'Trace a photo' });
  const file = dialog.getByLabel('1 · Photo');
  await file.setInputFiles({
    name: 'notes.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from('no picture'),
  });
  await expect(file).toHaveAccessibleDescription(/not a picture that the browser can read/);
  await file.setInputFiles({ name: 'table.png', mimeType: 'image/png', buffer: Buffer.from(png) });
  const stage = dialog.getByRole('group', { name: 'Photo with marks' });
  const drag = async (name: RegExp, [x, y]: readonly [number, number]) => {
    const mark = dialog.getByRole('button', { name });
    const at = await mark.evaluate((g) => {
      const matrix = (g as unknown as SVGGElement).getScreenCTM();
      return [matrix?.e ?? 0, matrix?.f ?? 0] as const;
    });
    // What is told beside the photo may have moved it.
    const box = await stage.boundingBox();
    if (!box) throw new Error('no photo');
    const scale = box.width / width;
    await page.mouse.move(at[0], at[1]);
    await page.mouse.down();
    await page.mouse.move(box.x + x * scale, box.y + y * scale, { steps: 3 });
    await page.mouse.up();
  };
  // Crossed marks are told before anything is computed.
  await drag(/^Corner mark 1/, corners[2]);
  await drag(/^Corner mark 3/, corners[0]);
  await drag(/^Corner mark 2/, corners[1]);
  await drag(/^Corner mark 4/, corners[3]);
  await drag(/^Mark inside/, inside);
  await dialog.getByRole('button', { name: 'Add a “part” mark' }).click();
  await drag(/^Mark on a part/, shore);
  await key(dialog, 'findTheEdge').click();
  await expect(dialog.getByText(/corner marks are crossed/)).toBeVisible();
  await drag(/^Corner mark 1/, [corners[0][0] - 3, corners[0][1]]);
  await drag(/^Corner mark 3/, corners[2]);
  await drag(/^Corner mark 1/, [corners[0][0] - 3, corners[0][1]]);
  for (let i = 0; i < 3; i += 1) await page.keyboard.press('ArrowRight');
  await key(dialog, 'findTheEdge').click();
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await expect(key(dialog, 'findTheEdge')).toBeVisible();
  await key(dialog, 'findTheEdge').click();
  const found = dialog.getByRole('button', { name: /Area traced from the photo/ });
  await expect(found).toBeVisible({ timeout: 25_000 });
  const cm2 = Number.parseFloat((await found.innerText()).replace(/[^\d.]/g, ''));
  expect(Math.abs(cm2 / (areaM2 * 1e4) - 1)).toBeLessThan(0.02);
  await expect(dialog.getByText('1 boundary inside it')).toBeVisible();
  await expectAccessible(page);
  await dialog.getByRole('button', { name: 'Use this outline' }).click();
  // The part with a colour of its own is a place of the face.
  const places = page.getByRole('region', { name: 'Places' });
  await expect(places.getByRole('button', { name: 'Face 2' })).toBeVisible();
  const area = key(page, 'areaOfOneFace');
  await expect(area).toHaveText(new RegExp(`${Math.floor(cm2)}|${Math.ceil(cm2)}`));
  await key(page, 'addToTheBench').click();
  await key(page, 'planThisCoat').click();
  await key(page, 'stagesOfThePiece')
    .getByRole('link', { name: /survey/i })
    .click();
  // The straightened photo lies under the plan, from the shop's own data.
  await expect(page.locator('svg[aria-label="Plan of Traced"] image')).toHaveCount(1);
  await expect(area).toHaveText(new RegExp(`${Math.floor(cm2)}|${Math.ceil(cm2)}`));
});

test('the demo’s traced piece shows its photo, and says how sure its area is', async ({ page }) => {
  await openAt(page, 'Signal lamp lens', 'survey');
  await expect(page.locator('svg[aria-label="Plan of Signal lamp lens"] image')).toHaveCount(1);
  await expect(page.getByText('± 1.2 %')).toBeVisible();
  await key(page, 'areaOfOneFace').click();
  await expect(page.getByText(/straightened by a homography/)).toBeVisible();
});

test('on a touch screen of 1024 × 768 the plan is drawn by tapping', async ({
  browser,
  baseURL,
}) => {
  const context = await browser.newContext({
    viewport: { width: 1024, height: 768 },
    hasTouch: true,
    ...(baseURL && { baseURL }),
  });
  const page = await context.newPage();
  await page.goto('/pieces/new');
  await page.getByRole('button', { name: 'Draw outline' }).tap();
  const box = await page.getByRole('group', { name: /^Plan of/ }).boundingBox();
  if (!box) throw new Error('no plan');
  for (const [x, y] of [
    [120, 330],
    [360, 330],
    [360, 130],
    [120, 330],
  ] as const)
    await page.touchscreen.tap(box.x + x, box.y + y);
  await expect(key(page, 'areaOfOneFace')).toBeVisible();
  await context.close();
});
