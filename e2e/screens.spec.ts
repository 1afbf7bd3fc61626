import { key } from './words';
import {
  expect,
  expectAccessible,
  mainButton,
  openAt,
  openDemo,
  openPiece,
  reloadStored,
  test,
} from './bench';

test('back and forward lead through the places that were seen, also over a reload', async ({
  page,
}) => {
  await openDemo(page);
  const places = key(page, 'places');
  const at = async (name: string, path: string) => {
    await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
    await expect(page).toHaveURL(path);
    await expect(page).toHaveTitle(`${name} · Bilamina`);
  };
  await key(places, 'pieces').click();
  await at('Pieces', '/pieces');
  await page.getByRole('heading', { level: 2, name: 'Viaduct painting' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Viaduct painting' })).toBeVisible();
  await places.getByRole('link', { name: 'Room' }).click();
  await at('Room', '/room');
  await page.goBack();
  await expect(page.getByRole('heading', { level: 1, name: 'Viaduct painting' })).toBeVisible();
  await page.goBack();
  await at('Pieces', '/pieces');
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'Next, in order' })).toBeVisible();
  await page.goForward();
  await at('Pieces', '/pieces');
  await page.reload();
  await at('Pieces', '/pieces');
  for (let i = 0; i < 2; i += 1) await page.goForward();
  await at('Room', '/room');
  // Back, and on at once: the address is that of the place that is shown.
  await page.evaluate(() => window.history.back());
  await page.waitForFunction(() => window.location.pathname.startsWith('/pieces/'));
  await key(places, 'book').click();
  await at('Book', '/book');
});

test('an empty shop welcomes, and passes axe', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'The bench is empty' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Load the demo shop' }).click();
  await expect(page.getByRole('heading', { name: 'Next, in order' })).toBeVisible();
});

test('the wet session by keyboard alone; every step passes axe, targets are large', async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole('link', { name: /Flood 2, Viaduct painting/ }).focus();
  await page.keyboard.press('Enter');
  await key(page, 'addToAWetSession').focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: /gather the coats/ })).toBeVisible();
  await expectAccessible(page);
  const missing = page
    .getByRole('region', { name: 'At hand' })
    .getByRole('button', { pressed: false });
  for (let left = 5; left > 0; left -= 1) {
    await missing.first().focus();
    await page.keyboard.press('Enter');
    await expect(missing).toHaveCount(left - 1);
  }
  await (await mainButton(page, /^Start: weigh A/)).focus();
  await page.keyboard.press('Enter');
  for (const title of ['Weigh part A', 'Weigh part B', 'Stir', 'Stirring', 'Pour', 'Cover']) {
    await expect(page.getByRole('heading', { level: 1, name: title, exact: true })).toBeVisible();
    await expectAccessible(page);
    if (title.startsWith('Weigh')) await page.keyboard.press('r');
    if (title === 'Stirring') await page.clock.fastForward('04:00');
    const main = page.locator('button[aria-keyshortcuts="Space"]');
    await expect(main).toBeEnabled();
    await expect(main).not.toContainText('hold');
    const box = await main.boundingBox();
    expect(Math.min(box?.height ?? 0, box?.width ?? 0)).toBeGreaterThanOrEqual(64);
    const poured =
      title === 'Pour' ? await page.getByRole('button', { name: /Poured: / }).innerText() : '';
    await page.keyboard.press('Space');
    if (poured) await expect(page.getByRole('button', { name: poured })).toHaveCount(0);
  }
  await expect(page.getByRole('heading', { name: 'Covered. The clocks run.' })).toBeVisible();
  await expectAccessible(page);
});

test('a piece and its coat by keyboard alone; the surface is a slider', async ({ page }) => {
  await openDemo(page, '/pieces/new');
  await page.getByLabel('Name').focus();
  await page.keyboard.type('Keyboard board');
  for (const [label, text] of [
    ['Width', '40 cm'],
    ['Height', '20 cm'],
  ] as const) {
    await page.getByLabel(label, { exact: true }).focus();
    await page.keyboard.type(text);
  }
  await page.keyboard.press('Enter');
  await key(page, 'planThisCoat').focus();
  await page.keyboard.press('Enter');
  const slider = page.getByRole('slider', { name: 'Thickness of Flood 1' });
  // A panel with open edges levels itself: 1.5 mm.
  await expect(slider).toHaveAttribute('aria-valuetext', /1\.5\d\smm/);
  await slider.focus();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('PageUp');
  await expect(slider).toHaveAttribute('aria-valuetext', /2\.10\smm/);
  // Open edges hold 1.9 mm of them: 150 ml stay on the face, 14 wet the edges, the rest runs off.
  await expect(page.getByRole('row', { name: /Film on the face/ })).toContainText(/15\d\sml/);
  await expect(page.getByRole('row', { name: /Runs off open edges/ })).toContainText(
    /[1-9]\.\d\sml/,
  );
  // The field says what is stored.
  await expect(page.getByLabel('Film thickness')).toHaveValue(/^2\.1 mm/);
  await reloadStored(page);
  await expect(page.getByRole('slider', { name: 'Thickness of Flood 1' })).toHaveAttribute(
    'aria-valuetext',
    /2\.10\smm/,
  );
});

