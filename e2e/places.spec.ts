import { key } from './words';
import type { Page } from '@playwright/test';
import { expect, expectAccessible, openAt, openDemo, openStage, test } from './bench';
import {
  area,
  build,
  section,
  ledger,
  goTo,
  typeIn,
  press,
  named,
  pick,
  startPiece,
  allEdges,
  cutOff,
  nameIt,
  places,
  planCoat,
  submit,
} from './placing';

test('a serving board with a bare end and a barrier line, by keyboard alone', async ({ page }) => {
  test.slow();
  await openDemo(page, '/pieces/new');
  await typeIn(page, 'Name', 'Counter board');
  await typeIn(page, 'Width', '520');
  await typeIn(page, 'Height', '220');
  await expect(area(page)).toHaveText(/1144\scm²/);
  await typeIn(page, 'How far in', '400 mm');
  await page.keyboard.press('Enter');
  // 120 × 220 mm stay bare.
  await expect(area(page)).toHaveText(/264\scm²/);
  await typeIn(page, 'Name of this place', 'Handle end');
  await goTo(page, page.getByLabel(/Stays bare/));
  await page.keyboard.press('Space');
  await expect(page.getByLabel(/Stays bare/)).toBeChecked();
  await press(page, named(page, 'Add to the bench'));

  await pick(page, 'Kind', 'li', 'line');
  await press(page, named(page, /^Along Handle end/));
  await press(page, named(page, 'Plan this coat'));
  await expect(ledger(page, 'Line')).toContainText('Drawn line');
  await press(page, named(page, 'Plan another coat'));
  await pick(page, 'Kind', 'fl', 'flood');
  await press(page, named(page, 'Plan this coat'));
  await expect(ledger(page, 'Flood 1')).toContainText('Film on the face');
  await expect(section(page)).toContainText('Handle end, bare');

  // Three sides of 400 × 220 mm drip, and the line is masked: (1020 + 220) mm and a tenth more.
  const stages = key(page, 'stagesOfThePiece');
  await stages.getByRole('link', { name: /prepare/i }).focus();
  await page.keyboard.press('Enter');
  const row = page.getByRole('region', { name: 'Materials' }).getByRole('row', {
    name: /painter’s tape 24 mm/,
  });
  await expect(row).toContainText(/1364\smm|1\.36\sm/);
});

test('a paste bank with part-face coats and two waves, drawn by mouse', async ({ page }) => {
  test.slow();
  await startPiece(page, 'River mouth', 600, 300);
  await allEdges(page, 'tape wall');
  const tools = page.getByRole('toolbar', { name: 'Tools of the plan' });
  await tools.getByRole('button', { name: 'Cut' }).click();
  const box = await page.getByRole('group', { name: /^Plan of/ }).boundingBox();
  if (!box) throw new Error('no plan');
  // A line that ends on the face does not cut: told on the plan, and the drawing stays.
  const at = (x: number, y: number) =>
    page.mouse.click(box.x + box.width * x, box.y + box.height * y);
  await at(0.05, 0.5);
  await at(0.4, 0.45);
  await page.getByRole('button', { name: 'Finish' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'does not cut' })).toBeVisible();
  await at(0.6, 0.55);
  await at(0.96, 0.45);
  await page.getByRole('button', { name: 'Finish' }).click();
  await nameIt(page, 'Sand bank');
  await key(places(page), 'face1').click();
  await nameIt(page, 'Water');
  // The keys of the page take the last name back, then the cut; and give both again.
  await key(page, 'addToTheBench').focus();
  await page.keyboard.press('Control+z');
  await expect(key(places(page), 'face1')).toBeVisible();
  await page.keyboard.press('Control+Shift+z');
  await expect(places(page).getByRole('button', { name: 'Water' })).toBeVisible();
  await key(page, 'addToTheBench').click();

  await page.getByRole('button', { name: 'Add a layer that is not resin' }).click();
  await page.getByLabel('Name of the layer').fill('Sand of paste');
  await page.getByLabel('Greatest height').fill('3.2 mm');
  await page.getByLabel('Mean height').fill('3.2 mm');
  await page.getByLabel('Where it stands').selectOption('there before');
  const on = page.getByRole('region', { name: 'New layer' });
  await on.getByLabel('Water', { exact: true }).uncheck();
  await on.getByRole('button', { name: 'Add this layer' }).click();
  await expect(build(page)).toContainText('was there before · paste · on Sand bank');

  const deep = await planCoat(page, { name: 'Deep', kind: 'art', on: ['Water'], film: '1.6 mm' });
  await submit(page, deep, 'Deep');
  // The coat meets none of the paste: its film is that of the water alone.
  await expect(ledger(page, 'Deep')).not.toContainText('Room that relief takes');
  await expect(section(page)).toContainText('Sand of paste');
  for (const name of ['Wave 1', 'Wave 2']) {
    const form = await planCoat(page, { name, kind: 'line', on: ['Water'] });
    await form.getByLabel('The line is a').selectOption('wave');
    const pad = form.getByRole('application', { name: /^Line on the plan/ });
    const pen = await pad.boundingBox();
    if (!pen) throw new Error('no pad');
    for (const x of [0.2, 0.5, 0.8])
      await page.mouse.click(pen.x + pen.width * x, pen.y + pen.height * 0.62);
    await submit(page, form, name);
    await expect(ledger(page, name)).toContainText('Drawn line');
  }
  await expect(build(page).getByRole('button')).toHaveCount(4);
  await expectAccessible(page);
});

