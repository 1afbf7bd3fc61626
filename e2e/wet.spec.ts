import { key } from './words';
import {
  expect,
  expectAccessible,
  holdDown,
  mainButton,
  openAt,
  openPiece,
  openSession,
  pressMain,
  reloadStored,
  startMixing,
  test,
  weighIn,
} from './bench';

test.describe('at the bench, 1024 × 768 touch', () => {
  test.use({ viewport: { width: 1024, height: 768 }, hasTouch: true });

  test('every step fits the screen and its targets are large; time over is said', async ({
    page,
  }) => {
    await openAt(page, 'Viaduct painting', 'coats');
    await key(page, 'addToAWetSession').tap();
    await startMixing(page);
    const fits = async (title: string) => {
      await expect(page.getByRole('heading', { level: 1, name: title, exact: true })).toBeVisible();
      const over = await page.evaluate(() => {
        const { scrollWidth, scrollHeight } = document.documentElement;
        const work = document.querySelector('[data-bench=work]');
        const hidden = work ? work.scrollHeight - work.clientHeight : 0;
        return {
          right: scrollWidth - window.innerWidth,
          below: Math.max(hidden, scrollHeight - window.innerHeight),
        };
      });
      expect(over.right).toBeLessThanOrEqual(0);
      expect(over.below).toBeLessThanOrEqual(0);
      for (const button of await page.getByRole('button').all()) {
        const box = await button.boundingBox();
        const small = (await button.getAttribute('aria-label'))?.includes('how it is worked out');
        if (box && !small) expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(38);
      }
    };
    await fits('Weigh part A');
    await key(page, 'theScaleShows').tap();
    await (await mainButton(page, /^A is in/)).tap();
    await fits('Weigh part B');
    for (const key of ['−10', '−1', '−0.1', '+0.1', '+1', '+10']) {
      const box = await page.getByRole('button', { name: key, exact: true }).boundingBox();
      expect(Math.min(box?.width ?? 0, box?.height ?? 0)).toBeGreaterThanOrEqual(64);
    }
    // Too much B: the ratio, the key that restores it and the reading all have room.
    await page.getByRole('button', { name: '+10', exact: true }).tap();
    await expect(page.getByRole('button', { name: /of A is added/ })).toBeVisible();
    await fits('Weigh part B');
    await page.getByRole('button', { name: '−10', exact: true }).tap();
    await (await mainButton(page, /^B is in/)).tap();
    await fits('Stir');
    await (await mainButton(page, /Start stirring/)).tap();
    await fits('Stirring');
    await page.clock.fastForward('04:00');
    await (await mainButton(page, /Stirred/)).tap();
    await fits('Pour');
    // 498 g of Millrace at 22 °C keep about 36 min from the mixing.
    await expect(page.getByText('working time left, min:s')).toBeVisible();
    await expect(page.getByRole('img', { name: /^flood from .*, stop from / })).toBeVisible();
    await expect(page.getByRole('list', { name: 'Due now' })).toHaveCount(0);
    await page.clock.fastForward('02:00');
    const due = page.getByRole('list', { name: 'Due now' });
    await expect(due).toContainText('Bubbles had two minutes to rise: pour.');
    // Past the working time the screen turns: pouring wants a hold, stopping is the large key.
    await page.clock.fastForward('31:00');
    await expect(page.getByText('past the working time, min:s')).toBeVisible();
    await expect(due).toContainText('! The working time is over: stop.');
    await fits('Stop');
    await (await mainButton(page, /Stop: pour no more/)).tap();
    await expect(
      page.getByRole('heading', { name: 'Thrown away. Nothing was poured.' }),
    ).toBeVisible();
    await key(page, 'today').tap();
    await expect(page.getByRole('link', { name: /Flood 2, Viaduct/ }).first()).toBeVisible();
  });
});

