import { key } from './words';
import type { Page } from '@playwright/test';
import { expect, openAt, openStage, test } from './bench';

/** Notes a finding on the piece that is open at Inspect, and gives its panel. */
async function found(page: Page, kind: string, on: string, spread: string, number: number) {
  await page.getByLabel('What it is').selectOption(kind);
  await page.getByRole('button', { name: spread, exact: true }).click();
  await page.getByLabel('On which coat').selectOption(on);
  await key(page, 'noteIt').click();
  const finding = page.getByRole('region', { name: `Finding ${number}` });
  await expect(finding).toBeVisible();
  return finding;
}

test('a relief map with a soft corner: nothing goes over sticky resin, it is scraped out and refilled', async ({
  page,
}) => {
  await openAt(page, 'Relief map', 'inspect');
  const finding = await found(page, 'soft spot', 'Flood 1', 'one spot', 3);
  const ways = finding.getByRole('region', { name: 'Ways back' });
  await expect(ways.getByRole('button', { name: 'Scrape it out and refill' })).toBeVisible();
  await expect(ways.getByRole('button', { name: 'Keep it warm and wait' })).toBeVisible();
  await expect(ways.getByRole('button', { name: /flood/i })).toHaveCount(0);
  // A test is asked, and what it finds moves the shares.
  const unmixed = finding.getByRole('listitem').filter({ hasText: 'unmixed resin scraped' });
  await finding.getByRole('button', { name: 'Are there streaks or swirls in it? Yes' }).click();
  await expect(unmixed.first()).toContainText(/[89]\d\s%/);
  await ways.getByRole('button', { name: 'Scrape it out and refill' }).click();
  await expect(ways).toContainText('uncured resin sensitises');
  await key(ways, 'chooseIt').click();
  await expect(finding.getByText('Rescue patch: planned')).toBeVisible();
  // Prepare holds the patch back by its steps, and says them.
  await openStage(page, 'prepare');
  await expect(page.getByRole('heading', { name: 'Before Rescue patch' })).toBeVisible();
  await expect(page.getByText('Scrape all soft matter out').first()).toBeVisible();
  await expect(page.getByText(/^Rescue patch is held\./)).toBeVisible();
});

test('a see-through tray is rescued on its back, and turned', async ({ page }) => {
  await openAt(page, 'Lamp-room tray', 'inspect');
  const finding = await found(page, 'see-through', '', 'all over', 1);
  const ways = finding.getByRole('region', { name: 'Ways back' });
  await ways.getByRole('button', { name: 'Make the back the new face' }).click();
  await expect(ways).toContainText('another look');
  await key(ways, 'chooseIt').click();
  await expect(finding.getByText('Rescue back: planned')).toBeVisible();
  await openStage(page, 'prepare');
  await expect(page.getByRole('heading', { name: 'Before Rescue back' })).toBeVisible();
  await expect(page.getByText('Try the opacity on a corner').first()).toBeVisible();
  // It lies face up: the coat asks for the turn, once.
  const before = page.getByRole('region', { name: 'Before Rescue back' });
  const turn = before.getByRole('listitem', { name: 'Turn it over, back up' });
  await before.getByRole('button', { name: 'Done: Turn it over, back up' }).click();
  await expect(turn).toHaveCount(0);
  await expect(before.getByRole('listitem').first()).toBeVisible();
});