test('cells between raised lines in a mould, then a flood above them', async ({ page }) => {
  test.slow();
  await startPiece(page, 'Crest', 200, 200);
  await allEdges(page, 'mould', '6 mm');
  await cutOff(page, 'from the left', '100 mm');
  await nameIt(page, 'Right');
  await page.getByLabel('Boundary with Face 1').selectOption('raised line');
  await page.getByLabel('Its height').fill('2 mm');
  await key(places(page), 'face1').click();
  await nameIt(page, 'Left');
  await key(page, 'addToTheBench').click();

  // A fill to the top of its line is told; one under it is fine; a flood stands above.
  const cell = await planCoat(page, {
    name: 'Left cell',
    kind: 'art',
    on: ['Left'],
    film: '2.2 mm',
  });
  await submit(page, cell, 'Left cell');
  await expect(page.getByText('Runs over the raised line')).toBeVisible();
  await page.getByLabel('Film thickness').fill('1.4 mm');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Stays under the raised line')).toBeVisible();
  const right = await planCoat(page, {
    name: 'Right cell',
    kind: 'art',
    on: ['Right'],
    film: '1.4 mm',
  });
  await submit(page, right, 'Right cell');
  const flood = await planCoat(page, { name: 'Over all', film: '0.5 mm' });
  await submit(page, flood, 'Over all');
  await expect(page.getByText('The raised line stands proud')).toBeVisible();
  await page.getByLabel('Film thickness').fill('1.2 mm');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Stands above the raised line')).toBeVisible();
  await expect(section(page)).toContainText('Left cell · planned');
  await expect(section(page)).toContainText('Right cell · planned');
});

test.describe('on a touch screen of 1024 × 768', () => {
  test.use({ viewport: { width: 1024, height: 768 }, hasTouch: true });
  test('a tape design with glitter varnish between two fills', async ({ page }) => {
    test.slow();
    await startPiece(page, 'Lamp plate', 240, 160);
    await allEdges(page, 'own rim');
    await key(page, 'addToTheBench').tap();
    const first = await planCoat(page, { name: 'First fill', film: '2 mm' });
    await submit(page, first, 'First fill');
    for (const [kind, name] of [
      ['tape design', 'Lattice'],
      ['glitter in varnish', 'Glitter'],
    ] as const) {
      await page.getByRole('button', { name: 'Add a layer' }).tap();
      await page.getByLabel('What is laid').selectOption(kind);
      await page.getByLabel('Name of the layer').fill(name);
      await page.getByRole('button', { name: 'Add this layer' }).tap();
      await expect(build(page).getByRole('button', { name: new RegExp(`^${name}`) })).toBeVisible();
    }
    const second = await planCoat(page, { name: 'Second fill', film: '2 mm' });
    await submit(page, second, 'Second fill');
    // The glitter lies over the first fill, and takes its room of the second.
    await expect(ledger(page, 'Second fill')).toContainText('Room that relief takes');
    // What was typed of a third layer is there again after a reload, and goes when it is put back.
    await page.getByRole('button', { name: 'Add a layer' }).tap();
    await page.getByLabel('Name of the layer').fill('Gold along the rim');
    await page.waitForFunction(() => indexedDB.databases().then((d) => d.length > 0));
    await page.clock.runFor(400);
    await page.reload();
    await expect(page.getByLabel('Name of the layer')).toHaveValue('Gold along the rim');
    await page.getByRole('button', { name: 'Not now' }).tap();
    // A coat that is taken off the plan comes back.
    await key(page, 'takeCoatOff').tap();
    await page.getByRole('button', { name: 'Put it back' }).tap();
    await expect(build(page).getByRole('button', { name: /First fill/ })).toBeVisible();
    await expectAccessible(page);
    // Glitter is laid before the second fill, and dries.
    await openStage(page, 'prepare');
    await expect(page.getByRole('listitem', { name: 'Lay Glitter' })).toBeVisible();
  });
});

