import { key } from './words';
import { expect, expectAccessible, openAt, openPiece, openStage, test } from './bench';
import { planCoat, startPiece, submit } from './placing';
import { choose, detail, step } from './preparing';

test.use({ viewport: { width: 1280, height: 800 } });

test('a porous board from bare to ready: seal and edge paint dry side by side', async ({
  page,
}) => {
  await startPiece(page, 'Platform bench board', 400, 200);
  await key(page, 'surface').click();
  // Nobody said that it is sealed: wood drinks.
  await expect(page.getByLabel('Porosity')).toHaveValue('porous');
  await expect(page.getByText('it drinks until you say that it is sealed')).toBeVisible();
  await page.getByLabel('Surface now').selectOption('painted');
  await key(page, 'addToTheBench').click();
  await key(page, 'planThisCoat').click();
  await key(page, 'prepareFirst').click();
  const paint = 'Let the paint or varnish dry through';
  await choose(page, paint);
  await detail(page).getByLabel('Done at another time').fill('22 Nov 9:00');
  await key(detail(page), 'noteThatTime').click();
  await expect(step(page, paint)).toContainText('done');
  const [seal, edges, mask] = [
    step(page, /^Seal with acrylic medium/),
    step(page, 'Paint the edges in the ground colour'),
    step(page, /^Mask/),
  ];
  await page.getByRole('button', { name: /^Done: Seal with/ }).click();
  await expect(seal).toContainText('drying until Wed');
  // The edge paint does not wait for the seal, nor does the cover; what lies on them does.
  await page.getByRole('button', { name: /^Done: Paint the edges/ }).click();
  await expect(edges).toContainText('drying until Wed');
  await page.getByRole('button', { name: 'Done: Cover ready' }).click();
  await expect(mask).toContainText('not before Wed');
  await expect(page.getByText(/Earliest pour Wed .* it waits for “/)).toBeVisible();
  await expect(step(page, 'Lift lint with sticky tape')).toBeVisible();
  await expect(step(page, /Wipe with alcohol/)).toHaveCount(0);
  await page.clock.fastForward('40:00:00');
  await expect(seal).toContainText('done');
  await page.getByRole('button', { name: 'Several of these just now…' }).click();
  const group = page.getByRole('group', { name: 'Done just now' });
  await expect(group.getByRole('checkbox').first()).not.toBeChecked();
  await group.getByRole('button', { name: 'All of these' }).click();
  await expectAccessible(page);
  await group.getByRole('button', { name: /^Note these/ }).click();
  await expect(page.getByText(/ is ready\.$/)).toBeVisible();
  // What was cleaned can wait under its cover; in the open it holds four hours.
  await page.getByRole('button', { name: 'Done: Waits under its cover' }).click();
  await expect(
    page.getByRole('button', { name: 'Take back: Waits under its cover' }),
  ).toBeVisible();
  await page.clock.fastForward('05:00:00');
  await expect(step(page, 'Lift lint with sticky tape')).toContainText('done');
  await page.getByRole('button', { name: 'Take back: Waits under its cover' }).click();
  await expect(step(page, 'Lift lint with sticky tape')).toContainText('it holds 4 h uncovered');
  await expect(page.getByText(/ is held\./)).toBeVisible();
});

test('back, turn, face: one side is ready at a time', async ({ page }) => {
  await startPiece(page, 'Waiting-room shelf', 300, 200);
  await page.getByLabel('Support').selectOption('sealed panel');
  await page.getByRole('button', { name: '+ Back' }).click();
  await key(page, 'addToTheBench').click();
  const back = await planCoat(page, { name: 'Rear', kind: 'back', on: ['Back'], film: '1.2 mm' });
  await submit(page, back, 'Rear');
  const face = await planCoat(page, { name: 'Front', on: ['Face'], film: '1.5 mm' });
  await submit(page, face, 'Front');
  await openStage(page, 'prepare');
  const before = (coat: string) => page.getByRole('region', { name: `Before ${coat}` });
  const turn = before('Rear').getByRole('listitem', { name: 'Turn it over, back up' });
  await expect(turn).toBeVisible();
  await expect(before('Rear').getByRole('listitem', { name: /^Wipe/ })).toContainText('after');
  await page.getByRole('button', { name: 'Done: Turn it over, back up' }).click();
  await expect(turn).toHaveCount(0);
  await expect(
    before('Front').getByRole('listitem', { name: 'Turn it over, face up' }),
  ).toContainText('after Rear');
  await choose(page, 'Turn it over, face up');
  await expect(detail(page)).toContainText('Back first, then the face');
  await expect(page.getByText('Front is ready.')).toHaveCount(0);
});

test('steps of one’s own go after the last coat, as a list to another piece; the same step on several pieces is noted at once', async ({
  page,
}) => {
  await openAt(page, 'Buffet coasters', 'prepare');
  const add = page.getByRole('region', { name: 'Add a step' });
  await add.getByRole('button', { name: 'Glue cork or felt on' }).click();
  await expect(add.getByLabel('What is to be done')).toHaveValue('Glue cork or felt on');
  await expect(add.getByLabel('When')).toHaveValue('last');
  await add.getByLabel('Dries for, if it does').fill('soon');
  await key(add, 'addTheStep').click();
  await expect(add.getByRole('alert').or(add.locator('[aria-invalid=true]')).first()).toBeVisible();
  await add.getByLabel('Dries for, if it does').fill('12 h');
  await key(add, 'addTheStep').click();
  const last = page.getByRole('region', { name: 'After the last coat' });
  await expect(last.getByRole('listitem')).toContainText('after Flood 1');
  await add.getByLabel('Keep this one step as').fill('Coaster backs');
  await add.getByRole('button', { name: 'Keep the list' }).click();
  await expect(
    add.getByRole('button', { name: 'Put “Coaster backs” on this piece' }),
  ).toBeVisible();
  await openPiece(page, 'Platform clock face', 'prepare');
  await page.getByRole('button', { name: 'Put “Coaster backs” on this piece' }).click();
  await expect(last.getByRole('listitem')).toContainText('Glue cork or felt on');
  await key(key(page, 'places'), 'today').click();
  const rounds = page.getByRole('region', { name: 'The same on several pieces' });
  await rounds.getByRole('button', { name: 'Done just now: Mask: painter’s tape…' }).click();
  await rounds.getByRole('checkbox', { name: 'Buffet coasters' }).check();
  await rounds.getByRole('checkbox', { name: 'Platform clock face' }).check();
  await expectAccessible(page);
  await rounds.getByRole('button', { name: 'Done just now on 2' }).click();
  await expect(rounds.getByText('Mask: painter’s tape')).toHaveCount(0);
  await openPiece(page, 'Buffet coasters', 'prepare');
  await expect(step(page, 'Mask: painter’s tape')).toContainText('done');
});
