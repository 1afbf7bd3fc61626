import { key } from './words';
import type { Page } from '@playwright/test';
import { expect, openDemo, openPiece, openStage, reloadStored, test } from './bench';
import { choose, detail, step, titles } from './preparing';

interface Survey {
  readonly name: string;
  readonly support: string;
  readonly file?: string;
  readonly porosity?: string;
  readonly surface?: string;
  readonly relief?: string;
  readonly dammed?: boolean;
}

/** Surveys a piece of 300 × 200 mm (or from a drawing) and plans one coat; ends on Prepare. */
async function newPiece(page: Page, survey: Survey): Promise<void> {
  await openDemo(page, '/pieces/new');
  await page.getByLabel('Name', { exact: true }).fill(survey.name);
  await page.getByLabel('Support').selectOption(survey.support);
  if (survey.file) {
    await page.getByLabel('Shape of the face').selectOption('outline');
    await page.getByLabel('Drawing file').setInputFiles({
      name: 'board.svg',
      mimeType: 'image/svg+xml',
      buffer: Buffer.from(survey.file),
    });
  } else {
    await page.getByLabel('Width', { exact: true }).fill('300 mm');
    await page.getByLabel('Height', { exact: true }).fill('200 mm');
  }
  for (const [part, kind] of [
    ['dial', 'recess'],
    ['handle', 'bare'],
  ])
    if (survey.file?.includes(`id="${part}"`))
      await page.getByLabel(`What ${part} is`).selectOption(kind ?? '');
  if (survey.dammed) {
    await key(page, 'edges').click();
    for (const edge of ['Top', 'Right', 'Bottom', 'Left'])
      await page.getByLabel(edge, { exact: true }).selectOption('tape wall');
  }
  await key(page, 'surface').click();
  if (survey.porosity) await page.getByLabel('Porosity').selectOption(survey.porosity);
  if (survey.surface) await page.getByLabel('Surface now').selectOption(survey.surface);
  if (survey.relief) {
    await key(page, 'addRelief').click();
    await page.getByLabel('What stands up').selectOption(survey.relief);
    await page.getByLabel('Covers').fill('40 %');
    await page.getByLabel('Greatest height').fill('1 mm');
    await page.getByLabel('Mean height').fill('0.4 mm');
  }
  await key(page, 'addToTheBench').click();
  const areas = page.getByRole('group', { name: 'On which areas' });
  if (survey.file?.includes('dial')) await expect(areas).toBeVisible();
  await key(page, 'planThisCoat').click();
  await key(page, 'prepareFirst').click();
}

test('an ink painting on panel: matte spray, rub test that fails and passes, no alcohol, no paper', async ({
  page,
}) => {
  await newPiece(page, { name: 'Ink study', support: 'sealed panel', surface: 'ink' });
  const found = await titles(page);
  expect(found).toEqual(expect.arrayContaining(['Fix the art with matte spray', 'Rub test']));
  expect(found).toContain('Lift lint with sticky tape');
  expect(found.filter((t) => /alcohol|Seal|Sand/.test(t))).toEqual([]);

  // Gloss on ink and sanding bare ink are said at the task.
  await page.getByLabel('Spray over art, school').selectOption('gloss');
  await choose(page, 'Fix the art with gloss spray');
  await expect(detail(page).getByText(/gloss re-dissolves ink/)).toBeVisible();
  await page.getByLabel('Spray over art, school').selectOption('matte');
  await page.getByLabel('What is to be done').fill('Key the face');
  await page.getByLabel('Kind').selectOption('sand');
  await key(page, 'addTheStep').click();
  await choose(page, 'Key the face');
  await expect(detail(page).getByText(/sanding takes the art away/)).toBeVisible();
  await page.getByRole('button', { name: 'Remove this step of yours' }).click();
  await expect(step(page, 'Key the face')).toHaveCount(0);

  // Spray, an hour to flash off; the finger takes colour off, so both are to be done again.
  await page.getByRole('button', { name: 'Done: Fix the art with matte spray' }).click();
  await expect(step(page, /Fix the art/)).toContainText('drying until 14:30');
  await expect(step(page, 'Rub test')).toContainText('not before 14:30');
  await page.clock.fastForward('01:00:10');
  await page.getByRole('button', { name: 'Note the result: Rub test' }).click();
  await page.getByRole('button', { name: 'Colour comes off' }).click();
  await expect(step(page, 'Rub test')).toContainText('again, after “Fix the art');
  await expect(step(page, /Fix the art/)).toContainText('again: it has not held');
  await page.getByRole('button', { name: /Done again: Fix the art/ }).click();
  await page.clock.fastForward('01:00:10');
  await page.getByRole('button', { name: 'Note the result: Rub test' }).click();
  await page.getByRole('button', { name: 'The finger stays clean' }).click();
  await expect(step(page, 'Rub test')).toContainText('done 15:30');
  await key(page, 'book').click();
  await page.getByLabel('Search the log').fill('rub test');
  await expect(page.getByText('Rub test: colour comes off')).toHaveCount(2);
  await expect(page.getByText('Rub test: clean')).toBeVisible();
});

