import { key } from './words';
import {
  downloadedBytes,
  expect,
  expectAccessible,
  openAt,
  openDemo,
  openPiece,
  openStage,
  pdfWords,
  test,
} from './bench';
import { detail, step } from './preparing';

test('a mask passes its limit: the strip, Today and the task say so', async ({ page }) => {
  await openDemo(page);
  const strip = page.getByRole('region', { name: 'Bench strip' });
  // What has no room behind the most urgent is shown when it is asked for.
  await strip.getByRole('button', { name: /^\d+ more$/ }).click();
  await expect(strip.getByText(/take the mask off · best until/)).toBeVisible();
  await expect(page.getByRole('link', { name: /Take masks off, Hall tiles/ })).toBeVisible();
  await page.clock.fastForward('39:10:00');
  const alarm = page.getByRole('link', { name: /Mask past its limit, Hall tiles/ });
  await expect(alarm).toContainText('!');
  await expect(strip.getByRole('link', { name: /Hall tiles.*mask past its limit/ })).toContainText(
    /over by \d+\smin/,
  );
  await alarm.click();
  await expect(detail(page)).toContainText('over by');
  await expect(detail(page)).toContainText('lift with a knife held away from the hand');
  await page.getByRole('button', { name: 'Done: Take the mask off: painter’s tape' }).click();
  await expect(strip.getByText('mask past its limit').first()).toBeVisible(); // the relief map's own
  await expect(strip.getByRole('link', { name: /Hall tiles.*mask past its limit/ })).toHaveCount(0);
});

test('the day sheet downloads, and says what the screen says', async ({ page }) => {
  await openAt(page, 'Relief map', 'prepare');
  const takes = page.getByRole('region', { name: 'Materials' });
  const sums = () =>
    takes
      .getByRole('row')
      .filter({ has: page.getByRole('cell') })
      .evaluateAll((rows) => rows.map((row) => [...row.children].map((c) => c.textContent ?? '')));
  const own = await sums();
  await page.getByRole('button', { name: 'the day, all pieces' }).click();
  await expect.poll(async () => (await sums()).length).toBeGreaterThan(own.length);
  const day = await sums();
  const bytes = await downloadedBytes(page, () =>
    page.getByRole('button', { name: /Day sheet, PDF/ }).click(),
  );
  const text = await pdfWords(bytes);
  expect(text).toContain('Day sheet, Tuesday 24 November 2026');
  expect(text).toContain('Relief map, before Flood 2');
  expect(text).toContain('The safety data sheet and local rules go first.');
  const plain = (words: string) => words.replaceAll('\u00a0', ' ');
  for (const [material = '', amount = '', packs = ''] of day)
    expect(plain(text)).toContain(plain(`${material}: ${amount} (${packs})`));
});

test('by keyboard alone: from held to the wet session', async ({ page }) => {
  await openAt(page, 'Signal lamp lens', 'prepare');
  await expect(page.getByText('Dome is held.')).toBeVisible();
  const focusOn = async (name: RegExp) => {
    for (let i = 0; i < 80; i += 1) {
      await page.keyboard.press('Tab');
      const label = await page.evaluate(
        () =>
          document.activeElement?.getAttribute('aria-label') ??
          document.activeElement?.textContent ??
          '',
      );
      if (name.test(label)) return;
    }
    throw new Error(`no focus on ${name}`);
  };
  await key(page, 'stagesOfThePiece').getByRole('link').first().focus();
  const tick = async (task: string) => {
    await focusOn(new RegExp(`^Done: ${task}`));
    await page.keyboard.press('Enter');
    await expect(
      page.getByRole('button', { name: new RegExp(`^Take back: ${task}`) }),
    ).toBeVisible();
  };
  // The wipe is the last of them: it waits for the level, and the level for the dust.
  await expect(
    page.getByRole('button', { name: /^Why not now: Wipe with alcohol/ }).first(),
  ).toBeVisible();
  await tick('Sand for tooth');
  await tick('Lift the sanding dust');
  await focusOn(/Level it on its props/);
  await focusOn(/Level it on its props/);
  await page.keyboard.press('Enter');
  await expect(detail(page).getByRole('heading')).toHaveText('Level it on its props');
  for (let i = 0; i < 80; i += 1) {
    await page.keyboard.press('Tab');
    if (
      await detail(page)
        .getByLabel('Leave it out, because')
        .evaluate((f) => f === document.activeElement)
    )
      break;
  }
  await page.keyboard.type('dome holds on a tilt');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Done: Wipe with alcohol/ })).toBeVisible();
  await key(page, 'stagesOfThePiece').getByRole('link').first().focus();
  await tick('Wipe with alcohol');
  await expect(page.getByText('Dome is ready.')).toBeVisible();
  await key(page, 'stagesOfThePiece').getByRole('link').first().focus();
  await focusOn(/^Add to a wet session$/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: /gather the coats/ })).toBeVisible();
});

test('what is held cannot be gathered; nothing planned says what to do first', async ({ page }) => {
  await openAt(page, 'Viaduct painting', 'prepare');
  await key(page, 'addToAWetSession').click();
  await page.getByText(/more coats are held by the preparation/).click();
  const map = page.getByRole('checkbox', { name: /Relief map/ });
  await expect(map).toBeDisabled();
  await expect(page.getByText(/held: 6 steps to prepare/)).toBeVisible();
  await expectAccessible(page);
  await page.goto('/pieces');
  await openPiece(page, 'Guard’s paddle', 'coats');
  await key(page, 'takeCoatOff').click();
  await openStage(page, 'prepare');
  await expect(page.getByRole('heading', { name: 'No coat is planned yet.' })).toBeVisible();
  // The art still wants its spray: what the survey asks for does not wait for a coat.
  await expect(step(page, /Fix the art/)).toBeVisible();
});
