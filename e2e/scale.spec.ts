import { key } from './words';
import type { Locator, Page } from '@playwright/test';
import {
  expect,
  expectAccessible,
  holdDown,
  mainButton,
  makeReady,
  openAt,
  openDemo,
  openPiece,
  openSession,
  pressMain,
  reloadStored,
  startMixing,
  test,
} from './bench';

const shown = (page: Page) => page.getByTestId('live-weight');
const grams = async (of: Locator) => Number.parseFloat(await of.innerText());

/** The stream is let go so long before what is wanted, g: it runs on until the scale has told. */
const AHEAD_G = 15;

/** The simulated hand pours until the scale shows so much, and waits until it is steady. */
async function pourTo(page: Page, atLeast: number): Promise<void> {
  const key = page.getByRole('region', { name: 'Simulated hand' });
  const hold = async (name: string, until: number) => {
    if ((await grams(shown(page))) >= until) return;
    // It waits until the key stands still: what is said above it moves it.
    await key.getByRole('button', { name, exact: true }).hover();
    await page.mouse.down();
    await expect.poll(() => grams(shown(page)), { intervals: [50] }).toBeGreaterThanOrEqual(until);
    await page.mouse.up();
  };
  await hold('Pour', atLeast - AHEAD_G);
  await hold('Drip', atLeast);
  await expect(page.getByText(/· steady · simulated scale/)).toBeVisible();
}
/** How much is wanted of the part that is weighed. */
async function wanted(page: Page): Promise<number> {
  const text = await page.getByText(/^(✓ )?of [\d.]+\sg/).innerText();
  return Number(/of ([\d.]+)/.exec(text)?.[1]);
}
async function tare(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Cup on' }).click();
  // What the empty cup weighs, steady.
  await expect(page.getByText(/on the scale now: 12\.\d\sg/)).toBeVisible();
  await pressMain(page, /^Tare the empty cup/);
  await expect(shown(page)).toBeVisible();
}
async function weighBoth(page: Page): Promise<void> {
  await expect(page.getByRole('heading', { name: 'Weigh part A' })).toBeVisible();
  await tare(page);
  await pourTo(page, await wanted(page));
  await pressMain(page, /^A is in: /);
  await expect(page.getByRole('heading', { name: 'Weigh part B' })).toBeVisible();
  await pourTo(page, await wanted(page));
  await pressMain(page, /^B is in, stir/);
}
async function stir(page: Page): Promise<void> {
  await pressMain(page, /Start stirring/);
  await page.clock.fastForward('04:10');
  await pressMain(page, /Stirred, no streaks/);
}

/** A session of the relief map and the viaduct, and of the lens where it is asked for, on the simulated scale. */
async function gather(page: Page, lens = false): Promise<void> {
  await openAt(page, 'Relief map', 'coats', 'ready');
  await key(page, 'addToAWetSession').click();
  await page.getByLabel('Scale at the bench').selectOption('simulated scale, 0.1 g');
  await page.getByRole('checkbox', { name: /Viaduct painting/ }).check();
  await page.getByLabel('Largest cup').fill('500 ml');
  await page.keyboard.press('Enter');
  if (lens) await page.getByRole('checkbox', { name: /Signal lamp lens/ }).check();
}

