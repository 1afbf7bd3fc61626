import { key } from './words';
import { XMLParser } from 'fast-xml-parser';
import {
  downloaded,
  downloadedBytes,
  expect,
  expectAccessible,
  openAt,
  openDemo,
  openPiece,
  pdfWords,
  test,
} from './bench';

test('section and map leave as SVG and PNG that need no page, the coat plan as PDF', async ({
  page,
}) => {
  await openAt(page, 'Serving board', 'coats');
  const papers = page.getByRole('region', { name: 'To take along' });
  for (const name of ['Section', 'From above']) {
    const group = papers.getByRole('group', { name });
    const svg = await downloaded(page, () => group.getByRole('button', { name: 'SVG' }).click());
    expect(() => new XMLParser({ ignoreAttributes: false }).parse(svg, true)).not.toThrow();
    // Nothing of the page is needed, nothing of the hand is left.
    expect(svg).not.toMatch(/var\(|color\(|data-hand|aria-|tabindex/);
    const filled = [...svg.matchAll(/url\(#([\w-]+)\)/g)].map(([, id]) => id);
    for (const id of filled) expect(svg).toContain(`id="${id}"`);
    const png = await downloadedBytes(page, () =>
      group.getByRole('button', { name: 'PNG' }).click(),
    );
    // PNG specification, 5.2 and 11.2.2: the signature, then width and height in the first chunk.
    expect([...png.subarray(0, 8)]).toEqual([137, 80, 78, 71, 13, 10, 26, 10]);
    const [, width, height] = /viewBox="-16 -16 (\d+) (\d+)"/.exec(svg)?.map(Number) ?? [];
    expect([png.readUInt32BE(16), png.readUInt32BE(20)]).toEqual([
      3 * (width ?? 0),
      3 * (height ?? 0),
    ]);
  }
  const total = await page.getByRole('row', { name: /^Mix / }).innerText();
  const words = await pdfWords(
    await downloadedBytes(page, () => papers.getByRole('button', { name: /Coat plan/ }).click()),
  );
  expect(words).toContain('Dining-car serving board');
  expect(words).toContain(total.replace(/\s+/g, ' ').trim());
});

test('backups go into a chosen folder by themselves, and a browser that forgot its leave is asked', async ({
  page,
}) => {
  // The folder is one of the browser’s own: a real folder is chosen in a window that no script reaches.
  await page.addInitScript(() => {
    let leave = 'granted';
    const proto = FileSystemDirectoryHandle.prototype as unknown as Record<string, unknown>;
    proto['queryPermission'] = async () => localStorage.getItem('leave') ?? leave;
    proto['requestPermission'] = async () => {
      localStorage.removeItem('leave');
      return (leave = 'granted');
    };
    Object.assign(window, {
      showDirectoryPicker: async () =>
        (await navigator.storage.getDirectory()).getDirectoryHandle('Backups', { create: true }),
    });
  });
  const files = () =>
    page.evaluate(async () => {
      const folder = await (await navigator.storage.getDirectory()).getDirectoryHandle('Backups');
      const found: Record<string, string> = {};
      // TypeScript does not know that a folder can be gone through.
      for await (const [name, handle] of folder as unknown as AsyncIterable<
        [string, FileSystemFileHandle]
      >) {
        const file = await handle.getFile();
        found[name] = `${await file.slice(0, 2).text()} ${file.size > 10_000}`;
      }
      return found;
    });
  await openDemo(page, '/settings');
  await page.getByRole('button', { name: 'Back up into a folder' }).click();
  await expect(page.getByText(/a backup goes into the folder Backups/)).toBeVisible();
  expect(await files()).toEqual({});
  await page.clock.fastForward('01:00:30');
  await expect(page.getByText(/The last backup is less than a day old/)).toBeVisible();
  expect(await files()).toEqual({ 'bilamina-shop-2026-11-24.zip': 'PK true' });

  // The browser was closed: it asks again, after a tap.
  await page.evaluate(() => localStorage.setItem('leave', 'prompt'));
  await page.reload();
  await page.getByRole('button', { name: 'Let them go there' }).click();
  await expect(page.getByText(/the browser wants to be asked/)).toBeHidden();
  await page.getByRole('button', { name: 'No folder any more' }).click();
  await expect(page.getByRole('button', { name: 'Back up into a folder' })).toBeVisible();
  expect(Object.keys(await files())).toHaveLength(1);
});

test('pieces come in from a list: what is wrong is said by its line, the sound ones are added', async ({
  page,
}) => {
  await openDemo(page, '/pieces/new');
  const list = page.getByRole('region', { name: 'From a list' });
  const text =
    'piece,count,support,width_mm,depth_mm\nDoor plate,4,tile,120,80\nLost,1,tile,wide,80\n';
  await list
    .getByLabel('CSV of pieces')
    .setInputFiles({ name: 'list.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await expect(list.getByText('1 of 2 rows can be added.')).toBeVisible();
  await expect(list.getByText(/^Line 3, Lost: width: /)).toBeVisible();
  await list.getByRole('button', { name: 'Add the piece' }).click();
  await expect(page.getByRole('heading', { level: 2, name: /Door plate/ })).toBeVisible();
  await expect(page.getByRole('heading', { level: 2, name: 'Lost' })).toHaveCount(0);
});

test('any piece is a template: its coats are planned again under another name', async ({
  page,
}) => {
  await openDemo(page, '/pieces/new');
  const like = page.getByRole('region', { name: 'Like one before' });
  await like
    .getByLabel('Piece that it is like')
    .selectOption({ label: 'Dining-car serving board' });
  await like.getByLabel('It is called').fill('Second board');
  await like.getByRole('button', { name: 'Add it with its coats' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Second board' })).toBeVisible();
  await expect(key(page, 'stagesOfThePiece').getByText('0 of 2')).toBeVisible();
});

test('a word is told where it stands, and an opened number says it plainly first', async ({
  page,
}) => {
  await openAt(page, 'Viaduct painting', 'cure');
  await page.getByRole('button', { name: 'What is meant by recoat window?' }).first().click();
  await expect(page.getByRole('dialog', { name: 'recoat window' })).toContainText(/sand/);
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await openPiece(page, 'Viaduct painting', 'coats');
  await page.getByRole('button', { name: /^Film that open edges hold: how/ }).click();
  const opened = page.getByRole('dialog', { name: 'Film that open edges hold' });
  await expect(opened.getByText(/^Poured thicker, resin runs over/)).toBeVisible();
  await expect(opened.getByText(/sin\(θ/)).toBeHidden();
  await opened.getByText('The physics').click();
  await expect(opened.getByText(/sin\(θ/)).toBeVisible();
});
