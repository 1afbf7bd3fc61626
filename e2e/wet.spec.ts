import { expect, expectAccessible, makeReady, openDemo, openPiece, test } from './bench';

test.describe('at the bench, 1024 × 768 touch', () => {
  test.use({ viewport: { width: 1024, height: 768 }, hasTouch: true });

  test('every step fits the screen and its targets are large; time over is said', async ({
    page,
  }) => {
    await openDemo(page);
    await openPiece(page, 'Viaduct painting', 'coats');
    await page.getByRole('link', { name: 'Add to a wet session' }).tap();
    await page.getByRole('button', { name: 'Start: weigh A' }).tap();
    const fits = async (title: string) => {
      await expect(page.getByRole('heading', { level: 1, name: title, exact: true })).toBeVisible();
      const over = await page.evaluate(() => {
        const { scrollWidth, scrollHeight } = document.documentElement;
        return { right: scrollWidth - window.innerWidth, below: scrollHeight - window.innerHeight };
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
    await page.getByRole('button', { name: /A is in/ }).tap();
    await fits('Weigh part B');
    for (const key of ['−10', '−1', '−0.1', '+0.1', '+1', '+10']) {
      const box = await page.getByRole('button', { name: key, exact: true }).boundingBox();
      expect(Math.min(box?.width ?? 0, box?.height ?? 0)).toBeGreaterThanOrEqual(64);
    }
    await page.getByRole('button', { name: /B is in/ }).tap();
    await fits('Stir');
    await page.getByRole('button', { name: /Start stirring/ }).tap();
    await fits('Stirring');
    await page.clock.fastForward('04:00');
    await page.getByRole('button', { name: /Stirred/ }).tap();
    await fits('Pour');
    // 498 g of Millrace at 22 °C keep about 36 min from the mixing.
    await expect(page.getByRole('timer', { name: 'Working time' })).toContainText(
      'working time left',
    );
    await page.clock.fastForward('33:00');
    await expect(page.getByRole('timer', { name: 'Working time' })).toContainText(
      'past the working time',
    );
  });
});

test('one batch serves two pieces, poured one after the other, each with its own clock', async ({
  page,
}) => {
  await openDemo(page);
  await openPiece(page, 'Relief map', 'coats');
  await makeReady(page);
  await page.getByRole('link', { name: 'Add to a wet session' }).click();
  const mix = page.getByRole('button', { name: /Mix for this batch/ });
  const alone = Number.parseFloat(await mix.innerText());
  await page.getByRole('checkbox', { name: /Viaduct painting/ }).check();
  await expect(mix).not.toHaveText(String(alone));
  expect(Number.parseFloat(await mix.innerText())).toBeGreaterThan(alone + 400);
  await page.getByRole('button', { name: 'Start: weigh A' }).click();
  await page.getByRole('button', { name: /A is in/ }).click();
  await page.getByRole('button', { name: /B is in/ }).click();
  await page.getByRole('button', { name: /Start stirring/ }).click();
  await page.getByRole('button', { name: /Stirred/ }).click();
  await page.getByRole('button', { name: 'Poured: Relief map' }).click();
  await page.clock.fastForward('06:00');
  await expect(page.getByRole('button', { name: /Covered/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Poured: Viaduct painting' }).click();
  await page.getByRole('button', { name: /Covered/ }).click();
  const opens = page.getByRole('button', { name: /Recoat opens/ });
  await expect(opens).toHaveCount(2);
  const times = await opens.allInnerTexts();
  expect(times[0]).not.toBe(times[1]);
  await expectAccessible(page);
  // A wrong tap on the cover can be undone from here.
  await page.getByRole('button', { name: 'Undo the cover' }).click();
  await expect(page.getByRole('heading', { name: 'Cover', exact: true })).toBeVisible();
});

test('a session can be left before mixing, found again from the strip, and is one at a time for a coat', async ({
  page,
}) => {
  await openDemo(page);
  await openPiece(page, 'Viaduct painting', 'coats');
  await page.getByRole('link', { name: 'Add to a wet session' }).click();
  await page.getByRole('button', { name: 'Start: weigh A' }).click();
  await expect(page.getByRole('heading', { name: 'Weigh part A' })).toBeVisible();
  await page.getByRole('link', { name: 'Today' }).click();
  const strip = page.getByRole('region', { name: 'Bench strip' });
  await strip.getByRole('link', { name: /wet session · weigh A/ }).click();
  await expect(page.getByRole('heading', { name: 'Weigh part A' })).toBeVisible();
  await page.getByRole('button', { name: 'Leave, nothing is mixed' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Pieces' })).toBeVisible();
  await expect(strip).not.toContainText('wet session');
  await openPiece(page, 'Viaduct painting', 'coats');
  await expect(page.getByRole('link', { name: 'Add to a wet session' })).toBeVisible();
});
