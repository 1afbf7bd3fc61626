import { key } from './words';
import {
  downloadedBytes,
  expect,
  expectAccessible,
  makeReady,
  mixStirred,
  openAt,
  openDemo,
  openPiece,
  openStage,
  pdfWords,
  pressMain,
  test,
} from './bench';

test('a piece leaves: last steps, care by its clocks, sheet and label read back, closed, read-only, opened again', async ({
  page,
}) => {
  test.slow();
  await openAt(page, 'Luggage label set', 'finish');
  await expect(page.getByText(/^✓ Nothing keeps it/)).toBeVisible();
  await page.getByRole('button', { name: 'Put 2 steps on the list' }).click();
  await page.getByRole('button', { name: 'Done: Photograph it in good light' }).click();
  await expect(
    page.getByRole('button', { name: 'Take back: Photograph it in good light' }),
  ).toBeVisible();
  await expect(page.getByText(/^One last step is not ticked/)).toBeVisible();
  const care = page.getByRole('region', { name: 'Care' });
  await expect(care).toContainText(/Fully cured by \d+ Nov 2026/);
  await expect(care).not.toContainText(/food/i);

  const sheet = await pdfWords(
    await downloadedBytes(page, () =>
      page.getByRole('button', { name: 'Hand-over sheet (PDF)' }).click(),
    ),
  );
  for (const words of [
    ...['Luggage label set × 12', 'Build-up, cut through', 'bottles M-318', 'Care'],
    'put right: Bubbles, pinholes',
  ])
    expect(sheet).toContain(words);
  // The same day as on screen.
  const cured = /Fully cured by (\d+ Nov 2026)/.exec(await care.innerText())?.[1] ?? 'none';
  expect(sheet).toContain(cured);
  const label = await pdfWords(
    await downloadedBytes(page, () =>
      page.getByRole('button', { name: 'Label with code (PDF)' }).click(),
    ),
  );
  expect(label).toContain('Luggage label set');

  // An hour of hands is kept, and counted.
  await page.getByLabel(/^An hour of hands/).fill('40');
  await page.keyboard.press('Tab');
  const bill = page.getByRole('region', { name: 'What it took' });
  await expect(bill.getByRole('row', { name: /^Total/ })).toContainText('£');

  await key(page, 'itLeaves').click();
  await expect(page.getByRole('heading', { name: '✓ It has left' })).toBeVisible();
  await expectAccessible(page);
  // Its record is read-only: what is tried is refused, and said.
  await openStage(page, 'inspect');
  await key(page, 'noteIt').click();
  await expect(page.getByText(/has left and its record is closed/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await openStage(page, 'finish');
  await page.getByRole('button', { name: 'Open it again' }).click();
  await expect(page.getByText('Needed.')).toBeVisible();
  await page.getByLabel('Why it is opened again').fill('One label came back chipped');
  await page.getByRole('button', { name: 'Open it again' }).click();
  await expect(key(page, 'itLeaves')).toBeVisible();
});

test('what is unfinished keeps a piece here, each with the way to where it is done', async ({
  page,
}) => {
  await openAt(page, 'Relief map', 'finish');
  const left = page.getByRole('region', { name: 'What is left' });
  await expect(key(left, 'maskIsOn')).toBeVisible();
  await expect(left.getByRole('link', { name: 'A finding is open' })).toBeVisible();
  await expect(key(page, 'itLeaves')).toBeDisabled();
  await left.getByRole('link', { name: 'A finding is open' }).click();
  await expect(page).toHaveURL(/\/inspect$/);
});

test('Book tells what goes wrong, with bands, and passes axe', async ({ page }) => {
  await openDemo(page, '/book');
  await page.getByRole('button', { name: 'What goes wrong' }).click();
  const faults = page.getByRole('region', { name: 'What goes wrong' });
  await expect(faults.getByText('right the first time')).toBeVisible();
  await expect(faults.getByText(/\d+ of \d+, likely \d+\s%/).first()).toBeVisible();
  await expect(faults.getByRole('region', { name: 'By who mixed' })).toContainText('Ines');
  await expect(faults.getByRole('region', { name: 'Findings by likely cause' })).toContainText(
    'too much heat while it was thin',
  );
  await expectAccessible(page);
});

test('a set of castings: latex off, gilding redone and looked at, gone with a care note that claims what its sheet declares', async ({
  page,
}) => {
  test.slow();
  await openDemo(page, '/pieces/new');
  await page.getByLabel('Name', { exact: true }).fill('Key fobs');
  await page.getByLabel('Support').selectOption('cured resin');
  await page.getByLabel('How many alike').fill('6');
  await page.getByLabel('Width', { exact: true }).fill('60 mm');
  await page.getByLabel('Height', { exact: true }).fill('40 mm');
  await key(page, 'addToTheBench').click();
  await key(page, 'planThisCoat').click();
  await key(page, 'prepareFirst').click();
  await page.getByLabel('Masks, school').selectOption('latex');
  await page.getByRole('button', { name: 'Done: Sand for tooth' }).click();
  await page.getByRole('button', { name: 'Done: Lift the sanding dust' }).click();
  await page.getByRole('button', { name: 'Done: Mask: latex' }).click();
  await expect(page.getByText(/^drying until/).first()).toBeVisible();
  await page.clock.fastForward('08:00:00');
  await makeReady(page);
  await key(page, 'addToAWetSession').click();
  await mixStirred(page);
  await pressMain(page, /^Poured: Key fobs/);
  await pressMain(page, /^Covered/);
  await expect(page.getByRole('heading', { name: /The clocks run/ })).toBeVisible();
  // Latex peels after the cure.
  await page.clock.fastForward(3 * 24 * 3_600_000);
  await key(page, 'today').click();
  await openPiece(page, 'Key fobs', 'finish');
  // The latex is still on: it keeps the set here, and comes off from the list.
  await expect(key(page, 'maskIsOn')).toBeVisible();
  await page.getByRole('button', { name: /^Done: Take the mask off: latex/ }).click();
  await expect(key(page, 'maskIsOn')).toHaveCount(0);
  await openStage(page, 'inspect');
  await page.getByLabel('What it is').selectOption('gilding lifted');
  await key(page, 'noteIt').click();
  const finding = page.getByRole('region', { name: 'Finding 1' });
  await finding.getByRole('button', { name: 'File it and touch up' }).click();
  await key(finding, 'chooseIt').click();
  await openStage(page, 'finish');
  await page.getByRole('button', { name: 'Done: File it off flush' }).click();
  await page.getByRole('button', { name: 'Done: Touch up the ground colour' }).click();
  await page.clock.fastForward('05:00:00');
  await openStage(page, 'inspect');
  await key(finding, 'itIsGone').click();
  await openStage(page, 'finish');
  await expect(page.getByText(/^✓ Nothing keeps it/)).toBeVisible();
  const care = page.getByRole('region', { name: 'Care' });
  await expect(care).toContainText(/Nothing hot before \d+ \w+ 2026/);
  // Only what its resin declares, and by whom.
  await expect(care).toContainText(
    'Food only once fully cured: declared by its maker for dry food',
  );
  await expect(care).toContainText(/declared up to 90\.0\s°C/);
  await key(page, 'itLeaves').click();
  await expect(page.getByRole('heading', { name: '✓ It has left' })).toBeVisible();
});