test.describe('a session on a scale that is followed', () => {
  test('three pieces in two batches: overshoot put right, the cup weighed around each pour, all in the log', async ({
    page,
  }) => {
    test.slow();
    await gather(page, true);
    const first = page.getByRole('region', { name: 'Batch 1 of 2' });
    await expect(first).toContainText('Relief map, Signal lamp lens');
    await expect(page.getByRole('region', { name: 'Batch 2 of 2' })).toContainText('Viaduct');
    await expectAccessible(page);
    await startMixing(page);
    const batches = page.getByRole('navigation', { name: 'Batches of this session' });
    await expect(batches.getByRole('button')).toHaveCount(2);

    // Part A a little over: B follows with more.
    await expect(page.getByRole('heading', { name: 'Weigh part A' })).toBeVisible();
    await expect(page.getByText('Put the empty cup on')).toBeVisible();
    await tare(page);
    const wantedA = await wanted(page);
    await pourTo(page, wantedA + 2);
    await expect(page.getByText(/[\d.]+\sg over: B \+[\d.]+\sg/)).toBeVisible();
    const a = await grams(shown(page));
    // A reload loses neither tare nor weight.
    await reloadStored(page);
    await expect.poll(async () => Math.abs((await grams(shown(page))) - a)).toBeLessThan(0.5);
    await page.getByRole('button', { name: 'By hand' }).click();
    await expect(page.getByText('○ not read yet')).toBeVisible();
    await page.getByRole('button', { name: 'Back to the simulated scale' }).click();
    await expect(page.getByText(/· steady · simulated scale/)).toBeVisible();
    await pressMain(page, /^A is in: /);

    // Too much B: the key of the part asks for more A, weighed as it is poured.
    await expect(page.getByRole('heading', { name: 'Weigh part B' })).toBeVisible();
    const wantedB = await wanted(page);
    await pourTo(page, wantedB * 1.06);
    await expect(page.getByText(/of A to restore the ratio, stir twice as long/)).toBeVisible();
    await expect(page.getByRole('button', { name: /B is in, ratio off: hold/ })).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('button', { name: /^Add [\d.]+\sg of A$/ }).click();
    await expect(page.getByRole('heading', { name: 'Add part A' })).toBeVisible();
    await pourTo(page, await wanted(page));
    await pressMain(page, /^A added: /);
    await expect(page.getByRole('heading', { name: 'Weigh part B' })).toBeVisible();
    await expect(page.getByText(/✓ [+−]?[01]\.\d % B/)).toBeVisible();
    await pressMain(page, /^B is in, stir/);
    await pressMain(page, /Start stirring/);
    await page.clock.fastForward('01:00');
    await reloadStored(page);
    await expect(page.getByRole('timer', { name: 'Stirred for' })).toHaveText(/^1:\d\d$/);
    await page.clock.fastForward('03:10');
    await pressMain(page, /Stirred, no streaks/);

    // The first is poured with its cup on the scale.
    await page.clock.fastForward('02:05');
    await page.getByRole('button', { name: /Take the cup’s weight: / }).click();
    await expect(page.getByText(/^it weighed/)).toBeVisible();
    await expect(page.getByRole('list', { name: /Order of strokes, Relief map/ })).toContainText(
      'level once more',
    );
    await pressMain(page, /^Poured: Relief map/);
    await page.getByRole('button', { name: 'Pour out' }).hover();
    await page.mouse.down();
    await expect(page.getByText(/[1-9]\d\.\d\sg have left it/)).toBeVisible();
    await page.mouse.up();
    await (await mainButton(page, /Take the cup’s weight: /)).click();
    await expect(page.getByText(/[\d.]+\sg used/)).toBeVisible();
    await reloadStored(page);
    await expect(page.getByText(/[\d.]+\sg used/)).toBeVisible();

    // Six minutes later bubbles are looked for, and what is seen is noted where it is.
    await page.clock.fastForward('06:00');
    const due = page.getByRole('list', { name: 'Due now' });
    await expect(due).toContainText('Look Relief map over for bubbles.');
    await page
      .getByRole('button', { name: 'Relief map: gone over for bubbles by warm air' })
      .click();
    await expect(due).toHaveCount(0);
    await key(page, 'foundOnReliefMap').click();
    await page.getByRole('button', { name: 'Hair, lint, dots in a row' }).click();
    await page.getByRole('button', { name: /^middle left of / }).click();
    await expect(page.getByText('Lift it with tweezers or a pick')).toBeVisible();
    await page.getByRole('button', { name: 'Done', exact: true }).click();
    await key(page, 'foundOnReliefMap').click();
    await page.getByRole('button', { name: 'Nothing: it looks clean' }).click();

    await page.getByRole('button', { name: 'Cover Relief map now' }).click();
    await expect(page.getByText(/^covered \d\d:\d\d$/)).toBeVisible();
    await pressMain(page, /^Poured: Signal lamp lens/);

    // The second batch is looked at while the first lies open, and the first comes back by itself.
    await batches.getByRole('button', { name: /Batch 2/ }).click();
    await expect(page.getByRole('heading', { name: 'Weigh part A' })).toBeVisible();
    await batches.getByRole('button', { name: /Batch 1/ }).click();
    await expect(page.getByRole('button', { name: /^Covered/ })).toBeVisible();
    await reloadStored(page);
    await pressMain(page, /^Covered/);
    await expect(page.getByRole('heading', { name: 'Weigh part A' })).toBeVisible();
    await weighBoth(page);
    await stir(page);
    await pressMain(page, /^Poured: Viaduct painting/);
    await pressMain(page, /^Covered/);
    await expect(page.getByRole('heading', { name: /The clocks run/ })).toBeVisible();

    await key(page, 'today').click();
    await key(page, 'book').click();
    const log = page.getByRole('region', { name: 'Log' }).getByRole('listitem');
    await expect(log.filter({ hasText: 'added A' }).first()).toContainText('simulated scale');
    await expect(log.filter({ hasText: 'weighed A' }).first()).toContainText('simulated scale');
    await expect(log.filter({ hasText: 'cup weighed' }).first()).toContainText('used');
    for (const kind of [
      'looked over',
      'defect noted',
      'bubble round',
      'stirred',
      'session started',
    ])
      await expect(log.filter({ hasText: kind }).first()).toBeVisible();
  });

  test('a scale that is lost in mid-pour: nothing is made up, by hand goes on, and it comes back', async ({
    page,
  }) => {
    await gather(page);
    await startMixing(page);
    await tare(page);
    await pourTo(page, 40);
    const kept = await grams(shown(page));
    await page.getByRole('button', { name: 'Plug out' }).click();
    await expect(page.getByText('The scale is lost')).toBeVisible();
    await expect(page.getByRole('button', { name: /Tare the empty cup/ })).toBeDisabled();
    await expectAccessible(page);
    await key(page, 'tryAgain').click();
    await expect.poll(() => grams(shown(page))).toBeGreaterThan(kept - 1);
    await page.getByRole('button', { name: 'Plug out' }).click();
    // By hand: the field starts empty, and what it showed is only told.
    const byHand = page.getByRole('button', { name: /By hand; it showed [\d.]+\sg/ });
    await byHand.click();
    await expect(page.getByText('○ not read yet')).toBeVisible();
    await holdDown(page, /A is in, not read: hold/);
    await expect(page.getByRole('heading', { name: 'Weigh part B' })).toBeVisible();
    await key(page, 'today').click();
    await key(page, 'book').click();
    const log = page.getByRole('region', { name: 'Log' }).getByRole('listitem');
    await expect(log.filter({ hasText: 'weighed A' }).first()).toContainText('assumed');
  });
});

