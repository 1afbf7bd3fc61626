import { key } from './words';
import type { Page } from '@playwright/test';
import {
  downloaded,
  expect,
  mainButton,
  makeReady,
  openAt,
  openDemo,
  pressMain,
  reloadStored,
  startMixing,
  test,
  weighIn,
} from './bench';

/** Keeps everything that stands on the page from now on, also for an instant. */
async function watchWords(page: Page): Promise<() => Promise<string[]>> {
  await page.evaluate(() => {
    const said = new Set<string>();
    const look = () => said.add(document.querySelector('main')?.textContent ?? '');
    new MutationObserver(look).observe(document.body, { subtree: true, childList: true });
    Object.assign(window, { said });
  });
  return () => page.evaluate(() => [...(window as unknown as { said: Set<string> }).said]);
}

test('new piece to logged, curing coat, exported and imported again', async ({ page }) => {
  await openDemo(page, '/pieces/new');
  const said = await watchWords(page);

  // Survey: 12 × 12 in, one edge taped.
  await page.getByLabel('Name').fill('Ticket window sill');
  await page.getByLabel('Support').selectOption('sealed panel');
  await page.getByLabel('Width', { exact: true }).fill('12 in');
  await page.getByLabel('Height', { exact: true }).fill('12 in');
  await key(page, 'edges').click();
  await page.getByLabel('Top', { exact: true }).selectOption('tape wall');
  await expect(key(page, 'areaOfOneFace')).toHaveText(/929\scm²/);
  await key(page, 'addToTheBench').click();

  // Coat: 1/16 in of film is 4.99 fl oz, 147.5 ml.
  await page.getByLabel('It is to').selectOption('given');
  await page.getByLabel('Film thickness').fill('1/16 in');
  await page.getByLabel('Resin').selectOption({ label: 'Millrace Clear' });
  await key(page, 'planThisCoat').click();
  const ledger = page.getByRole('region', { name: 'Ledger of Flood 1' });
  await expect(ledger.getByRole('row', { name: /Film on the face/ })).toContainText(/147\sml/);
  const total = Number.parseFloat(
    await ledger.getByRole('button', { name: /Mix for this coat/ }).innerText(),
  );
  expect(total).toBeGreaterThan(150);
  expect(total).toBeLessThan(180);

  // Every number opens: formula, inputs, source.
  await ledger.getByRole('button', { name: /Weight of part B/ }).click();
  const opened = page.getByRole('dialog', { name: 'Weight of part B' });
  await expect(opened).toContainText('17.3 % too much B');
  await expect(opened).toContainText('Source:');
  await page.keyboard.press('Escape');

  // The gate: sealed and square, it asks for a mask, a wipe and a level; then weigh and mix.
  await expect(page.getByRole('link', { name: /Prepare first: 3 steps are open/ })).toBeVisible();
  await makeReady(page);
  await key(page, 'addToAWetSession').click();
  await startMixing(page);
  await weighIn(page, 'A');
  // What an act leads on to is there with it: nothing says on the way that it is not.
  const words = await said();
  expect(words.some((w) => w.includes('Weigh part A'))).toBe(true);
  expect(
    words.filter((w) => /session is over|not waiting to be mixed|No such piece/.test(w)),
  ).toEqual([]);
  await expect(page.getByRole('heading', { name: 'Weigh part B' })).toBeVisible();
  await page.getByRole('button', { name: '+10' }).click();
  await expect(page.getByText(/of A to restore the ratio/)).toBeVisible();
  await page.getByRole('button', { name: '−10' }).click();
  await pressMain(page, /^B is in, stir/);
  await pressMain(page, /Start stirring/);

  // Reload in the middle of the stir loses nothing: the clock comes from the record.
  await page.clock.fastForward('01:30');
  await expect(page.getByRole('timer', { name: 'Stirred for' })).toHaveText(/^1:3\d$/);
  await expect(page.getByText('Not yet: streaks cure soft')).toBeVisible();
  await reloadStored(page);
  await expect(page.getByRole('timer', { name: 'Stirred for' })).toHaveText(/^1:3\d$/);
  await page.clock.fastForward('02:40');
  await expect(page.getByText('Long enough: look for streaks once more')).toBeVisible();
  await pressMain(page, /Stirred, no streaks/);
  await pressMain(page, /Poured: Ticket window sill/);
  await page.clock.fastForward('05:00');
  await pressMain(page, /Covered/);
  await expect(page.getByRole('heading', { name: 'Covered. The clocks run.' })).toBeVisible();
  await page.getByRole('link', { name: 'See its windows' }).click();

  // Mixed about 13:30 at 22.2 °C: recoat opens after 9 ripe hours in a room that cools by its forecast, at the pace
  // that two earlier batches taught (5 % slower).
  const cure = page.getByRole('region', { name: 'Cure of Flood 1' });
  await expect(cure.getByRole('heading', { level: 2 })).toHaveText('Flood 1: wet');
  const recoat = cure.getByRole('row', { name: /Recoat without sanding/ });
  await expect(recoat).toContainText(/23:3\d/);
  await expect(recoat).toContainText(/Wed 05:5\d/);
  await expect(recoat).toContainText(/in 9\sh\s\d+\smin/);
  const states: string[] = [];
  for (const hours of ['06:00:00', '02:10:00', '02:20:00', '06:20:00', '12:00:00']) {
    await page.clock.fastForward(hours);
    states.push(
      ((await cure.getByRole('heading', { level: 2 }).textContent()) ?? '').replace(
        'Flood 1: ',
        '',
      ),
    );
  }
  expect(states).toEqual(['set, no flow', 'leathery', 'recoat open', 'sand first', 'hard']);
  await expect(recoat).toContainText('shut');

  // A defect is noted, with its usual repair beside it.
  await page.getByRole('link', { name: /inspect/i }).click();
  await page.getByLabel('What it is').selectOption('dust nib');
  await page.getByLabel('Note').fill('a hair by the top edge');
  await key(page, 'noteIt').click();
  await expect(page.getByRole('region', { name: 'Defects' })).toContainText(
    'a hair by the top edge',
  );

  // The log holds every wet action.
  await key(page, 'book').click();
  await page.getByLabel('Search the log').fill('ticket window');
  const log = page.getByRole('region', { name: 'Log' });
  for (const kind of [
    'piece added',
    'coat planned',
    'session started',
    'weighed A',
    'mixed',
    'stir started',
    'stirred',
    'poured',
    'covered',
    'defect noted',
  ])
    await expect(log.getByText(kind, { exact: true })).toHaveCount(1);
  const csv = await downloaded(page, () =>
    page.getByRole('button', { name: /Export the log/ }).click(),
  );
  // Then the figures, each in a column of its own.
  expect(csv).toMatch(/^time,kind,piece,coat,by,text,figures,id,about,aKg,/);
  expect(csv).toContain('defect noted,Ticket window sill,Flood 1');

  // Export, wipe, import: the same data.
  const before = await downloaded(page, () => key(page, 'exportTheWholeShop').click());
  await page.getByRole('link', { name: 'Settings' }).click();
  await key(page, 'emptyTheShop').click();
  await page.getByRole('button', { name: 'Empty it' }).click();
  await expect(page.getByText('It is empty.')).toBeVisible();
  await key(page, 'book').click();
  await expect(page.getByText('The log begins with the first piece.')).toBeVisible();
  await page.getByLabel('Shop file').setInputFiles({
    name: 'shop.json',
    mimeType: 'application/json',
    buffer: Buffer.from(before),
  });
  await expect(page.getByText(/Imported \d+ rows/)).toBeVisible();
  const after = await downloaded(page, () => key(page, 'exportTheWholeShop').click());
  expect(JSON.parse(after).tables).toEqual(JSON.parse(before).tables);
});

