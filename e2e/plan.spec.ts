import { key } from './words';
import { expect, expectAccessible, openAt, openDemo, reloadStored, test } from './bench';
import type { Page } from '@playwright/test';

const area = (page: Page) => key(page, 'areaOfOneFace');
const plan = (page: Page) => page.getByRole('group', { name: /^Plan of/ });
const tool = (page: Page, name: string) =>
  page.getByRole('toolbar', { name: 'Tools of the plan' }).getByRole('button', { name });

/** Clicks places on the plan, px from its top left. */
async function clickPlan(page: Page, places: readonly (readonly [number, number])[]) {
  const box = await plan(page).boundingBox();
  if (!box) throw new Error('no plan');
  for (const [x, y] of places) await page.mouse.click(box.x + x, box.y + y);
}

test('a hexagon by its dimensions: dragged, typed into, undone and redone', async ({ page }) => {
  await openDemo(page, '/pieces/new');
  await page.getByLabel('Shape of the face').selectOption('regularPolygon');
  await page.getByLabel('Size across').fill('100 mm');
  // √3/2 · 100² mm² = 86.6 cm².
  await expect(area(page)).toHaveText(/86\.6\scm²/);
  const handle = page.getByRole('button', { name: /^Size, .*arrow keys change it/ });
  await handle.focus();
  await page.keyboard.press('Shift+ArrowUp');
  // 10 mm of half the size is 20 mm of size: √3/2 · 120² = 124.7 cm².
  await expect(page.getByLabel('Size across')).toHaveValue('120 mm');
  await expect(area(page)).toHaveText(/125\scm²/);
  await page.getByRole('button', { name: /Width on the plan/ }).click();
  await page.getByLabel('Width on the plan').fill('8 in');
  await page.keyboard.press('Enter');
  // √3/2 · 203.2² mm² = 357.6 cm².
  await expect(area(page)).toHaveText(/358\scm²/);
  await key(page, 'undo').click();
  await expect(area(page)).toHaveText(/125\scm²/);
  await page.keyboard.press('Control+z');
  await expect(area(page)).toHaveText(/86\.6\scm²/);
  await page.keyboard.press('Control+Shift+z');
  await expect(area(page)).toHaveText(/125\scm²/);
  // An edge is chosen on the plan, and told beside it.
  await page.getByRole('button', { name: /^Edge 2, open/ }).focus();
  await page.keyboard.press('Enter');
  await page.getByLabel('Edge 2', { exact: true }).selectOption('tape wall');
  await expect(page.getByRole('button', { name: /^Edge 2, tape wall/ })).toBeVisible();
  await page.getByLabel('Profile').selectOption('round');
  await page.getByLabel('Radius').fill('5 mm');
});