test('colours are cut one by one, and a session that was forgotten is closed with what is known', async ({
  page,
}) => {
  test.slow();
  await openDemo(page);
  // The tray’s first two coats are left out: its colours are the first thing to pour.
  await openPiece(page, 'Estuary panel', 'coats');
  await makeReady(page);
  await key(page, 'addToAWetSession').click();
  await startMixing(page);
  for (const part of ['A', 'B']) {
    await key(page, 'theScaleShows').click();
    await pressMain(page, new RegExp(`^${part} is in`));
  }
  await pressMain(page, /Start stirring/);
  await pressMain(page, /^Pause/);
  await expect(page.getByText(/Paused for .*: the working time runs on/)).toBeVisible();
  await pressMain(page, /^Stir on/);
  await page.clock.fastForward('04:20');
  await pressMain(page, /Stirred, no streaks/);
  await expect(page.getByRole('heading', { name: 'Colours', exact: true })).toBeVisible();
  await expectAccessible(page);
  const cups = page.getByRole('region', { name: 'Cups' });
  await expect(cups).toContainText('teal');
  // Not read: only a hold takes it in.
  await (await mainButton(page, /teal is in, not read: hold/)).click();
  await expect(page.getByRole('heading', { name: 'Colours', exact: true })).toBeVisible();
  await key(page, 'theScaleShows').click();
  // Once it is read, its key asks for no hold any more.
  await pressMain(page, /^teal is in(?!, not read)/);
  await expect(page.getByRole('heading', { name: 'Pour', exact: true })).toBeVisible();
  await pressMain(page, /^Poured/);
  await page.clock.fastForward('12:00:00');
  const left = page.getByRole('region', { name: 'Left standing' });
  await expect(left).toContainText('Nothing was done here since');
  await left.getByRole('button', { name: 'Close it with what is known' }).click();
  await expect(
    page.getByRole('heading', { name: 'Closed. When it was covered is not known.' }),
  ).toBeVisible();
  await expectAccessible(page);
});

test('the bench in a dim room passes axe, and keeps its look over a reload', async ({ page }) => {
  await openSession(page, 'weighing');
  await page.getByRole('button', { name: 'Dark look' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-look', 'dark');
  await expectAccessible(page);
  await reloadStored(page);
  await expect(page.locator('html')).toHaveAttribute('data-look', 'dark');
  for (const part of ['A', 'B']) {
    await key(page, 'theScaleShows').click();
    await expectAccessible(page);
    await pressMain(page, new RegExp(`^${part} is in`));
  }
  await stir(page);
  await expectAccessible(page);
  await page.clock.fastForward('45:00');
  await expect(page.getByRole('heading', { name: 'Stop' })).toBeVisible();
  await expectAccessible(page);
  await pressMain(page, /Stop: pour no more/);
  await key(page, 'today').click();
  await expect(page.locator('html')).not.toHaveAttribute('data-look', 'dark');
});
