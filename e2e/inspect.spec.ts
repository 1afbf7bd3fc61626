import { key } from './words';
import { encode } from 'fast-png';
import {
  expect,
  expectAccessible,
  makeReady,
  mixStirred,
  openAt,
  openPiece,
  openStage,
  pressMain,
  reloadStored,
  test,
} from './bench';

/** A round face in raking light, drawn: a lamp’s curved reflection and noise, a pit and a nib in it. */
function rakingPhoto(): Buffer {
  const side = 1400;
  const data = new Uint8Array(3 * side * side);
  const faults = [
    [560, 560, -40],
    [880, 620, 42],
  ] as const;
  let seed = 7;
  for (let y = 0; y < side; y += 1)
    for (let x = 0; x < side; x += 1) {
      seed = (seed * 48_271) % 2_147_483_647;
      const inside = Math.hypot(x - 700, y - 700) < 560;
      const arc = (y - 800 - (x - 640) ** 2 / 1800) / 160;
      let level = inside ? 95 + 80 * Math.exp(-arc * arc) : 70;
      for (const [cx, cy, height] of faults)
        if (inside) level += height * Math.exp(-((Math.hypot(x - cx, y - cy) / 9) ** 4));
      const value = level + 4 * (seed / 2_147_483_647 - 0.5);
      data.fill(Math.max(0, Math.min(255, value)), 3 * (y * side + x), 3 * (y * side + x) + 3);
    }
  return Buffer.from(encode({ width: side, height: side, data, channels: 3 }));
}

