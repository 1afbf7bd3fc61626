import { readFileSync } from 'node:fs';

/** Each font that the layout loads, or a PDF is written with, ships with the text of its licence, word for word. */
describe('licences of the fonts', () => {
  const layout =
    readFileSync('src/app/layout.tsx', 'utf8') + readFileSync('src/ui/pdf/shippedFonts.ts', 'utf8');
  const fonts = [
    ...new Set([...layout.matchAll(/@fontsource\/([\w-]+)\//g)].map((m) => m[1] ?? '')),
  ];
  it('every font has one', () => expect(fonts).toHaveLength(4));
  it.each(fonts)('%s', (font) => {
    const shipped = readFileSync(`public/licences/${font}.txt`, 'utf8');
    expect(shipped).toBe(readFileSync(`node_modules/@fontsource/${font}/LICENSE`, 'utf8'));
    expect(shipped).toContain('SIL Open Font License');
  });
});
