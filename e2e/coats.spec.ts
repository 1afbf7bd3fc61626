import { key } from './words';
import type { Locator, Page } from '@playwright/test';
import { expect, expectAccessible, openAt, openDemo, openPiece, test } from './bench';

const number = async (found: Locator): Promise<number> =>
  Number.parseFloat((await found.innerText()).replace(/[^\d.]/g, ''));

/** A tile of 200 × 150 mm between walls, with flakes up to 8 mm on 40 % of it. */
async function reliefTile(page: Page): Promise<void> {
  await openDemo(page, '/pieces/new');
  await page.getByLabel('Name', { exact: true }).fill('Flake tile');
  await page.getByLabel('Support').selectOption('tile');
  await page.getByLabel('Width', { exact: true }).fill('200 mm');
  await page.getByLabel('Height', { exact: true }).fill('150 mm');
  await key(page, 'edges').click();
  for (const edge of ['Top', 'Right', 'Bottom', 'Left'])
    await page.getByLabel(edge, { exact: true }).selectOption('tape wall');
  await key(page, 'surface').click();
  await key(page, 'addRelief').click();
  await page.getByLabel('What stands up').selectOption('flakes');
  await page.getByLabel('Covers').fill('40 %');
  await page.getByLabel('Greatest height').fill('8 mm');
  await page.getByLabel('Mean height').fill('3 mm');
  await key(page, 'addToTheBench').click();
  await expect(key(page, 'planThisCoat')).toBeVisible();
}

const ledger = (page: Page, name: string) =>
  page.getByRole('region', { name: `Ledger of ${name}` });
const line = (page: Page, name: string, title: RegExp) =>
  ledger(page, name).getByRole('row', { name: title });

test('three coats on a relief tile: planned, dragged, opened, set by hand, poured in lifts', async ({
  page,
}) => {
  await reliefTile(page);
  await page.getByLabel('Poured with').selectOption({ label: 'Millrace Clear' });
  await page.getByRole('button', { name: 'Plan: Glitter relief' }).click();
  // Lock 0.7 mm; bury 8 − 0.7 + 0.5 mm; gloss.
  await expect(ledger(page, 'Lock')).toBeVisible();
  await page.getByRole('button', { name: /^Bury/ }).click();
  await expect(page.getByRole('slider', { name: 'Thickness of Bury' })).toHaveAttribute(
    'aria-valuetext',
    /7\.80\smm/,
  );
  const lifts = page.getByRole('region', { name: 'Lifts' });
  await expect(lifts.getByRole('button', { name: /Number of lifts/ })).toHaveText('2 lifts');
  await expect(lifts.getByRole('row', { name: /^1/ })).toContainText(/3\.90\smm.*4\.60\smm/);
  await expect(lifts.getByRole('row', { name: /^2/ })).toContainText('nothing');
  await expect(page.getByText('Relief is buried')).toBeVisible();

  // Dragging the lamina: more cover, and the ledger follows.
  const face = line(page, 'Bury', /Film on the face/);
  const before = await number(face);
  const handle = page.getByRole('slider', { name: 'Thickness of Bury' });
  await handle.scrollIntoViewIfNeeded();
  const box = await handle.boundingBox();
  if (!box) throw new Error('no handle');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 40, { steps: 4 });
  await page.mouse.up();
  await expect.poll(() => number(face)).toBeLessThan(before);
  await expect(page.getByText('Relief stands proud')).toBeVisible();
  await page.getByLabel('It is to').selectOption('bury');
  await page.getByLabel('Cover over the relief').fill('0.5 mm');
  await page.keyboard.press('Enter');
  await expect.poll(() => number(face)).toBe(before);

  // A line opens to its formula, and is set by hand with a reason.
  const room = line(page, 'Bury', /Room that relief takes/);
  await room.getByRole('button').click();
  const opened = page.getByRole('dialog', { name: 'Room that relief takes' });
  await expect(opened).toContainText('∫ share proud dz');
  await opened.getByRole('button', { name: 'Set it' }).click();
  await expect(opened.getByText('A reason is needed')).toBeVisible();
  await opened.getByLabel('Set this line yourself').fill('-20 ml');
  await opened.getByLabel('Because').fill('flakes weighed and divided by their density');
  await opened.getByRole('button', { name: 'Set it' }).click();
  await expect(room).toContainText(/− 20\.0\sml/);
  await expect(room).toContainText('set by you');
  await page.keyboard.press('Escape');

  // The reserve follows the risk of running short.
  const reserve = line(page, 'Bury', /Reserve/);
  const sure95 = await number(reserve);
  await page.getByLabel('Reserve', { exact: true }).selectOption('risk99');
  await expect.poll(() => number(reserve)).toBeGreaterThan(sure95 * 1.3);
  await expectAccessible(page);

  // The lifts become coats of their own; the gloss coat stays on top.
  await lifts.getByRole('button', { name: 'Plan them as 2 coats' }).click();
  const coats = page.getByRole('group', { name: 'Coats, topmost first' });
  await expect(coats.getByRole('button', { name: /Bury, lift 2/ })).toBeVisible();
  await coats.getByRole('button', { name: /^Gloss/ }).click();
  await page.getByRole('button', { name: 'Lay it lower' }).click();
  await expect(page.getByRole('button', { name: 'Lay it higher' })).toBeVisible();
});