test('a photo proposes, a hand pins; why opens the entries; a way back is chosen, taken back, carried out, and a later look closes it', async ({
  page,
}) => {
  test.slow();
  await openAt(page, 'Relief map', 'inspect');

  // What is no picture is told at its field, and nothing is lost.
  const aid = page.getByRole('region', { name: 'Photo aid' });
  await aid.getByLabel('Photo in raking light').setInputFiles({
    ...{ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture') },
  });
  await aid.getByRole('button', { name: 'Find breaks' }).click();
  await expect(aid.getByRole('status')).toContainText('not a picture that the browser can read');
  const buffer = rakingPhoto();
  const photo = { name: 'raking.png', mimeType: 'image/png', buffer };
  await aid.getByLabel('Photo in raking light').setInputFiles(photo);
  // Corners by keys: each two more steps of half a percent out or in, to the box of the face at a tenth.
  for (const [name, keys] of [
    ['top left', ['ArrowRight', 'ArrowDown']],
    ['top right', ['ArrowLeft', 'ArrowDown']],
    ['bottom right', ['ArrowLeft', 'ArrowUp']],
    ['bottom left', ['ArrowRight', 'ArrowUp']],
  ] as const) {
    await aid.getByRole('button', { name: new RegExp(`^Corner ${name}`) }).focus();
    for (const key of keys) for (let i = 0; i < 8; i += 1) await page.keyboard.press(key);
  }
  await aid.getByRole('button', { name: 'Find breaks' }).click();
  await expect(aid.getByRole('status')).toContainText('2 proposed. Look at each');
  await expectAccessible(page);
  const defects = page.getByRole('region', { name: 'Defects' }).getByRole('listitem');
  // Nothing is pinned by itself.
  await expect(defects).toHaveCount(2);
  await aid.getByRole('button', { name: 'B is nothing' }).click();
  await aid.getByLabel('What A is').selectOption('dust nib');
  await aid.getByRole('button', { name: 'Pin A' }).click();
  await expect(defects).toHaveCount(3);
  await expect(defects.nth(2)).toContainText('Hair, lint, dust nib');
  await expect(defects.nth(2).getByRole('img', { name: /^Photo of hair/ })).toBeVisible();
  await expect(aid.getByRole('button', { name: 'Pin A' })).toHaveCount(0);

  // Why: the cause with its evidence, and the entries that tell it.
  await key(page, 'dimples').click();
  const finding = page.getByRole('region', { name: 'Finding 2' });
  await expect(finding.getByText('too much heat while it was thin')).toBeVisible();
  await finding.getByText('heat again and again').click();
  await expect(finding.getByText(/bubble round .*warm air|bubble round/).first()).toBeVisible();
  await finding.getByRole('button', { name: /follows? what lies below\? No$/i }).click();
  await expect(finding.getByRole('button', { name: /lies below\? No$/i })).toHaveAttribute(
    'aria-pressed',
    'true',
  );

  // Ways back on one sheet: what cannot be done says why.
  const ways = finding.getByRole('region', { name: 'Ways back' });
  await expect(ways.getByRole('row')).not.toHaveCount(0);
  await expect(ways).toContainText(/dome over it \(its edges do not hold a dome\)/);
  await ways.getByRole('button', { name: 'Fill the spot' }).click();
  await expect(ways).toContainText('Too little to measure on this scale');
  await ways.getByRole('button', { name: 'Sand and flood the face' }).click();
  await key(ways, 'chooseIt').click();
  const chosen = finding.getByRole('region', { name: 'The way back' });
  await expect(chosen).toContainText('Rescue flood: planned');
  await openStage(page, 'coats');
  await expect(page.getByText('Rescue flood').filter({ visible: true }).first()).toBeVisible();
  await openStage(page, 'inspect');
  await key(page, 'dimples').click();
  await chosen.getByRole('button', { name: 'Take it off the plan again' }).click();
  await expect(finding.getByRole('region', { name: 'Ways back' })).toBeVisible();

  // Polished instead: its step is done in Prepare, and the look closes it.
  await finding.getByRole('button', { name: 'Sand fine and polish' }).click();
  await key(finding, 'chooseIt').click();
  await reloadStored(page);
  await key(page, 'dimples').click();
  await expect(chosen).toContainText('○ Sand fine, then polish');
  await finding.getByRole('button', { name: 'Still there' }).click();
  await expect(finding.getByText(/: still there$/)).toBeVisible();
  await page.clock.fastForward('00:45');
  await key(finding, 'itIsGone').click();
  await expect(finding.getByText(/· closed$/)).toBeVisible();
  await expect(defects.nth(1)).toContainText('✓ repaired');
});

test('a clean look is logged only when every light was looked in', async ({ page }) => {
  await openAt(page, 'Viaduct painting', 'inspect');
  const guide = page.getByRole('region', { name: 'How to look' });
  const clean = guide.getByRole('button', { name: /^Nothing found/ });
  await expect(clean).toBeDisabled();
  for (const look of [/^Along/, /^Low light/, /^Edges/, /^Back/])
    await guide.getByRole('button', { name: look }).click();
  await guide.getByRole('button', { name: 'Nothing found: log a clean look' }).click();
  await expect(guide.getByText('✓ A clean look is in the log.')).toBeVisible();
});

test('a coat of a rescue is poured, and only then the finding is looked at again', async ({
  page,
}) => {
  test.slow();
  await openAt(page, 'Viaduct painting', 'inspect');
  // By key: a ninth of the plan, then the form.
  await page.getByRole('button', { name: /^Place the finding: middle centre of / }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Its place is marked on /)).toBeVisible();
  await page.getByLabel('What it is').selectOption('fish eye');
  await page.getByRole('button', { name: 'one spot' }).click();
  await page.getByLabel('Width of one, mm').fill('wide');
  await key(page, 'noteIt').click();
  await expect(page.getByRole('alert').filter({ hasText: /number/i })).toBeVisible();
  await page.getByLabel('Width of one, mm').fill('12');
  await key(page, 'noteIt').click();
  const finding = page.getByRole('region', { name: 'Finding 1' });
  await expect(finding).toContainText('one spot, 12 mm wide');
  // The coat below is open to be recoated: it is soft still, and no sanding is offered.
  await expect(finding).toContainText(/sand and flood the face \(the film is still soft/);
  await page.clock.fastForward('30:00:00');
  const ways = finding.getByRole('region', { name: 'Ways back' });
  await ways.getByRole('button', { name: 'Sand and flood the face' }).click();
  await key(ways, 'chooseIt').click();
  await expect(finding.getByText('Rescue flood: planned')).toBeVisible();
  await makeReady(page);
  await key(page, 'addToAWetSession').click();
  await mixStirred(page);
  await pressMain(page, /^Poured: Viaduct painting/);
  await pressMain(page, /^Covered/);
  await expect(page.getByRole('heading', { name: /The clocks run/ })).toBeVisible();
  await page.clock.fastForward('26:00:00');
  await key(page, 'today').click();
  await openPiece(page, 'Viaduct painting', 'inspect');
  await expect(finding).toContainText(/✓ Rescue flood: /);
  await key(finding, 'itIsGone').click();
  await expect(finding.getByText(/· closed$/)).toBeVisible();
});
