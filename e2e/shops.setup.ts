import { key } from './words';
import {
  expect,
  loadDemo,
  makeReady,
  openPiece,
  pressMain,
  startMixing,
  test,
  weighIn,
} from './bench';
import { keepShop } from './shops';

test('from the demo to a stirred mix', async ({ page }) => {
  await loadDemo(page);
  const strip = page.getByRole('region', { name: 'Bench strip' });
  await expect(strip.getByRole('link', { name: /^Relief map.*mask past its limit/ })).toBeVisible();
  await keepShop(page, 'demo');
  await openPiece(page, 'Viaduct painting', 'coats');
  await key(page, 'addToAWetSession').click();
  await startMixing(page);
  await expect(page.getByRole('heading', { name: 'Weigh part A' })).toBeVisible();
  await expect(page).toHaveURL(/\/wet\/[^n]/);
  await keepShop(page, 'weighing');
  for (const part of ['A', 'B'] as const) await weighIn(page, part);
  await pressMain(page, /Start stirring/);
  await page.clock.fastForward('04:20');
  await pressMain(page, /Stirred, no streaks/);
  await expect(page.getByRole('heading', { name: 'Pour', exact: true })).toBeVisible();
  await keepShop(page, 'stirred');
});

test('the relief map and the lens made ready', async ({ page }) => {
  await loadDemo(page);
  for (const piece of ['Signal lamp lens', 'Relief map']) {
    await openPiece(page, piece, 'coats');
    await makeReady(page);
  }
  await keepShop(page, 'ready');
});