test('dragging the surface changes the ledger, and the sheet’s limits hold', async ({ page }) => {
  await openAt(page, 'Viaduct painting', 'coats');
  const slider = page.getByRole('slider', { name: /^Thickness of/ });
  const face = page.getByRole('row', { name: /Film on the face/ });
  await expect(face).toContainText(/432\sml/);
  const box = await slider.boundingBox();
  if (!box) throw new Error('no handle');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y - 20, { steps: 4 });
  await expect(face).not.toContainText(/432\sml/);
  await page.mouse.move(x, y - 700, { steps: 4 });
  await page.mouse.up();
  await expect(slider).toHaveAttribute('aria-valuetext', /6\.00\smm/);
  // 1440 ml in all: what the open edges hold stays, and the rest has its own line.
  await expect(face).toContainText(/4[56]\d\sml/);
  await expect(page.getByRole('row', { name: /Runs off open edges/ })).toContainText(/9[45]\d\sml/);
  // A film that open edges cannot hold says how much runs off, and opens to why.
  await page.getByLabel('Film thickness').fill('3 mm');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/2[34]\d\sml run off open edges/)).toBeVisible();
  await page.getByRole('button', { name: /Film that open edges hold/ }).click();
  await expect(page.getByRole('dialog', { name: 'Film that open edges hold' })).toContainText(
    'thicker runs off',
  );
});

test('messages stand at the field they concern', async ({ page }) => {
  await openDemo(page, '/pieces/new');
  await page.getByLabel('Width', { exact: true }).fill('10 km');
  await page.getByLabel('Height', { exact: true }).fill('12 ml');
  await key(page, 'addToTheBench').click();
  await expect(page.getByLabel('Width', { exact: true })).toHaveAccessibleDescription(
    /Between 1\smm and 10\sm/,
  );
  await expect(page.getByLabel('Height', { exact: true })).toHaveAccessibleDescription(
    /measures something else/,
  );
  await expect(page.getByLabel('Name')).toHaveAccessibleDescription('Needed.');
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('10 km');
  await page.goto('/resins/demo-millrace');
  await page.getByLabel('Recoat shuts').fill('6 h');
  await key(page, 'saveTheSheet').click();
  await expect(page.getByLabel('Recoat shuts')).toHaveAccessibleDescription(
    /Too early: not before 9\.0\sh/,
  );
});

test('US units change in one place; a colder room moves the windows; corrections are added', async ({
  page,
}) => {
  await openDemo(page, '/settings');
  await page.getByLabel('Units').selectOption('us');
  await key(page, 'saveTheSettings').click();
  await expect(page.getByText('✓ Saved')).toBeVisible();
  await openPiece(page, 'Signal-box board', 'cure');
  const recoat = page
    .getByRole('region', { name: 'Cure of Flood 1' })
    .getByRole('row', { name: /Recoat/ });
  await expect(recoat).toContainText('22:37');
  await page.getByLabel('Room temperature').fill('61 F');
  await page.getByRole('button', { name: 'Note it, move every clock' }).click();
  // Read at 61 °F (16.1 °C) and drawn back by the room’s own day: later by the hours that it stays cold.
  await expect(recoat).toContainText(/Wed 0[0-3]:\d\d/);
  await key(page, 'book').click();
  await expect(page.getByText(/room 61\.0\s°F/)).toBeVisible();
  await page
    .getByRole('button', { name: /Correct: air noted/ })
    .first()
    .click();
  await page.getByLabel(/Correction of/).fill('read on the wrong wall');
  await page.keyboard.press('Enter');
  await expect(page.getByText('read on the wrong wall')).toBeVisible();
});