test('a dammed outline that is freed and coated again', async ({ page }) => {
  test.slow();
  await openPieceFromDemo(page, 'Signal-lamp plaque');
  await build(page)
    .getByRole('button', { name: /^Second fill/ })
    .click();
  await expect(page.getByText('Stays under the dam')).toBeVisible();
  await page.getByText('Name, kind, resin, areas, rest').click();
  await expect(page.getByLabel(/Its dam comes off/)).toBeChecked();
  await build(page)
    .getByRole('button', { name: /^Over the edge/ })
    .click();
  // Its edges are open by then: it is flooded over them.
  await expect(ledger(page, 'Over the edge')).toContainText('Runs off');
  await expect(page.getByText(/run over, to catch and feed back/)).toBeVisible();
  await page.getByRole('button', { name: /^Second fill/ }).click();
  await page.getByText('Name, kind, resin, areas, rest').click();
  await page.getByLabel(/Its dam comes off/).uncheck();
  await page.getByRole('button', { name: /^Over the edge/ }).click();
  await expect(page.getByText(/open edge/).first()).toBeVisible();
});

test('a back, turned', async ({ page }) => {
  test.slow();
  await openPieceFromDemo(page, 'Lamp-room tray');
  await build(page).getByRole('button', { name: /^Back/ }).click();
  await expect(section(page)).toContainText('back up');
  for (const coat of [/^Patch/, /^Dome/, /^Colours/, /^Fill/]) {
    await build(page).getByRole('button', { name: coat }).click();
    await key(page, 'takeCoatOff').click();
    await expect(build(page).getByRole('button', { name: coat })).toHaveCount(0);
  }
  await openStage(page, 'prepare');
  const turn = page.getByRole('listitem', { name: 'Turn it over, back up' });
  await expect(turn).toBeVisible();
  await openStage(page, 'coats');
  await page.getByRole('button', { name: /Lies face up: turn it over/ }).click();
  await expect(page.getByRole('button', { name: /Lies back up: turn it over/ })).toBeVisible();
  await openStage(page, 'prepare');
  await expect(turn).toHaveCount(0);
  await page.goto('/book');
  await expect(page.getByRole('region', { name: 'Log' }).getByText('piece turned')).toBeVisible();
});

async function openPieceFromDemo(page: Page, name: string): Promise<void> {
  await openAt(page, name, 'coats');
}

test('what is typed in a survey stays over stages and a reload, until it is put back', async ({
  page,
}) => {
  await openAt(page, 'Estuary panel', 'survey');
  const note = page.getByLabel('Note', { exact: true });
  await note.fill('Mouth of the river, half typed');
  await openStage(page, 'coats');
  await openStage(page, 'survey');
  await expect(note).toHaveValue('Mouth of the river, half typed');
  await page.clock.runFor(400);
  await page.reload();
  await expect(note).toHaveValue('Mouth of the river, half typed');
  await page.getByRole('button', { name: 'Put back what is stored' }).click();
  await expect(note).toHaveValue(/^Mouth of the river below the viaduct/);
  await page.reload();
  await expect(note).toHaveValue(/^Mouth of the river below the viaduct/);
  await expect(page.getByRole('button', { name: 'Put back what is stored' })).toHaveCount(0);
});