test('one batch serves two pieces, poured one after the other, with one clock: it started at the mix', async ({
  page,
}) => {
  await openAt(page, 'Relief map', 'coats', 'ready');
  await key(page, 'addToAWetSession').click();
  const mix = page.getByRole('button', { name: /Mix for this batch/ });
  const alone = Number.parseFloat(await mix.innerText());
  await page.getByRole('checkbox', { name: /Viaduct painting/ }).check();
  await expect(mix).not.toHaveText(String(alone));
  expect(Number.parseFloat(await mix.innerText())).toBeGreaterThan(alone + 400);
  await startMixing(page);
  await weighIn(page, 'A');
  await weighIn(page, 'B');
  await pressMain(page, /Start stirring/);
  await expect(page.getByText(/^Scrape the /)).toBeVisible();
  await pressMain(page, /Changed cup and stick/);
  await expect(page.getByRole('button', { name: /Changed cup and stick/ })).toHaveCount(0);
  await page.clock.fastForward('04:00');
  await pressMain(page, /Stirred/);
  await pressMain(page, /Poured: Relief map/);
  await page.clock.fastForward('06:00');
  await expect(page.getByRole('button', { name: /Covered/ })).toHaveCount(0);
  // The first lies for six minutes: bubbles are looked for, what is seen is noted, and it is covered by itself.
  await expect(page.getByRole('list', { name: 'Due now' })).toContainText(
    'Look Relief map over for bubbles.',
  );
  await page.getByRole('button', { name: 'By warm air; change to pick' }).click();
  await page.getByRole('button', { name: 'Relief map: gone over for bubbles by pick' }).click();
  await expect(page.getByRole('list', { name: 'Due now' })).toHaveCount(0);
  await key(page, 'foundOnReliefMap').click();
  await page.getByRole('button', { name: 'Bare spot, draw-back' }).click();
  await expect(page.getByRole('heading', { name: 'Bare spot, draw-back: where?' })).toBeVisible();
  await page.getByRole('button', { name: /^top left of / }).click();
  await expect(page.getByText('Tap it with a wet glove, feed a drop, tap again.')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await page.getByRole('button', { name: 'Cover Relief map now' }).click();
  await expect(page.getByText(/^covered \d\d:\d\d$/)).toBeVisible();
  await pressMain(page, /Poured: Viaduct painting/);
  // It did not reach: how much more to mix, and until when it joins.
  await page.getByRole('button', { name: 'Ran short on Viaduct painting' }).click();
  await page.getByRole('button', { name: 'A quarter' }).click();
  await expect(
    page.getByText(/Weigh A 64\.\d\sg, B 55\.\d\sg in a fresh cup\. It joins what lies/),
  ).toBeVisible();
  await expectAccessible(page);
  await pressMain(page, /Covered: Viaduct painting/);
  const opens = page.getByRole('button', { name: /Recoat opens/ });
  await expect(opens).toHaveCount(2);
  const times = await opens.allInnerTexts();
  // The age in the cup counts, so the later pour gains nothing.
  expect(times[0]).toBe(times[1]);
  // A wrong tap on the cover can be undone from here.
  await page.getByRole('button', { name: 'Undo: covered' }).click();
  await expect(page.getByRole('heading', { name: 'Cover', exact: true })).toBeVisible();
});

test('a session can be left before mixing, found again from the strip, and is one at a time for a coat', async ({
  page,
}) => {
  await openSession(page, 'weighing');
  await key(page, 'today').click();
  const strip = page.getByRole('region', { name: 'Bench strip' });
  await strip.getByRole('link', { name: /wet session · weigh A/ }).click();
  await expect(page.getByRole('heading', { name: 'Weigh part A' })).toBeVisible();
  await page.getByRole('button', { name: 'Leave, nothing is mixed' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Pieces' })).toBeVisible();
  await expect(strip).not.toContainText('wet session');
  await openPiece(page, 'Viaduct painting', 'coats');
  await expect(key(page, 'addToAWetSession')).toBeVisible();
});

test('two quick taps on one place take one step; what must not be tapped is held, and logged as what it is', async ({
  page,
}) => {
  await openSession(page, 'weighing');

  // Not read: a tap, however long one waits, takes nothing in.
  await (await mainButton(page, /A is in, not read: hold/)).click();
  await expect(page.getByRole('heading', { name: 'Weigh part A' })).toBeVisible();
  await key(page, 'theScaleShows').click();
  const box = await (await mainButton(page, /^A is in/)).boundingBox();
  const at = [(box?.x ?? 0) + 200, (box?.y ?? 0) + 60] as const;
  // Two taps on one place, 40 to 400 ms apart: B is asked for, nothing is mixed.
  await page.mouse.dblclick(...at);
  await expect(page.getByRole('heading', { name: 'Weigh part B' })).toBeVisible();
  await page.mouse.click(...at);
  await expect(page.getByRole('heading', { name: 'Weigh part B' })).toBeVisible();
  // A key that is held down goes on as little.
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.press('r');
  await mainButton(page, /^B is in/);
  await page.keyboard.down('Space');
  await expect(page.getByRole('heading', { name: 'Stir', exact: true })).toBeVisible();
  await page.clock.runFor(2000);
  for (let i = 0; i < 5; i += 1) await page.keyboard.down('Space');
  await expect(page.getByRole('heading', { name: 'Stir', exact: true })).toBeVisible();
  await page.keyboard.up('Space');
  await pressMain(page, /Start stirring/);

  // A stir that is too short wants a hold, and is logged as short.
  await (await mainButton(page, /Stirred short: hold/)).click();
  await expect(page.getByRole('heading', { name: 'Stirring' })).toBeVisible();
  await holdDown(page, /Stirred short: hold/);
  await expect(page.getByRole('heading', { name: 'Pour', exact: true })).toBeVisible();
  // Undo takes back one act, though it is tapped twice.
  await (await mainButton(page, /Undo: stirred/)).dblclick();
  await expect(page.getByRole('heading', { name: 'Stirring' })).toBeVisible();
  await key(page, 'today').click();
  await key(page, 'book').click();
  const log = page.getByRole('region', { name: 'Log' });
  await expect(log.getByRole('listitem').filter({ hasText: 'stirred for' }).first()).toContainText(
    'short',
  );
  await expect(log.getByText('(undone)')).toHaveCount(1);
  await expect(log.getByRole('listitem').filter({ hasText: 'weighed A' }).first()).toContainText(
    'read',
  );
});

test('a reading survives a reload; a weight that nobody read is stored as assumed', async ({
  page,
}) => {
  await openSession(page, 'weighing');
  await page.getByRole('button', { name: '+1', exact: true }).click();
  await page.getByRole('button', { name: '+1', exact: true }).click();
  const read = page.getByText(/✓ read:/);
  await expect(read).toBeVisible();
  const told = await read.innerText();
  await expect(page).toHaveURL(/\/wet\/[^n]/);
  await reloadStored(page);
  await expect(read).toHaveText(told);
  await pressMain(page, /^A is in/);
  await expect(page.getByRole('heading', { name: 'Weigh part B' })).toBeVisible();
  await holdDown(page, /B is in, stir, not read: hold/);
  await expect(page.getByRole('heading', { name: 'Stir', exact: true })).toBeVisible();
  await key(page, 'today').click();
  await key(page, 'book').click();
  const mixed = page.getByRole('region', { name: 'Log' }).getByRole('listitem');
  await expect(mixed.filter({ hasText: 'mixed' }).first()).toContainText('assumed');
  // Whoever would empty the shop now is told what stands in the cup.
  await page.getByRole('link', { name: 'Settings' }).click();
  await key(page, 'emptyTheShop').click();
  const asking = page.getByRole('alertdialog', { name: 'Empty the shop?' });
  await expect(asking).toContainText('A wet session is open.');
  await expectAccessible(page);
  await asking.getByRole('button', { name: 'Keep as it is' }).click();
  await expect(asking).toHaveCount(0);
});

test('to the marks of cups: a cold room wants a hold, nothing is logged as weighed, and a wrong mix is thrown away', async ({
  page,
}) => {
  await openAt(page, 'Viaduct painting', 'coats');
  await key(page, 'addToAWetSession').click();
  await page.getByLabel('Measured out').selectOption('to the marks of cups');
  await expect(page.getByText(/^A 246 ml · B 246 ml$/)).toBeVisible();
  const before = page.getByRole('region', { name: 'Before you mix' });
  await page.getByLabel('Room and bottles').fill('14 C');
  await expect(before).toContainText('is too cold: it cures from');
  await expect(page.getByRole('button', { name: /^Start all the same/ })).toBeVisible();
  await page.getByLabel('Room and bottles').fill('22 C');
  await expect(before).toContainText('✓ room in range, time enough, measured finely enough');
  await startMixing(page, /^Start: measure A/);
  await expect(page.getByRole('heading', { name: 'Measure part A' })).toBeVisible();
  await page.getByRole('button', { name: /^It stands at 246 ml/ }).click();
  await page.getByRole('button', { name: '+5', exact: true }).click();
  await expect(page.getByText('✓ to the mark: 251 ml')).toBeVisible();
  await pressMain(page, /^A is in/);
  // 1 : 1 by volume: part B follows the A that is in the cup.
  await expect(page.getByRole('heading', { name: 'Measure part B' })).toBeVisible();
  await page.getByRole('button', { name: /^It stands at 251 ml/ }).click();
  await expect(page.getByText('✓ 0.0 % B')).toBeVisible();
  await pressMain(page, /^B is in/);
  await expect(page.getByRole('heading', { name: 'Stir', exact: true })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Sound on' }).click();
  await expect(page.getByRole('button', { name: 'Sound off' })).toBeVisible();
  await page.getByRole('button', { name: 'Throw away …' }).click();
  await page.getByRole('button', { name: 'Wrong resin or wrong bottle' }).click();
  const thrown = page.getByRole('heading', { name: 'Thrown away. Nothing was poured.' });
  await expect(thrown).toBeVisible();
  await page.getByRole('button', { name: 'Undo: discarded' }).click();
  await expect(page.getByRole('heading', { name: 'Stir', exact: true })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Sound off' })).toBeVisible();
  await page.getByRole('button', { name: 'Throw away …' }).click();
  await page.getByRole('button', { name: 'Wrong resin or wrong bottle' }).click();
  await expect(thrown).toBeVisible();
  await key(page, 'today').click();
  await key(page, 'book').click();
  await expect(page.getByText(/weighed A.*to the mark/s).first()).toBeVisible();
  await expect(page.getByText(/wrong resin/).first()).toBeVisible();
});
