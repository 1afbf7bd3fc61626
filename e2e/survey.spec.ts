import { key } from './words';
import { expect, expectAccessible, openAt, openDemo, openPiece, reloadStored, test } from './bench';
import type { Page } from '@playwright/test';

const area = (page: Page) => key(page, 'areaOfOneFace');
const SVG = `<svg xmlns="http://www.w3.org/2000/svg" width="300mm" height="200mm" viewBox="0 0 300 200">
  <rect id="board" width="300" height="200"/><circle id="dial" cx="150" cy="100" r="40"/><circle id="seat" cx="40" cy="40" r="10"/>
</svg>`;

test('a recess from a file is an area of its own; a coat goes where it is told', async ({
  page,
}) => {
  await openDemo(page, '/pieces/new');
  await page.getByLabel('Name', { exact: true }).fill('Clock board');
  await page.getByLabel('Shape of the face').selectOption('outline');
  await page
    .getByLabel('Drawing file')
    .setInputFiles({ name: 'clock.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(SVG) });
  await page.getByLabel('What dial is').selectOption('recess');
  await page.getByLabel('What seat is').selectOption('bare');
  // 300 × 200 mm less π 10² mm²: 596.9 cm².
  await expect(area(page)).toHaveText(/597\scm²/);
  await key(page, 'recess1').click();
  // π 40² mm² = 50.3 cm², 3 mm deep: 15.1 ml.
  await expect(area(page)).toHaveText(/50\.3\scm²/);
  await expect(page.getByText(/15\.1\sml/)).toBeVisible();
  // Made the outline again, it is a recess no more.
  await page.getByRole('button', { name: 'Face', exact: true }).click();
  await key(page, 'addToTheBench').click();
  await expect(page.getByRole('group', { name: 'On which areas' })).toBeVisible();
  await expect(page.getByLabel('Face', { exact: true })).toBeChecked();
  await expect(page.getByLabel('Recess 1')).not.toBeChecked();
  await page.getByLabel('Face', { exact: true }).uncheck();
  await expect(page.getByText('Choose at least one area.')).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel('Recess 1').check();
  await key(page, 'planThisCoat').click();
  // It starts filled level with the face: 50.27 cm² × 3 mm = 15.1 ml.
  await expect(page.getByRole('row', { name: /Fills the recess/ })).toContainText(/15\.1\sml/);
});

test('every tab of the survey passes axe and holds what is typed', async ({ page }) => {
  await openAt(page, 'Relief map', 'survey');
  for (const name of ['Edges', 'Surface', 'Level, marks', 'Piece']) {
    await page.getByRole('tab', { name }).click();
    await expect(page.getByRole('tab', { name })).toHaveAttribute('aria-selected', 'true');
    // The other two are checked where they are filled in.
    if (name !== 'Edges' && name !== 'Piece') await expectAccessible(page);
  }
  // By arrows as well, round and round.
  await key(page, 'piece').press('ArrowLeft');
  await expect(page.getByRole('tab', { name: 'Level, marks' })).toBeFocused();
  await page.keyboard.press('Home');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(key(page, 'surface')).toBeFocused();
  await expect(page.getByLabel('Its age, days')).toHaveValue('40');
  await key(page, 'addRelief').click();
  await page.getByLabel('What stands up').nth(1).selectOption('stones');
  await key(page, 'edges').click();
  await page.getByLabel('Profile').selectOption('bevel');
  await page.getByLabel('Size of the bevel').fill('2 mm');
  await key(page, 'saveTheSurvey').click();
  await expect(page.getByText(/^Saved/)).toBeVisible();
  await reloadStored(page);
  await key(page, 'surface').click();
  await expect(page.getByLabel('What stands up').nth(1)).toHaveValue('stones');
  await key(page, 'edges').click();
  await expect(page.getByLabel('Size of the bevel')).toHaveValue('2 mm');
});

test('a back and an edge band are added and removed; an area under a coat stays', async ({
  page,
}) => {
  await openAt(page, 'Viaduct painting', 'survey');
  await page.getByRole('button', { name: '+ Back' }).click();
  await expect(area(page)).toHaveText(/2400\scm²/);
  await page.getByRole('button', { name: '+ Edge band' }).click();
  // 2 m all round, 18 mm high.
  await expect(area(page)).toHaveText(/360\scm²/);
  await page.getByRole('button', { name: 'Remove Edge band' }).click();
  await expect(page.getByRole('button', { name: 'Edge band', exact: true })).toHaveCount(0);
  await key(page, 'undo').click();
  await expect(page.getByRole('button', { name: 'Edge band', exact: true })).toBeVisible();
  await key(page, 'saveTheSurvey').click();
  await expect(page.getByText(/^Saved/)).toBeVisible();
  await key(page, 'pieces').click();
  // The face still comes first wherever the piece is drawn.
  await page.getByRole('heading', { level: 2, name: 'Viaduct painting' }).click();
  await expect(page.getByText(/600 × 400\smm/).first()).toBeVisible();
});

test('the view: closer, farther, moved, all shown; the plan is dragged, snapping can be off', async ({
  page,
}) => {
  await openAt(page, 'Hall tiles', 'survey');
  const plan = page.getByRole('group', { name: /^Plan of/ });
  const handle = page.getByRole('button', { name: /^Size, / });
  const top = async () => (await handle.boundingBox())?.y ?? NaN;
  const before = await top();
  await page.getByRole('button', { name: 'Closer' }).click();
  expect(await top()).toBeLessThan(before);
  await key(page, 'showAll').click();
  expect(await top()).toBeCloseTo(before, 0);
  const box = await plan.boundingBox();
  if (!box) throw new Error('no plan');
  await page.mouse.move(box.x + 40, box.y + 380);
  await page.mouse.down();
  await page.mouse.move(box.x + 40, box.y + 330, { steps: 5 });
  await page.mouse.up();
  expect(await top()).toBeLessThan(before - 30);
  await page.keyboard.down('Control');
  await page.mouse.wheel(0, -200);
  await page.keyboard.up('Control');
  await key(page, 'showAll').click();
  await page.getByRole('button', { name: /Snap on/ }).click();
  await expect(page.getByRole('button', { name: /Snap off/ })).toHaveAttribute(
    'aria-pressed',
    'false',
  );
  // 150 mm across flats; dragged up by hand it grows, and one undo takes the whole drag back.
  const at = await handle.boundingBox();
  if (!at) throw new Error('no handle');
  await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2);
  await page.mouse.down();
  await page.mouse.move(at.x + at.width / 2, at.y - 20, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByLabel('Size across')).not.toHaveValue('150 mm');
  await key(page, 'undo').click();
  await expect(page.getByLabel('Size across')).toHaveValue('150 mm');
});

test('units change in one place, and the plan is typed into in inches', async ({ page }) => {
  await openDemo(page, '/settings');
  await page.getByLabel('Units').selectOption('us');
  await key(page, 'saveTheSettings').click();
  await openPiece(page, 'Viaduct painting', 'survey');
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue(/23\.622\d* in/);
  await page.getByRole('button', { name: /^Width on the plan/ }).click();
  await page.getByLabel('Width on the plan').fill('wide');
  await page.keyboard.press('Enter');
  await expect(page.getByText('A length, like 30 cm')).toBeVisible();
  await page.getByLabel('Width on the plan').fill('24');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('24');
  // 24 × 15.748 in = 377.95 in².
  await expect(area(page)).toHaveText(/378\sin²/);
});