test('undo takes a wrong tap back, and too much B is put right with A', async ({ page }) => {
  await openAt(page, 'Signal lamp lens', 'coats', 'ready');
  await key(page, 'addToAWetSession').click();
  await startMixing(page);
  await expect(page.getByRole('heading', { name: 'Weigh part A' })).toBeVisible();
  // By keyboard alone: R is the reading, the space bar takes it in once the button takes taps.
  await page.keyboard.press('r');
  await mainButton(page, /^A is in/);
  await page.keyboard.press('Space');
  await expect(page.getByRole('heading', { name: 'Weigh part B' })).toBeVisible();
  await mainButton(page, /Undo: weighed A/);
  await page.keyboard.press('u');
  await expect(page.getByRole('heading', { name: 'Weigh part A' })).toBeVisible();
  // What was read is still there.
  await expect(page.getByText(/✓ read:/)).toBeVisible();
  await mainButton(page, /^A is in/);
  await page.keyboard.press('Space');
  await expect(page.getByRole('heading', { name: 'Weigh part B' })).toBeVisible();
  await page.getByRole('button', { name: '+10' }).click();
  await page.getByRole('button', { name: /of A is added/ }).click();
  await expect(page.getByText(/✓ [+−]?0\.\d % B/)).toBeVisible();
  await pressMain(page, /^B is in, stir/);
  await expect(page.getByRole('heading', { name: 'Stir', exact: true })).toBeVisible();
  await key(page, 'today').click();
  await expect(page.getByRole('link', { name: /Go on at the bench: stir/ })).toBeVisible();
  await key(page, 'book').click();
  await page.getByLabel('Search the log').fill('lens');
  await expect(page.getByText(/A added after/)).toBeVisible();
  await expect(page.getByText('(undone)')).toHaveCount(1);
});