test('a dome on a disc says its safe mass; the cut is chosen on the map; cost and left-over follow', async ({
  page,
}) => {
  await openAt(page, 'Lamp-room tray', 'coats');
  await page.getByRole('button', { name: /^Dome/ }).click();
  await expect(page.getByText(/pour at most 49\.\d\sg a piece/)).toBeVisible();
  await page.getByLabel('Height in the middle').fill('5 mm');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/It would spill: safe up to 1\.9\d\smm/)).toBeVisible();
  await page.getByLabel('Height in the middle').fill('1.5 mm');
  await page.keyboard.press('Enter');
  await expect(
    page.getByText(/rim at 4\d\s°; pour at most 49\.\d\sg a piece, [12]\d\.\d\sg to spare/),
  ).toBeVisible();
  await page.getByRole('button', { name: /Dome on this outline/ }).click();
  const opened = page.getByRole('dialog', { name: 'Dome on this outline' });
  await expect(opened).toContainText('safe mass on one piece');
  await expect(opened).toContainText('tilt it forgives');
  await page.keyboard.press('Escape');

  const map = page.getByRole('region', { name: 'Thickness map' });
  await expect(map.getByRole('status')).toContainText('at the rim');
  const cut = page.getByRole('slider', { name: 'Where the section is cut' });
  await cut.focus();
  for (let i = 0; i < 10; i += 1) await page.keyboard.press('ArrowUp');
  await expect(page.getByText(/cut \d+(\.\d)?\smm behind the centre/)).toBeVisible();
  await map.getByRole('button', { name: 'Cut from front to back' }).click();
  await expect(page.getByText(/cut through the centre/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Cost' })).toContainText(/£ \d+\.\d\d/);
  await expect(page.getByRole('region', { name: 'Left-over' })).toContainText(
    'If the reserve is left',
  );

  // An art coat: what each colour takes, and a wrong share at its field.
  await page.getByRole('button', { name: /^Colours/ }).click();
  const shares = page.getByRole('list', { name: 'Shares of the coat' });
  await expect(shares.getByRole('listitem')).toHaveText([/clear ground/, /teal/, /pearl/]);
  await page.getByLabel('Colours and their shares').fill('teal 80 %, pearl 40 %');
  await page.getByLabel('Covers').focus();
  await expect(page.getByText(/100 % at most in all/)).toBeVisible();
  // The rest of the coat is edited too: a name, another resin, a longer rest.
  await page.getByText('Name, kind, resin, areas, rest').click();
  await page.getByLabel('Name of the coat').fill('Colour ground');
  await page.keyboard.press('Enter');
  await page.getByLabel('Mixed from').selectOption({ label: 'Lantern Slow' });
  await expect(ledger(page, 'Colour ground')).toBeVisible();
  await page.getByLabel('Age of the mix at the edges').fill('9 h');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Age of the mix at the edges')).toHaveAccessibleDescription(
    /Between/,
  );
  // A dome on an open edge is refused at its field.
  await openPiece(page, 'Viaduct painting', 'coats');
  await key(page, 'planAnotherCoat').click();
  await page.getByLabel('Kind').selectOption('dome');
  await key(page, 'planThisCoat').click();
  await expect(page.getByText(/An open edge has no lip/)).toBeVisible();
});

test('coats by keyboard alone: plan three, raise a lamina, open a line, change the risk, read the dome', async ({
  page,
}) => {
  await reliefTile(page);
  const press = async (name: string | RegExp, key = 'Enter') => {
    await page.getByRole('button', { name }).first().focus();
    await page.keyboard.press(key);
  };
  await page.getByLabel('Poured with').focus();
  await page.keyboard.press('M');
  await expect(page.getByLabel('Poured with')).toHaveValue('demo-millrace');
  await press('Plan: Glitter relief');
  await expect(ledger(page, 'Lock')).toBeVisible();
  const slider = page.getByRole('slider', { name: 'Thickness of Lock' });
  const face = line(page, 'Lock', /Film on the face/);
  await expect(face).toContainText(/21\.0\sml/);
  await slider.focus();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowUp');
  await expect(slider).toHaveAttribute('aria-valuetext', /0\.80\smm/);
  await expect(face).toContainText(/24\.0\sml/);
  await press(/Film on the face: how/);
  await expect(page.getByRole('dialog', { name: 'Film on the face' })).toContainText(
    'area × thickness',
  );
  await page.keyboard.press('Escape');
  const reserve = line(page, 'Lock', /Reserve/);
  const sure95 = await number(reserve);
  await page.getByLabel('Reserve', { exact: true }).focus();
  await page.keyboard.press('ArrowDown');
  await expect.poll(() => number(reserve)).toBeGreaterThan(sure95 * 1.3);
  await press(/^Bury/, 'Space');
  await expect(page.getByRole('region', { name: 'Lifts' })).toContainText('2 lifts');
  await key(page, 'pieces').focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'Pieces' })).toBeVisible();
  await page.getByRole('link', { name: /Lamp-room tray/ }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('link', { name: /^coats/i }).focus();
  await page.keyboard.press('Enter');
  await press(/^Dome/, 'Space');
  await expect(page.getByText(/pour at most 49\.\d\sg a piece/)).toBeVisible();
});
