import { key } from './words';
import {
  expect,
  makeReady,
  mixStirred,
  openDemo,
  openPiece,
  openStage,
  pressMain,
  test,
} from './bench';

test('a line waits its turn: faces first, drawn once it stays, and the log says which came when', async ({
  page,
}) => {
  test.slow();
  await openDemo(page);
  // The barrier of the board stands on its seal, which dries until the night after.
  await openPiece(page, 'Dining-car serving board', 'prepare');
  const seal = page.getByRole('button', { name: /^Done: Seal with acrylic medium/ });
  await seal.click();
  await expect(page.getByText(/drying until/).first()).toBeVisible();
  await page.clock.fastForward('33:00:00');
  await makeReady(page);
  await openPiece(page, 'Relief map', 'coats');
  await makeReady(page);
  await openPiece(page, 'Dining-car serving board', 'coats');
  await openStage(page, 'coats');
  await key(page, 'addToAWetSession').click();
  await page.getByRole('checkbox', { name: /Relief map/ }).check();
  await mixStirred(page);
  await expect(page.getByRole('heading', { name: 'Pour', exact: true })).toBeVisible();

  // The line was chosen first, yet the face is poured first: the line would flow out now.
  await expect(page.getByText(/^then this, stays from \d\d:\d\d$/)).toBeVisible();
  await page.clock.fastForward('02:00');
  await pressMain(page, /^Poured: Relief map/);
  await expect(
    page.getByRole('button', { name: /^Poured: Dining-car serving board/ }),
  ).toBeVisible();
  await expect(page.getByText(/^stays from \d\d:\d\d$/)).toBeVisible();
  await expect(
    page.getByRole('list', { name: /Order of strokes, Dining-car serving board/ }),
  ).toBeVisible();
  await page.clock.fastForward('36:15');
  await expect(page.getByText('draw it now')).toBeVisible();
  await pressMain(page, /^Poured: Dining-car serving board/);
  await pressMain(page, /^Covered: (?!Dining-car)/);
  await pressMain(page, /^Covered: Dining-car serving board/);
  await expect(page.getByRole('heading', { name: /The clocks run/ })).toBeVisible();
  await key(page, 'today').click();
  await key(page, 'book').click();
  const poured = page
    .getByRole('region', { name: 'Log' })
    .getByRole('listitem')
    .filter({ hasText: 'poured' });
  // Newest first.
  await expect(poured.nth(0)).toContainText('Dining-car serving board');
  await expect(poured.nth(1)).toContainText('Relief map');
});
