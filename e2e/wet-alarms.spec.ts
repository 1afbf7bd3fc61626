import { expect, openSession, pressMain, reloadStored, test, weighIn } from './bench';

test('alarms of a day: each is told once, in order, and five reloads neither lose nor repeat one', async ({
  page,
}) => {
  await openSession(page, 'weighing');
  await weighIn(page, 'A');
  await weighIn(page, 'B');
  await pressMain(page, /Start stirring/);
  await reloadStored(page);
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
  await reloadStored(page);
  await expect(due).toContainText('Bubbles had two minutes to rise: pour.');
  await pressMain(page, /^Poured/);
  await page.clock.fastForward('10:30');
  await expect(due).toContainText('! Cover Viaduct painting');
  await reloadStored(page);
  await expect(due).toContainText('Look Viaduct painting over for bubbles.');
  const all = ['stirred-enough', 'rested', 'bubble-round', 'cover'];
  expect(await told()).toEqual(all);
  // The page in front tells it too, in its title.
  await expect(page).toHaveTitle(/^! .*Cover Viaduct painting/);
  await page.clock.fastForward('23:30:00');
  // The next day bubbles are no matter any more; the cover still is, and was told.
  await expect(due).not.toContainText('bubbles');
  await reloadStored(page);
  await expect(due).toContainText('! Cover Viaduct painting');
  expect(await told()).toEqual(all);
  await pressMain(page, /^Covered/);
  await expect(page.getByRole('heading', { name: /The clocks run/ })).toBeVisible();
  await expect(due).toHaveCount(0);
  await expect(page.getByRole('button', { name: /gone over for bubbles/ })).toHaveCount(0);
});
