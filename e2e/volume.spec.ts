import { key } from './words';
import type { Page } from '@playwright/test';
import { expect, openAt, openDemo, openPiece, reloadStored, test } from './bench';

const ledger = (page: Page, name: string) =>
  page.getByRole('region', { name: `Ledger of ${name}` });
const line = (page: Page, name: string, title: RegExp) =>
  ledger(page, name).getByRole('row', { name: title });
const numberIn = (text: string) => Number.parseFloat(text.replace(/[^\d.]/g, ''));

/** A new piece of one rectangular face with open edges; the coats page is open. */
async function newPiece(page: Page, name: string, support: string, size: [string, string]) {
  await openDemo(page, '/pieces/new');
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('Support').selectOption(support);
  await page.getByLabel('Width', { exact: true }).fill(size[0]);
  await page.getByLabel('Height', { exact: true }).fill(size[1]);
  await key(page, 'addToTheBench').click();
  await expect(key(page, 'planThisCoat')).toBeVisible();
}

test('a tile set flooded over the edge: why, 50 ml a metre, and what can be fed back', async ({
  page,
}) => {
  await newPiece(page, 'Porch tiles', 'tile', ['100 mm', '100 mm']);
  // A tile with open edges starts with that wish, and says why.
  await expect(page.getByLabel('It is to')).toHaveValue('over');
  await expect(page.getByLabel('It is to')).toHaveAccessibleDescription(
    /open edges are flooded over/,
  );
  await expect(page.getByLabel('For each metre of open edge')).toHaveValue('50 ml');
  await key(page, 'planThisCoat').click();
  // 400 mm of edge: 20 ml, of which 18 mm × 0.45 mm × 400 mm wet the band, 3.24 ml.
  const of = async (title: RegExp) =>
    numberIn(await line(page, 'Flood 1', title).getByRole('cell').innerText());
  await expect(line(page, 'Flood 1', /Wets the edges/)).toContainText(/3\.2\sml/);
  const over = (await of(/Wets the edges/)) + (await of(/Bead/)) + (await of(/Runs off/));
  expect(over).toBeCloseTo(20, 0);
  await expect(page.getByText(/run over, to catch and feed back/)).toBeVisible();
  await line(page, 'Flood 1', /Runs off/)
    .getByRole('button')
    .click();
  await expect(page.getByRole('dialog', { name: 'Runs off open edges' })).toContainText(
    'feed it back',
  );
  await page.keyboard.press('Escape');
  // Less than wets the edges is not poured over them; what no edge takes is told at the field.
  await page.getByLabel('For each metre of open edge').fill('2 l');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Between 0\.?0*\sml and 500\sml/)).toBeVisible();
  await page.getByLabel('For each metre of open edge').fill('70 ml');
  await page.keyboard.press('Enter');
  await expect.poll(() => of(/Runs off/)).toBeGreaterThan(22);
});

test('“I mix 15 fl oz”, in US units: the thickness follows, and what no film can be is told', async ({
  page,
}) => {
  await openDemo(page, '/settings');
  await page.getByLabel('Units').selectOption('us');
  await key(page, 'saveTheSettings').click();
  await openPiece(page, 'Platform clock face', 'coats');
  await expect(page.getByLabel('I mix')).toHaveValue('15 fl oz');
  await expect(ledger(page, 'Flood 1').getByRole('row', { name: /^Mix/ })).toContainText(
    /15\.0\sfl oz/,
  );
  const slider = page.getByRole('slider', { name: 'Thickness of Flood 1' });
  const before = await slider.getAttribute('aria-valuenow');
  await page.getByLabel('I mix').fill('12 fl oz');
  await page.keyboard.press('Enter');
  await expect(slider).not.toHaveAttribute('aria-valuenow', before ?? '');
  await expect(ledger(page, 'Flood 1').getByRole('row', { name: /^Mix/ })).toContainText(
    /12\.0\sfl oz/,
  );
  await page.getByLabel('I mix').fill('1 fl oz');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/The sheet allows films that take/)).toBeVisible();
  // A weight does as well: 1 lb is 453.6 g.
  await page.getByLabel('I mix').fill('450 g');
  await page.keyboard.press('Enter');
  await expect(ledger(page, 'Flood 1').getByText(/450\sg/)).toBeVisible();
  await reloadStored(page);
  await expect(ledger(page, 'Flood 1').getByText(/450\sg/)).toBeVisible();
});

