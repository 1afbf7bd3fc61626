import type { Page } from '@playwright/test';
import { expect, expectAccessible, openAt, openDemo, overAt, test } from './bench';

const PLACES = ['/', '/pieces', '/resins', '/room', '/book', '/settings', '/start'] as const;
const FORMS = ['/pieces/new', '/resins/demo-millrace', '/resins/new'] as const;
const STAGES = ['survey', 'prepare', 'coats', 'cure', 'inspect', 'finish'] as const;

/** Places one after the other, each reached by its link where one leads there. */
async function each(page: Page, paths: readonly string[], look: (path: string) => Promise<void>) {
  for (const path of paths)
    await test.step(path, async () => {
      const link = page.locator(`nav a[href="${path}"]`).first();
      if ((await link.count()) > 0) await link.click();
      else await page.goto(path);
      await expect(page).toHaveURL(path);
      await page.getByRole('heading', { level: 1 }).waitFor();
      // What comes later than its heading, and would not be looked at.
      if (path === '/book') await expect(page.getByText(/of \d+ entries/)).toBeVisible();
      if (path === '/resins/demo-millrace')
        await expect(page.locator('.recharts-line').first()).toBeVisible();
      await look(path);
    });
}
const stagesOf = (page: Page) => {
  const piece = new URL(page.url()).pathname.replace(/\w+$/, '');
  return STAGES.map((stage) => piece + stage);
};

const WIDTHS = [390, 640, 768, 1024, 1440, 1280];
/** By day and in the dark it passes axe, and at no width does it scroll sideways. */
const looksRight = (page: Page) => async (path: string) => {
  for (const colorScheme of ['light', 'dark'] as const) {
    await page.emulateMedia({ colorScheme });
    if (colorScheme === 'dark')
      await expect(page.locator('html')).toHaveAttribute('data-look', 'dark');
    else await expect(page.locator('html')).not.toHaveAttribute('data-look', /./);
    await expectAccessible(page);
  }
  for (const width of WIDTHS)
    await expect
      .poll(overAt(page, width), { message: `${path} at ${width}` })
      .toBeLessThanOrEqual(0);
};

test.describe('light and dark', () => {
  test.slow();
  test('every place passes axe, and scrolls nowhere sideways', async ({ page }) => {
    await openDemo(page);
    await each(page, PLACES, looksRight(page));
  });
  test('every form and every stage of a piece passes axe, and scrolls nowhere sideways', async ({
    page,
  }) => {
    await openAt(page, 'Relief map', 'coats');
    const stages = stagesOf(page);
    await each(page, [...stages, ...FORMS], looksRight(page));
  });
});

/**
 * Controls that a finger finds less than 44 px high, unless another control begins where they end. Points and lines of
 * drawings have rounds of their own; the pads of a plan are as large as it is.
 */
const smallForFinger = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const control = 'a, button, select, input:not([type=checkbox], [type=radio]), summary';
    return [...document.querySelectorAll(`main :is(${control})`)].flatMap((e) => {
      if (!e.checkVisibility() || e.closest('[data-plan-pad]')) return [];
      e.scrollIntoView({ block: 'center' });
      const box = e.getBoundingClientRect();
      const x = box.left + Math.min(box.width / 2, 20);
      const at = (dy: number) => document.elementFromPoint(x, box.top + box.height / 2 + dy);
      const reach = (way: 1 | -1) => {
        let far = 0;
        while (far < 22 && e.contains(at(way * far))) far += 1;
        return far >= 22 || at(way * far)?.closest(control) ? 22 : far;
      };
      const high = reach(1) + reach(-1);
      const name = e.getAttribute('aria-label') ?? e.textContent;
      return high < 43 ? [`${name.trim()}: ${high} px`] : [];
    });
  });

test.describe('a finger', () => {
  test.use({ hasTouch: true, viewport: { width: 1024, height: 768 } });
  test('finds 44 px at whatever it aims at', async ({ page }) => {
    await openAt(page, 'Viaduct painting', 'coats');
    const stages = stagesOf(page);
    await each(page, [...stages, ...PLACES], async (path) => {
      // What comes by itself has come: else it would not be looked at.
      await page.waitForLoadState('networkidle');
      await page.clock.runFor(1000);
      await expect.poll(() => smallForFinger(page), { message: path }).toEqual([]);
    });
  });
});
