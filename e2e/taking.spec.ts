import { XMLParser } from 'fast-xml-parser';
import { downloaded, downloadedBytes, expect, openDemo, openPiece, pdfWords, test } from './bench';

test('section and map leave as SVG and PNG that need no page, the coat plan as PDF', async ({
  page,
}) => {
  await openDemo(page);
  await openPiece(page, 'Serving board', 'coats');
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
    const [, width, height] = /viewBox="0 0 (\d+) (\d+)"/.exec(svg)?.map(Number) ?? [];
    expect([png.readUInt32BE(16), png.readUInt32BE(20)]).toEqual([
      3 * (width ?? 0),
      3 * (height ?? 0),
    ]);
  }
  const total = await page.getByRole('row', { name: /^Mix / }).innerText();
  const words = await pdfWords(
    await downloadedBytes(page, () => papers.getByRole('button', { name: /Coat plan/ }).click()),
  );
  expect(words).toContain('Serving board');
  expect(words).toContain(total.replace(/\s+/g, ' ').trim());
});
