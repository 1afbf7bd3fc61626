import { key } from './words';
import { downloaded, expect, openAt, openDemo, reloadStored, test } from './bench';

const SVG = `<svg xmlns="http://www.w3.org/2000/svg" width="300mm" height="200mm" viewBox="0 0 300 200">
  <script>window.stolen = 1</script>
  <rect id="board" width="300" height="200" rx="20"/><g transform="translate(150 100)"><circle id="seat" r="30"/></g>
</svg>`;
const DXF = [
  '0\nSECTION\n2\nENTITIES',
  '0\nLWPOLYLINE\n8\n0\n90\n4\n70\n1\n10\n0\n20\n0\n10\n12\n20\n0\n42\n1\n10\n12\n20\n6\n10\n0\n20\n6\n42\n1',
  '0\nPOINT\n8\n0\n10\n1\n20\n1',
  '0\nENDSEC\n0\nEOF\n',
].join('\n');

test('an outline from SVG with a bare part, exported and imported alike', async ({ page }) => {
  await openDemo(page, '/pieces/new');
  await page.getByLabel('Name').fill('Drawn board');
  await page.getByLabel('Shape of the face').selectOption('outline');
  await key(page, 'addToTheBench').click();
  await expect(page.getByLabel('Drawing file')).toHaveAccessibleDescription(
    /choose a drawing file/,
  );
  const drop = (name: string, text: string) =>
    page
      .getByLabel('Drawing file')
      .setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });
  await drop('board.svg', SVG);
  // 300 × 200 mm less its corners: 60 000 − (4 − π) 400 = 59 656.6 mm².
  const area = key(page, 'areaOfOneFace');
  await expect(area).toHaveText(/597\scm²/);
  await expect(page.getByText('Left out: script × 1.')).toBeVisible();
  expect(await page.evaluate(() => 'stolen' in window)).toBe(false);
  // As a recess it is an area of its own, of the same size; then the hardware seat stays bare: − π 30² mm² = 568.3 cm².
  await page.getByLabel('What seat is').selectOption('bare');
  await expect(area).toHaveText(/568\scm²/);
  await key(page, 'edges').click();
  await page.getByRole('button', { name: 'All edges tape wall' }).click();
  const plan = await downloaded(page, () =>
    page.getByRole('button', { name: /Export the plan/ }).click(),
  );
  expect(plan).toContain('id="keep-bare-1"');
  await key(page, 'addToTheBench').click();
  await expect(key(page, 'planThisCoat')).toBeVisible();
  await key(page, 'planThisCoat').click();
  // 568.3 cm² × 1.6 mm = 90.9 ml of film; no open edge.
  await expect(page.getByRole('row', { name: /Film on the face/ })).toContainText(/90\.9\sml/);
  await expect(page.getByRole('row', { name: /Edges/ })).toHaveCount(0);

  await page.goto('/pieces/new');
  await page.getByLabel('Name').fill('Drawn again');
  await page.getByLabel('Shape of the face').selectOption('outline');
  await drop('plan.svg', plan);
  await page.getByLabel('What keep-bare-1 is').selectOption('bare');
  await expect(area).toHaveText(/568\scm²/);
});

test('an outline from DXF asks its unit; bad files are refused at the field', async ({ page }) => {
  await openDemo(page, '/pieces/new');
  await page.getByLabel('Shape of the face').selectOption('outline');
  const drop = (text: string) =>
    page
      .getByLabel('Drawing file')
      .setInputFiles({ name: 'a.dxf', mimeType: 'text/plain', buffer: Buffer.from(text) });
  const field = page.getByLabel('Drawing file');
  await drop('this is no drawing');
  await expect(field).toHaveAccessibleDescription(/This file is refused: not a DXF file/);
  await drop('<!DOCTYPE svg [<!ENTITY x "y">]><svg>&x;</svg>');
  await expect(field).toHaveAccessibleDescription(/document type or entities/);
  await drop(
    '<svg width="100mm" viewBox="0 0 100 100"><path d="M0 0 L100 100 L100 0 L0 100 Z"/></svg>',
  );
  await expect(field).toHaveAccessibleDescription(/crosses itself near/);
  await drop(DXF);
  await page.getByLabel('One drawing unit is').selectOption({ label: '1 in' });
  // A slot of 12 × 6 in between two half circles: 72 + π 9 in² = 646.9 cm².
  await expect(key(page, 'areaOfOneFace')).toHaveText(/647\scm²/);
  await expect(page.getByText('Left out: POINT × 1.')).toBeVisible();
  await page.getByLabel('One drawing unit is').selectOption({ label: '1 ft' });
  await expect(key(page, 'areaOfOneFace')).toHaveText(/9\.3\d\sm²/);
});

test('the demo’s drawn piece keeps its handle bare', async ({ page }) => {
  await openAt(page, 'Guard’s paddle', 'survey');
  await expect(key(page, 'areaOfOneFace')).toHaveText(/91\d\scm²/);
  await key(page, 'edges').click();
  await page.getByLabel('Edge 1', { exact: true }).selectOption('tape wall');
  await key(page, 'saveTheSurvey').click();
  await expect(page.getByText(/^Saved/)).toBeVisible();
  await reloadStored(page);
  await key(page, 'edges').click();
  await expect(page.getByLabel('Edge 1', { exact: true })).toHaveValue('tape wall');

  // Its width over all is typed: outline and bare handle follow, 340 to 400 mm is 913 to 1074 cm².
  await page.getByRole('button', { name: /^Width over all/ }).click();
  await page.getByLabel('Width over all').fill('400 mm');
  await page.keyboard.press('Enter');
  await expect(key(page, 'areaOfOneFace')).toHaveText(/107\d\scm²/);
  await expect(page.getByRole('button', { name: /^Height over all: 540/ })).toBeVisible();
});
