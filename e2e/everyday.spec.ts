import { key } from './words';
import type { Page } from '@playwright/test';
import { downloaded, expect, expectAccessible, openAt, openDemo, test } from './bench';

test('from an empty shop to the first volume in three answers, and on to the bench', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('link', { name: 'To the first volume' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'First coat' })).toBeFocused();
  const volume = page.getByRole('region', { name: 'First volume' });
  await expect(volume.getByText('Say how large it is')).toBeVisible();
  await page.getByLabel('Support').selectOption('tile');
  await page.getByLabel('Width').fill('500');
  await page.getByLabel('Depth').fill('400');
  await expect(volume.getByText('Assumed, until you say more')).toBeVisible();
  await expect(volume.getByText(/starter of no maker/).first()).toBeVisible();
  await expectAccessible(page);
  // The same ledger as on the bench: what is told here is what stands there.
  const told = (await volume.locator('[aria-live=polite]').textContent()) ?? '';
  await page.getByRole('button', { name: 'Put it on the bench' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'First tile' })).toBeVisible();
  await expect(page.getByText(told).first()).toBeVisible();
});

test('a wrong size is told at its field, and nothing is lost', async ({ page }) => {
  await page.goto('/start');
  await page.getByLabel('Width').fill('wide');
  await page.getByLabel('What you call it').fill('Sill');
  await page.getByRole('button', { name: 'Put it on the bench' }).click();
  await expect(page.getByLabel('Width')).toHaveAttribute('aria-invalid', 'true');
  await expect(page.getByLabel('Depth')).toHaveAttribute('aria-invalid', 'true');
  await expect(page.getByLabel('What you call it')).toHaveValue('Sill');
});

test('help: by its key, what the place is for, a word, the keys; and back to where one was', async ({
  page,
}) => {
  await openDemo(page, '/resins');
  await expect(page.getByRole('heading', { level: 1, name: 'Resins' })).toBeVisible();
  await page.keyboard.press('?');
  const help = page.getByRole('dialog', { name: 'Help' });
  await expect(help.getByText(/^Resins: data sheets/)).toBeVisible();
  await help.getByLabel('A word').fill('recoat window');
  await expect(help.getByRole('term').filter({ hasText: 'recoat window' })).toBeVisible();
  await expectAccessible(page);
  // Where something is typed it is a letter.
  await help.getByLabel('A word').press('?');
  await expect(help.getByLabel('A word')).toHaveValue('recoat window?');
  await page.keyboard.press('Escape');
  await expect(help).toHaveCount(0);
});

test('by key: past the clocks to the work, and focus begins at the heading of each place', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Next, in order' })).toBeVisible();
  await expect(page).toHaveTitle('Today · Bilamina');
  await page.keyboard.press('Tab');
  const skip = page.getByRole('link', { name: 'To the work' });
  await expect(skip).toBeFocused();
  await expect(skip).toBeInViewport();
  await page.keyboard.press('Enter');
  await expect(page.locator('main')).toBeFocused();
  await key(page, 'places').getByRole('link', { name: 'Room' }).press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'Room' })).toBeFocused();
  await expect(page).toHaveTitle('Room · Bilamina');
  // Said once to who listens.
  await expect(page.locator('[data-announcer]')).toHaveText('Room');
  await page.goBack();
  await expect(page.getByRole('heading', { level: 1 })).toBeFocused();
  await expect(page).toHaveTitle('Today · Bilamina');
});

test.describe('a dim room', () => {
  test.use({ colorScheme: 'dark' });
  test('a look that was chosen holds against the system', async ({ page }) => {
    await openDemo(page, '/settings');
    await expect(page.locator('html')).toHaveAttribute('data-look', 'dark');
    await page.getByLabel('Look of Bilamina').selectOption('paper');
    await expect(page.locator('html')).not.toHaveAttribute('data-look', /./);
    await page.reload();
    await expect(page.getByRole('heading', { level: 1, name: 'Settings' })).toBeVisible();
    await expect(page.locator('html')).not.toHaveAttribute('data-look', /./);
  });
});

test('the system’s own colours: where one is stays marked, drawings keep their paper, signs take the ink', async ({
  page,
}) => {
  await page.emulateMedia({ forcedColors: 'active' });
  await openDemo(page);
  const here = key(page, 'places').locator('[aria-current=page]');
  await expect(here).toHaveCSS('outline-style', 'solid');
  await expect(here.locator('svg.lucide')).not.toHaveCSS('forced-color-adjust', 'none');
  const drawing = page.locator('main svg:not(.lucide)').first();
  await expect(drawing).toHaveCSS('forced-color-adjust', 'none');
  await expect(drawing).not.toHaveCSS('background-color', 'rgba(0, 0, 0, 0)');
});

test('hours by twelve, where they are chosen', async ({ page }) => {
  await openDemo(page, '/settings');
  await page.getByLabel('Hours of the day').selectOption('12');
  await expect(
    page.getByRole('region', { name: 'Bench strip' }).getByText(/ pm$/).first(),
  ).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('heading', { level: 1, name: /, 1:\d\d pm$/ })).toBeVisible();
});

