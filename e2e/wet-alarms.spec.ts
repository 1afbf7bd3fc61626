import {
  expect,
  openDemo,
  openPiece,
  pressMain,
  reloadStored,
  startMixing,
  test,
  weighIn,
} from './bench';

test('alarms: each is told once, and a reload tells none again', async ({ page }) => {
  await openDemo(page);
  await openPiece(page, 'Viaduct painting', 'coats');
  await page.getByRole('link', { name: 'Add to a wet session' }).click();
  await startMixing(page);
  await weighIn(page, 'A');
  await weighIn(page, 'B');
  await pressMain(page, /Start stirring/);
  const due = page.getByRole('list', { name: 'Due now' });
  await expect(due).toHaveCount(0);
  const told = () =>
    page.evaluate(() =>
      Object.keys(localStorage)
        .filter((key) => key.startsWith('bilamina-told-'))
        .flatMap((key) => JSON.parse(localStorage.getItem(key) ?? '[]') as string[])
        .map((id) => id.split('/')[1]),
    );
  await page.clock.fastForward('04:05');
  await expect(due).toContainText('Stirred long enough: look for streaks.');
  await expect.poll(told).toEqual(['stirred-enough']);
  await reloadStored(page);
  await expect(due).toContainText('Stirred long enough');
  await pressMain(page, /Stirred/);
  await page.clock.fastForward('02:05');
  await expect(due).toContainText('Bubbles had two minutes to rise: pour.');
  await pressMain(page, /^Poured/);
  await page.clock.fastForward('10:30');
  await expect(due).toContainText('! Cover Viaduct painting');
  await reloadStored(page);
  await expect(due).toContainText('Look Viaduct painting over for bubbles.');
  expect(await told()).toEqual(['stirred-enough', 'rested', 'bubble-round', 'cover']);
  await pressMain(page, /^Covered/);
  await expect(page.getByRole('heading', { name: /The clocks run/ })).toBeVisible();
  await expect(due).toContainText('bubbles');
  await page.getByRole('button', { name: /gone over for bubbles by warm air/ }).click();
  await expect(due).toHaveCount(0);
});