test('edges only: the film that is brushed on and its bead, and no word of level or waves', async ({
  page,
}) => {
  await newPiece(page, 'Rim panel', 'sealed panel', ['12 in', '12 in']);
  await page.getByLabel('Kind').selectOption('edge');
  await expect(page.getByLabel('It is to')).toHaveValue('skin');
  await key(page, 'planThisCoat').click();
  // 48 in of 18 mm at 0.15 mm: 3.29 ml; a bead of 3.7 mm² along them: 4.5 ml.
  await expect(line(page, 'Edge', /Wets the edges/)).toContainText(/3\.3\sml/);
  await expect(line(page, 'Edge', /Bead under the edge/)).toContainText(/4\.[4-7]\sml/);
  await expect(line(page, 'Edge', /Film on the face/)).toHaveCount(0);
  await expect(page.getByText(/spirit level|Waves|waves/)).toHaveCount(0);
  await expect(page.getByText(/rule of thumb/)).toHaveCount(0);
  await expect(page.getByText(/on the open edges alone/)).toBeVisible();
});

test('a casting’s back may not run over: the greatest safe mass and what is to spare', async ({
  page,
}) => {
  await openAt(page, 'Signal lamp lens', 'coats');
  await page.getByRole('button', { name: /^Back/ }).first().click();
  await expect(line(page, 'Back', /Dome inside its rim/)).toBeVisible();
  await expect(line(page, 'Back', /Runs off/)).toHaveCount(0);
  await expect(
    page.getByText(/Back: rim at 60\s°; pour at most 3\d\.\d\sg a piece, 0\.0\sg/),
  ).toBeVisible();
  await page.getByLabel('It is to').selectOption('given');
  await page.getByLabel('Film thickness').fill('1 mm');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/1\d\.\d\sg to spare/)).toBeVisible();
});

test('a canvas by keyboard alone: the skim follows its belly, the flood fills it', async ({
  page,
}) => {
  await openAt(page, 'Timetable canvas', 'coats');
  const coat = page.getByRole('button', { name: /^Skim/ });
  await coat.focus();
  await page.keyboard.press('Enter');
  await expect(ledger(page, 'Skim')).toBeVisible();
  await expect(line(page, 'Skim', /Belly/)).toHaveCount(0);
  const flood = page.getByRole('button', { name: /^Flood 1/ });
  await flood.focus();
  await page.keyboard.press('Enter');
  // 500 × 700 mm, 1.5 mm deep: 0.35 m² · 1.5 mm · 0.484 = 254 ml.
  await expect(line(page, 'Flood 1', /Belly of the canvas/)).toContainText(/25[345]\sml/);
  const open = line(page, 'Flood 1', /Belly of the canvas/).getByRole('button');
  await open.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: 'Belly of the canvas' })).toContainText(
    'mean over greatest sag',
  );
  await page.keyboard.press('Escape');
  // Walls all round: nothing levels itself over them, and the field says so.
  const choice = page.getByLabel('It is to');
  await choice.focus();
  await choice.selectOption('rim');
  await page.getByLabel('Walls stand above the ground by').focus();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('2.5 mm');
  await page.keyboard.press('Enter');
  // The skim lies 0.6 mm high: 1.9 mm are left.
  await expect(page.getByRole('slider', { name: 'Thickness of Flood 1' })).toHaveAttribute(
    'aria-valuetext',
    /1\.90\smm/,
  );
  await choice.focus();
  await choice.selectOption('natural');
  await expect(page.getByText(/None of its edges is open/)).toBeVisible();
});