const BOARD = `<svg xmlns="http://www.w3.org/2000/svg" width="300mm" height="200mm" viewBox="0 0 300 200">
  <rect id="board" width="300" height="200"/><circle id="dial" cx="190" cy="100" r="40"/><rect id="handle" x="0" y="70" width="80" height="60"/>
</svg>`;

test('a porous board with a bare handle: gate, waiver with a reason, amounts that open, no future', async ({
  page,
}) => {
  const file = BOARD.replace(/<circle[^>]*>/, '');
  await newPiece(page, {
    name: 'Oar blade',
    support: 'bare wood',
    porosity: 'porous',
    surface: 'painted',
    file,
  });
  const found = await titles(page);
  expect(found).toEqual(
    expect.arrayContaining([
      'Let the paint or varnish dry through',
      'Seal with acrylic medium, 2 passes',
      'Paint the edges in the ground colour',
      'Mask: painter’s tape',
      'Lift lint with sticky tape',
    ]),
  );
  expect(found.filter((t) => /Sand|Rub test|alcohol/.test(t))).toEqual([]);
  // Its tape keeps the handle bare, so it goes on before the edges are painted.
  expect(found.indexOf('Mask: painter’s tape')).toBeLessThan(
    found.indexOf('Paint the edges in the ground colour'),
  );
  await expect(page.getByText(/is held\./)).toBeVisible();

  // Face less the handle, 552 cm², and 1 m of 18 mm edge: (0.0552 + 0.018) m² × 200 ml/m² = 14.6 ml.
  await choose(page, 'Seal with acrylic medium, 2 passes');
  await detail(page)
    .getByRole('button', { name: /acrylic medium: how/ })
    .click();
  const opened = page.getByRole('dialog', { name: 'acrylic medium' });
  await expect(opened).toContainText('A · h · passes');
  await expect(opened).toContainText(/732\scm²/);
  await expect(detail(page)).toContainText(/14\.6\sml/);
  await page.keyboard.press('Escape');

  // A time to come is refused at its field, a past one starts the clock there.
  await choose(page, 'Let the paint or varnish dry through');
  const when = detail(page).getByLabel('Done at another time');
  await when.fill('25 Nov 9:00');
  await key(page, 'noteThatTime').click();
  await expect(detail(page).getByText(/still to come/)).toBeVisible();
  await when.fill('Sun 9:00');
  await key(page, 'noteThatTime').click();
  await expect(step(page, /Let the paint/)).toContainText('done Sun 09:00');

  // Left out only with a reason, and the reason stands in the log.
  await choose(page, 'Lift lint with sticky tape');
  await page.getByRole('button', { name: 'Leave it out', exact: true }).click();
  await expect(detail(page).getByText(/Say why/)).toBeVisible();
  await detail(page).getByLabel('Leave it out, because').fill('cleaned at the paint shop');
  await page.getByRole('button', { name: 'Leave it out', exact: true }).click();
  await expect(step(page, /Lift lint/)).toContainText('left out: cleaned at the paint shop');
  await openStage(page, 'coats');
  await expect(page.getByRole('link', { name: /Prepare first: 3 steps/ })).toBeVisible();
  await key(page, 'book').click();
  await page.getByLabel('Search the log').fill('waived oar');
  await expect(page.getByText(/sticky tape: cleaned at the paint shop/)).toBeVisible();
});

