import { key } from './words';
import { expect, expectAccessible, loadDemo, openAt, openDemo, openPiece, test } from './bench';

test.use({ viewport: { width: 1280, height: 800 } });

const recoatOf = (page: Parameters<typeof openDemo>[0], coat: string) =>
  page.getByRole('region', { name: `Cure of ${coat}` }).getByRole('row', { name: /^Recoat/ });

test('a file of a logger: columns found, bad rows listed, the rest in the record, taken out and put back', async ({
  page,
}) => {
  await openDemo(page, '/room');
  const file = page.getByRole('region', { name: 'Readings out of a file' });
  const csv = [
    'Luftfeuchte (%);Temperatur (°C);Zeit',
    '62;14,5;24.11.2026 13:10',
    '61;14,2;24.11.2026 13:20',
    '61;warm;24.11.2026 13:25',
    '140;-60;24.11.2026 13:26',
    '61;14,0;31.11.2026 13:27',
    '60;13,9;24.11.2026 13:29',
    '60;13,9;24.11.2036 13:29',
  ].join('\n');
  await file
    .getByLabel('CSV of a logger')
    .setInputFiles({ name: 'north-wall.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
  await expect(file).toContainText('4 readings, 13:10 to 13:29');
  await expect(file).toContainText('Temperature from “Temperatur (°C)”');
  await expect(file).toContainText('3 rows are left out');
  for (const fault of ['line 4: no temperature', 'line 6: no time', 'line 8: still to come'])
    await expect(file).toContainText(fault);
  await expectAccessible(page);
  await file.getByRole('button', { name: 'Put 4 readings into the record' }).click();
  await expect(file.getByRole('status')).toHaveText('✓ 4 readings are in the record.');
  const record = page.getByRole('region', { name: 'Record' });
  await expect(record.getByRole('row', { name: /60\.0.*no room is like that/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /13\.9\s°C room, read 13:29/ })).toBeVisible();
  // It is too cold now for what cures, on every page, until the file is taken out again.
  await expect(page.getByRole('alert').filter({ hasText: 'Too cold for' })).toBeVisible();
  const sources = page.getByRole('list', { name: 'Files and devices in the record' });
  await sources.getByRole('button', { name: 'Take out north-wall.csv' }).click();
  await expect(page.getByRole('link', { name: /22\.\d\s°C room, read 13:15/ })).toBeVisible();
  await expect(page.getByRole('alert').filter({ hasText: 'Too cold for' })).toHaveCount(0);
  await sources.getByRole('button', { name: 'Believe north-wall.csv' }).click();
  await expect(page.getByRole('link', { name: /13\.9\s°C room, read 13:29/ })).toBeVisible();
  // The same file again adds nothing.
  await file
    .getByLabel('CSV of a logger')
    .setInputFiles({ name: 'north-wall.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
  await file.getByRole('button', { name: 'Put 4 readings into the record' }).click();
  await expect(file.getByRole('status')).toHaveText(
    '✓ 0 readings are in the record, 4 were there already.',
  );
});

test('the simulated sensor runs into a cold night: an alarm on every page, and new clock times', async ({
  page,
}) => {
  await openAt(page, 'Hall tiles', 'cure');
  const before = await recoatOf(page, 'Flood 1').innerText();
  await key(page, 'room').click();
  const sensor = page.getByRole('region', { name: 'Sensor of the room' });
  await sensor.getByLabel('Simulated sensor plays').selectOption('cold night');
  await sensor.getByLabel('Its time goes by').selectOption({ index: 1 });
  await key(sensor, 'sensorOn').click();
  await expect(sensor.getByText('simulated sensor, cold night,', { exact: false })).toBeVisible();
  // Its weather goes by on the server’s clock; a reading a minute of this one is kept.
  const alarm = page.getByRole('alert').filter({ hasText: 'Too cold for' });
  const coldEnough = () =>
    expect(async () => {
      await page.clock.fastForward('00:11:00');
      await expect(alarm).toBeVisible({ timeout: 3000 });
    }).toPass({ timeout: 60_000 });
  await coldEnough();
  await openPiece(page, 'Hall tiles', 'cure');
  await expect(alarm).toContainText('warm the room gently');
  await expect(recoatOf(page, 'Flood 1')).not.toHaveText(before);
  // It goes on after a reload, and is switched off where it was switched on.
  await page.reload();
  // Its night begins anew with the page: the room is warm again until it has run down.
  await coldEnough();
  await key(page, 'room').click();
  await sensor.getByRole('button', { name: 'Switch it off' }).click();
  await expect(key(sensor, 'sensorOn')).toBeVisible();
  await sensor.getByRole('button', { name: /^Take out simulated sensor/ }).click();
  await expect(alarm).toHaveCount(0);
});

test('a sensor with faults: what cannot be is kept and not believed', async ({ page }) => {
  await openDemo(page, '/room');
  const sensor = page.getByRole('region', { name: 'Sensor of the room' });
  await sensor.getByLabel('Simulated sensor plays').selectOption('faults');
  await key(sensor, 'sensorOn').click();
  const record = page.getByRole('region', { name: 'Record' });
  await expect(async () => {
    await page.clock.fastForward('00:01:10');
    await expect(record.getByText('no room is like that: not believed').first()).toBeVisible({
      timeout: 2500,
    });
  }).toPass({ timeout: 60_000 });
  await expect(page.getByRole('link', { name: /(19|20|21|22)\.\d\s°C room, read/ })).toBeVisible();
});

test.describe('when the clocks go back', () => {
  test('ripe hours go by real hours, and the wall clock is told on both sides', async ({
    page,
  }) => {
    // 25 October 2026, 02:00 BST is 01:00 GMT: the night has 25 hours.
    await page.clock.setSystemTime(new Date('2026-10-24T18:00:00Z'));
    await loadDemo(page);
    await openPiece(page, 'Signal-box board', 'cure');
    const cure = page.getByRole('region', { name: 'Cure of Flood 1' });
    const recoat = recoatOf(page, 'Flood 1');
    // 19:00 BST; the window opens the next night, told by the clock that will hang there then.
    const opens = await recoat.getByRole('button', { name: /opens/ }).innerText();
    const left = await recoat.innerText();
    const hours = Number(/in (\d+)\sh/.exec(left)?.[1]);
    const minutes = Number(/in \d+\sh (\d+)\smin/.exec(left.replaceAll('\u00a0', ' '))?.[1] ?? 0);
    const at = new Date(Date.UTC(2026, 9, 24, 18) + (hours * 60 + minutes) * 60_000);
    const wall = new Intl.DateTimeFormat('en-GB', {
      ...{ timeZone: 'Europe/London', hour: '2-digit', minute: '2-digit' },
    }).format(at);
    expect(opens).toContain(wall.slice(0, 4));
    await page.clock.fastForward('12:00:00');
    await expect(cure.getByRole('heading', { level: 2 })).toHaveText(/recoat open|leathery|set/);
    await key(page, 'room').click();
    await expect(page.getByRole('region', { name: 'Air over time' })).toContainText('Sun 25');
  });
});

test('by keyboard alone: a reading is typed and moves the room', async ({ page }) => {
  await openDemo(page, '/room');
  const air = page.getByRole('region', { name: 'Air of the room' });
  await air.getByLabel('Temperature').focus();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('12 C');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('link', { name: /12\.0\s°C room, read 13:30/ })).toBeVisible();
  await air.getByLabel('Temperature').fill('-60 C');
  await page.keyboard.press('Enter');
  await expect(air.getByLabel('Temperature')).toHaveAccessibleDescription(/Between/);
  await expect(page.getByRole('link', { name: /12\.0\s°C room, read 13:30/ })).toBeVisible();
});
