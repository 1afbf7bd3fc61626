import {
  downloadedBytes,
  expect,
  expectAccessible,
  openDemo,
  openPiece,
  openStage,
  pdfWords,
  test,
} from './bench';

test('a piece leaves: last steps, care by its clocks, sheet and label read back, closed, read-only, opened again', async ({
  page,
}) => {
  test.slow();
  await openDemo(page);
  await openPiece(page, 'Luggage label set', 'finish');
  await expect(page.getByText(/^✓ Nothing keeps it/)).toBeVisible();
  await expectAccessible(page);
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

  await page.getByRole('button', { name: 'It leaves: close its record' }).click();
  await expect(page.getByRole('heading', { name: '✓ It has left' })).toBeVisible();
  await expectAccessible(page);
  // Its record is read-only: what is tried is refused, and said.
  await openStage(page, 'inspect');
  await page.getByRole('button', { name: 'Note it in the log' }).click();
  await expect(page.getByText(/has left and its record is closed/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await openStage(page, 'finish');
  await page.getByRole('button', { name: 'Open it again' }).click();
  await expect(page.getByText('Needed.')).toBeVisible();
  await page.getByLabel('Why it is opened again').fill('One label came back chipped');
  await page.getByRole('button', { name: 'Open it again' }).click();
  await expect(page.getByRole('button', { name: 'It leaves: close its record' })).toBeVisible();
});

test('what is unfinished keeps a piece here, each with the way to where it is done', async ({
  page,
}) => {
  await openDemo(page);
  await openPiece(page, 'Relief map', 'finish');
  const left = page.getByRole('region', { name: 'What is left' });
  await expect(left.getByRole('link', { name: 'A mask is still on it' })).toBeVisible();
  await expect(left.getByRole('link', { name: 'A finding is open' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'It leaves: close its record' })).toBeDisabled();
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
