import { key } from './words';
import type { Page } from '@playwright/test';
import { expect, openDemo, openPiece, test } from './bench';

const PLACES = [
  '/',
  '/pieces',
  '/resins',
  '/resins/new',
  '/room',
  '/settings',
  '/start',
  '/pieces/new',
];
const STAGES = ['survey', 'prepare', 'coats', 'cure', 'inspect', 'finish'];
/** What US data sheets say in the metric way as well, and one hint that shows that any unit may be typed. */
const USUAL =
  /g\/ml|Pa·s|Any unit may be typed|Taken as usual: densities|simulated scale|°C or 64 F/;
const METRIC = /\d\s?(?:mm|ml|cm|cm²|m²|µm|°C|kg|g|l)(?![\w/])/;
/** Eight figures after the point: a conversion that nobody wrote. */
const RAW = /\d\.\d{8}/;

/** Everything that is shown and every value in a field, folded parts as well. */
const told = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    for (const part of document.querySelectorAll('details')) part.open = true;
    const found: string[] = [];
    const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (walk.nextNode())
      if (!walk.currentNode.parentElement?.closest('script, style'))
        found.push(walk.currentNode.textContent ?? '');
    for (const field of document.querySelectorAll('input, textarea'))
      found.push((field as HTMLInputElement).value);
    return found.map((text) => text.replaceAll('\u00a0', ' ').trim());
  });

test('who works in US units meets no metric leftover and no raw conversion', async ({ page }) => {
  test.slow();
  await openDemo(page, '/settings');
  await page.getByLabel('Units').selectOption('us');
  await page.getByLabel('The scale shows').selectOption('oz');
  await key(page, 'saveTheSettings').click();
  await expect(page.getByText('✓ Saved')).toBeVisible();
  await openPiece(page, 'Viaduct painting', 'coats');
  const piece = new URL(page.url()).pathname.replace(/coats$/, '');
  for (const path of [...PLACES, ...STAGES.map((s) => piece + s)]) {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    const wrong = (await told(page)).filter(
      (text) => (METRIC.test(text) && !USUAL.test(text)) || RAW.test(text),
    );
    expect(wrong, path).toEqual([]);
  }
});