test('a free outline with a curve and a bare handle, by mouse', async ({ page }) => {
  await openDemo(page, '/pieces/new');
  await page.getByLabel('Name', { exact: true }).fill('Bat');
  await tool(page, 'Draw outline').click();
  const corners = [
    [250, 330],
    [490, 330],
    [490, 130],
    [250, 130],
  ] as const;
  await clickPlan(page, corners.slice(0, 3));
  await page.getByRole('button', { name: 'Next stretch: straight' }).click();
  await clickPlan(page, [corners[3]]);
  await page.getByRole('button', { name: 'Next stretch: curved' }).click();
  await clickPlan(page, [corners[0]]);
  await expect(page.getByLabel('Shape of the face')).toHaveValue('outline');
  // Three straight stretches; their lengths are typed so that the rectangle is 240 × 200 mm.
  const length = async (n: number, text: string) => {
    await page.getByRole('button', { name: new RegExp(`^Length of stretch ${n}:`) }).click();
    await page.getByLabel(`Length of stretch ${n}`).fill(text);
    await page.keyboard.press('Enter');
  };
  await length(1, '240 mm');
  await length(2, '200 mm');
  await expect(page.getByRole('button', { name: /^Length of stretch 1: 240/ })).toBeVisible();
  const first = Number.parseFloat((await area(page).innerText()).replace(/[^\d.]/g, ''));
  // 480 cm² and the bulge of the curve.
  expect(first).toBeGreaterThan(490);
  await page.getByRole('button', { name: /^Corner 3 at/ }).focus();
  await page.keyboard.press('c');
  // The curve made straight: the rectangle alone.
  await expect(area(page)).toHaveText(/480\scm²/);
  await key(page, 'undo').click();
  await expect(area(page)).toHaveText(new RegExp(`${first}\\s`));

  await key(page, 'showAll').click();
  await tool(page, 'Bare part').click();
  const box = await plan(page).boundingBox();
  const low = await page.getByRole('button', { name: /^Length of stretch 1/ }).count();
  expect(low).toBe(0);
  await clickPlan(page, [
    [320, 380],
    [420, 380],
    [420, 320],
    [320, 320],
    [320, 380],
  ]);
  expect(box).not.toBeNull();
  await expect(page.getByRole('button', { name: 'Bare part 1', exact: true })).toBeVisible();
  const rest = Number.parseFloat((await area(page).innerText()).replace(/[^\d.]/g, ''));
  expect(rest).toBeLessThan(first);
  await page.getByRole('button', { name: 'Bare part 1', exact: true }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Remove bare part 1' }).click();
  await expect(area(page)).toHaveText(new RegExp(`${first}\\s`));
  await key(page, 'undo').click();
  await key(page, 'addToTheBench').click();
  await expect(key(page, 'planThisCoat')).toBeVisible();
});

test('a triangle drawn by keyboard alone; crossed, it is shown where and untangled', async ({
  page,
}) => {
  await openDemo(page, '/pieces/new');
  await page.getByLabel('Name', { exact: true }).fill('Keys');
  await tool(page, 'Draw outline').focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('application')).toBeFocused();
  const go = async (keys: readonly string[]) => {
    for (const key of keys) await page.keyboard.press(key);
  };
  await go(['Space', 'Shift+ArrowRight', 'Shift+ArrowUp', 'Space', 'Shift+ArrowDown', 'Space']);
  await go(['Shift+ArrowLeft', 'Shift+ArrowUp', 'Space', 'f']);
  await expect(page.getByText(/This outline crosses itself near/).first()).toBeVisible();
  await key(page, 'addToTheBench').click();
  await expect(page.getByLabel('Drawing file')).toHaveAccessibleDescription(/crosses itself near/);
  await page.getByRole('button', { name: 'Untangle it' }).focus();
  await page.keyboard.press('Enter');
  await expect(area(page)).toBeVisible();
  await key(page, 'addToTheBench').focus();
  await page.keyboard.press('Enter');
  await expect(key(page, 'planThisCoat')).toBeVisible();
});

test('recess, back, relief, level and marks are kept; a needed area stays', async ({ page }) => {
  await openAt(page, 'Signal-box board', 'survey');
  await tool(page, 'Recess').click();
  await clickPlan(page, [
    [350, 230],
    [420, 230],
    [420, 190],
    [350, 190],
    [350, 230],
  ]);
  await expect(key(page, 'recess1')).toHaveAttribute('aria-pressed', 'true');
  await page.getByLabel('Depth').fill('4 mm');
  await expect(page.getByText('Holds')).toBeVisible();
  await page.getByRole('button', { name: 'Face', exact: true }).click();
  await tool(page, 'Hardware').click();
  await clickPlan(page, [[370, 160]]);
  await page.getByRole('tab', { name: 'Level' }).click();
  await expect(page.getByLabel('Name of mark 3')).toHaveValue('Fitting 3');
  await page.getByRole('button', { name: 'Simulated sensor (not real)' }).click();
  await expect(page.getByText(/Simulated reading/)).toBeVisible();
  await expect(page.getByRole('row', { name: /Prop 1.*raise/ })).toBeVisible();
  await expect(page.getByText('▲ Level it first')).toBeVisible();
  await key(page, 'surface').click();
  await page.getByLabel('Greatest height').fill('1 in');
  await page.getByLabel('Mean height').fill('2 in');
  await key(page, 'piece').click();
  await key(page, 'saveTheSurvey').click();
  // The message opens the tab on which it stands.
  await expect(page.getByLabel('Mean height')).toHaveAccessibleDescription(/Between/);
  await page.getByLabel('Mean height').fill('0.5 in');
  await expectAccessible(page);
  await key(page, 'saveTheSurvey').click();
  await expect(page.getByText(/^Saved/)).toBeVisible();
  await reloadStored(page);
  await key(page, 'recess1').click();
  await expect(page.getByLabel('Depth')).toHaveValue('4 mm');
});
