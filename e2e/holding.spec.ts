import { key } from './words';
import { expect, openAt, openStage, test } from './bench';
import { startPiece } from './placing';
import { choose, detail, step } from './preparing';

test.use({ viewport: { width: 1280, height: 800 } });

test('a food board refuses a resin that nobody declares for food', async ({ page }) => {
  await startPiece(page, 'Cheese board', 300, 200);
  await page.getByLabel('Support').selectOption('sealed panel');
  await page.getByLabel('Food contact').check();
  await key(page, 'addToTheBench').click();
  const note = page.getByRole('note', { name: 'Millrace Clear for this use' });
  await page.getByLabel('Resin').selectOption('Millrace Clear');
  await expect(note).toContainText('Not declared for food: it holds this coat');
  await key(page, 'planThisCoat').click();
  await key(page, 'prepareFirst').click();
  const name = 'Take a resin that is declared for food';
  await choose(page, name);
  await expect(step(page, name)).toContainText('the sheet of its resin does not say so');
  // No tick settles it.
  await expect(detail(page).getByRole('button', { name: /Done/ })).toHaveCount(0);
  await page.getByRole('button', { name: `Done: ${name}` }).click();
  await expect(page.getByText(/is held\./)).toBeVisible();
  await expect(step(page, name)).toBeVisible();
  await openStage(page, 'coats');
  await page.getByText('Name, kind, resin, areas, rest').click();
  await page.getByLabel('Mixed from').selectOption('Lantern Slow');
  await expect(note).toHaveCount(0);
  await openStage(page, 'prepare');
  await expect(step(page, /Wipe with alcohol/).first()).toBeVisible();
  await expect(step(page, name)).toHaveCount(0);
});

test('a soft spot holds the next coat; putting it right lets it go, and undoes what was cleaned', async ({
  page,
}) => {
  await openAt(page, 'Viaduct painting', 'prepare');
  await expect(page.getByText('Flood 2 is ready.')).toBeVisible();
  await openStage(page, 'inspect');
  await page.getByLabel('What it is').selectOption('soft spot');
  await key(page, 'noteIt').click();
  await openStage(page, 'prepare');
  await expect(page.getByText('Flood 2 is held.')).toBeVisible();
  await expect(step(page, /^Mask|^Renew the mask/).first()).toContainText('Take the soft spot out');
  await page.clock.fastForward('00:05:00');
  await page.getByRole('button', { name: 'Done: Take the soft spot out' }).click();
  await expect(step(page, 'Take the soft spot out')).toHaveCount(0);
  await expect(step(page, /^Mask|^Renew the mask/).first()).toContainText(
    'soft spot was put right since',
  );
  await openStage(page, 'inspect');
  await expect(page.getByText(/repaired/).first()).toBeVisible();
});

test('the window shuts in mid-preparation: sand, and do again what was done inside it', async ({
  page,
}) => {
  await openAt(page, 'Viaduct painting', 'prepare');
  await expect(page.getByText('Flood 2 is ready.')).toBeVisible();
  await expect(step(page, 'No alcohol inside the recoat window')).toBeVisible();
  await page.clock.fastForward('05:00:00');
  await expect(page.getByText('Flood 2 is held.')).toBeVisible();
  await expect(step(page, /^Mask|^Renew the mask/).first()).toContainText('Sand for tooth');
  await expect(step(page, /Wipe with alcohol/).first()).toBeVisible();
  await expect(page.getByText(/Earliest pour .*: it waits for/)).toBeVisible();
});