test('an opened number is copied with its unit, as it is shown', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await openAt(page, 'Viaduct painting', 'coats');
  const number = page.getByRole('button', { name: /^Film on the face: how it is worked out/ });
  const shown = ((await number.textContent()) ?? '').replace(/\s+/g, ' ').trim();
  expect(shown).toMatch(/\d ml$/);
  await number.click();
  await page.getByRole('button', { name: 'Copy the number' }).click();
  await expect(page.getByText(/ copied$/)).toBeVisible();
  expect(await page.evaluate(() => navigator.clipboard.readText())).toBe(shown);
});

test('dates leave as a calendar, tables as CSV', async ({ page }) => {
  await openDemo(page, '/book');
  const ics = await downloaded(page, () => page.getByRole('button', { name: /calendar/ }).click());
  expect(ics).toContain('BEGIN:VCALENDAR');
  expect(ics).toContain('Viaduct painting: Recoat without sanding');
  await page.getByLabel('Table').selectOption('coats');
  const csv = await downloaded(page, () =>
    page.getByRole('button', { name: 'CSV', exact: true }).click(),
  );
  expect(csv.split('\r\n')[0]).toContain('film_m');
  expect(csv).toContain('Viaduct painting,Flood 1');
});

/** What the keyboard is on, by its label or its words. */
const focused = (page: Page): Promise<string> =>
  page.evaluate(() => {
    const on = document.activeElement as HTMLInputElement | null;
    return (on?.getAttribute('aria-label') ?? on?.labels?.[0]?.textContent ?? on?.textContent ?? '')
      .trim()
      .slice(0, 60);
  });

test('by keyboard alone from an empty shop to a logged pour, in under 120 keys', async ({
  page,
}) => {
  test.slow();
  let keys = 0;
  const press = async (...names: string[]) => {
    for (const name of names) await page.keyboard.press(name);
    keys += names.length;
  };
  /** Tab after tab until the keyboard is where it is wanted. */
  const tabTo = async (wanted: RegExp) => {
    for (let i = 0; i < 80 && !wanted.test(await focused(page)); i += 1) await press('Tab');
    expect(await focused(page)).toMatch(wanted);
  };
  const at = (title: RegExp) =>
    expect(page.getByRole('heading', { level: 1, name: title })).toBeVisible();
  /** A main key of the bench, once it takes keys. */
  const main = async (name: RegExp, key: string, after: RegExp) => {
    await expect(page.getByRole('button', { name })).toBeEnabled();
    await page.clock.runFor(800);
    await press(key);
    await at(after);
  };

  await page.goto('/');
  await at(/The bench is empty/);
  await tabTo(/^To the first volume/);
  await press('Enter');
  await at(/First coat/);
  await tabTo(/^Support/);
  await press('t');
  await tabTo(/^Width/);
  await press(...'300', 'Tab', ...'200', 'Enter');
  await at(/^First tile/);
  await tabTo(/^prepare \d/);
  await press('Enter');
  const ready = page.getByText(/ is ready\.$/).first();
  const open = page.getByRole('button', { name: /^Done(?: again)?: / });
  await expect(open.first()).toBeVisible();
  for (let steps = 0; steps < 12 && !(await ready.isVisible()); steps += 1) {
    await tabTo(/^Done(?: again)?: /);
    const step = (await focused(page)).replace(/^Done(?: again)?: /, '');
    await press('Enter');
    await expect(page.getByRole('button', { name: `Take back: ${step}` }).first()).toBeFocused();
  }
  await expect(ready).toBeVisible();
  await tabTo(/^Add to a wet session/);
  await press('Enter');
  await at(/gather the coats/);
  // No reading of the room was ever noted: it is asked for, and nothing starts without it.
  await expect(page.getByRole('button', { name: 'Say first how warm the room is' })).toBeDisabled();
  await tabTo(/^Room and bottles/);
  await press(...'22');
  for (const hand of [/Gloves/, /Window/, /Extinguisher/, /Covers/, /Phone/]) {
    await tabTo(hand);
    await press('Space');
    await expect(page.getByRole('button', { name: hand, pressed: true })).toBeVisible();
  }
  await tabTo(/^Start: weigh A/);
  await main(/^Start: weigh A/, 'Enter', /Weigh part A/);
  for (const [part, after] of [
    ['A', /Weigh part B/],
    ['B', /^Stir$/],
  ] as const) {
    await press('r');
    await expect(page.getByText(/✓ read:/)).toBeVisible();
    await main(new RegExp(`^${part} is in`), 'Space', after);
  }
  await main(/Start stirring/, 'Space', /^Stirring$/);
  await page.clock.fastForward('04:20');
  await main(/Stirred, no streaks/, 'Space', /^Pour$/);
  await main(/^Poured: /, 'Space', /^Cover$/);
  expect(keys).toBeLessThan(120);
});