test('a relief tile: loose parts, a wall of tape; latex left for three weeks is said', async ({
  page,
}) => {
  await newPiece(page, {
    name: 'Glitter tile',
    support: 'tile',
    relief: 'fine glitter',
    dammed: true,
  });
  const found = await titles(page);
  expect(found).toEqual(
    expect.arrayContaining(['Tap, brush and vacuum what is loose', 'Mask: painter’s tape']),
  );
  expect(found.filter((t) => /Seal|Sand|edges/.test(t))).toEqual([]);
  // No time passes until the other piece: the same choice for it is no second tap.
  await page.clock.setFixedTime(await page.evaluate(() => Date.now()));
  await page.getByLabel('Masks, school').selectOption('latex');
  await expect(detail(page).or(step(page, /Mask/)).first()).toBeVisible();
  await choose(page, 'Mask: painter’s tape');
  await expect(detail(page).getByText(/A tape wall is made of tape/)).toBeVisible();
  await openPiece(page, 'Guard’s paddle', 'prepare');
  await page.getByLabel('Masks, school').selectOption('latex');
  await choose(page, 'Mask: latex');
  await detail(page).getByLabel('Done at another time').fill('3 Nov 9:00');
  await key(page, 'noteThatTime').click();
  await expect(step(page, 'Mask: latex')).toContainText('again, after');
  await expect(detail(page).getByText(/longer than it may/)).toBeVisible();
});

test('a torn canvas dries in the room’s air and holds its coat until it is dry', async ({
  page,
}) => {
  await openDemo(page);
  await expect(page.getByRole('img', { name: /Timetable canvas: drying/ })).toBeVisible();
  await openPiece(page, 'Timetable canvas', 'prepare');
  const tear = step(page, 'Brush an acrylic base over the front');
  await expect(tear).toContainText('drying until Wed 15:49');
  await page.getByRole('button', { name: 'Why not now: Mask: painter’s tape' }).first().click();
  await expect(detail(page)).toContainText('not before Wed 15:49');
  await expect(detail(page).getByRole('button', { name: 'Done now' })).toHaveCount(0);

  // Soaked air never dries it; drier air than before dries it sooner.
  const air = page.getByRole('region', { name: 'Air of the room' });
  await air.getByLabel('Humidity').fill('100 %');
  await air.getByRole('button', { name: 'Note it' }).click();
  await expect(tear).toContainText('not in this air');
  await air.getByLabel('Humidity').fill('40 %');
  await air.getByRole('button', { name: 'Note it' }).click();
  await expect(tear).toContainText('drying until Wed 12:28');
  await page.clock.fastForward('24:00:00');
  await expect(tear).toContainText('done');
  await page.getByRole('button', { name: 'Done: Mask: painter’s tape' }).click();
  await expect(page.getByText('Skim is held.')).toBeVisible();
  // What is for the coat above waits for this one.
  await expect(step(page, /Prop the middle/)).toContainText('after Skim');
});

test('a hard coat is keyed only where the next one covers, and on one side of a line', async ({
  page,
}) => {
  await newPiece(page, {
    name: 'Old dial board',
    support: 'cured resin',
    surface: 'old resin',
    file: BOARD,
  });
  await choose(page, 'Sand for tooth');
  // Face less the handle, 552 cm², and less the dial, π 40² mm², which this coat does not cover.
  const area = detail(page).getByText(/Area to sand/);
  await expect(area).toContainText(/502\scm²/);
  // Asked for beyond the coat, it is left out and said.
  const own = page.getByRole('region', { name: 'Add a step' });
  await own.getByLabel('What is to be done').fill('Key all of it');
  await own.getByLabel('Kind').selectOption('sand');
  await own.getByLabel('Recess 1').check();
  await key(own, 'addTheStep').click();
  await choose(page, 'Key all of it');
  await expect(area).toContainText(/502\scm².*no coat covers it\s50\.3\scm²/);
  await expect(detail(page).getByText(/lies outside the next coat/)).toBeVisible();
  await choose(page, 'Sand for tooth');
  await page.getByLabel('Tooth, school').selectOption('coarse');
  await expect(detail(page).getByRole('row', { name: /P100/ })).toContainText('hides it');
  // Only right of a line through the middle, where the dial is: 150 × 200 mm less 50.3 cm².
  await page.getByLabel('Where to sand').selectOption('right');
  await expect(area).toContainText(/250\scm²/);
  const line = page.getByRole('slider', { name: 'Place of the line' });
  await line.focus();
  for (let i = 0; i < 10; i += 1) await page.keyboard.press('ArrowRight');
  // 10 steps of 1.5 mm: a strip of 30 cm² less a segment of the dial, 15 mm high, 6.5 cm².
  await expect(area).toContainText(/226\scm²/);
  await reloadStored(page);
  await choose(page, 'Sand for tooth');
  await expect(area).toContainText(/226\scm²/);
});
