import type { FontBytes } from './fonts';

/** Fonts that ship with the application: its own letters first, then Greek and Cyrillic. */
const FILES = {
  plain: [
    new URL(
      '../../../node_modules/@fontsource/barlow/files/barlow-latin-400-normal.woff',
      import.meta.url,
    ),
    new URL(
      '../../../node_modules/@fontsource/barlow/files/barlow-latin-ext-400-normal.woff',
      import.meta.url,
    ),
    new URL(
      '../../../node_modules/@fontsource/barlow/files/barlow-vietnamese-400-normal.woff',
      import.meta.url,
    ),
    new URL(
      '../../../node_modules/@fontsource/noto-sans/files/noto-sans-greek-400-normal.woff',
      import.meta.url,
    ),
    new URL(
      '../../../node_modules/@fontsource/noto-sans/files/noto-sans-cyrillic-400-normal.woff',
      import.meta.url,
    ),
  ],
  bold: [
    new URL(
      '../../../node_modules/@fontsource/barlow/files/barlow-latin-600-normal.woff',
      import.meta.url,
    ),
    new URL(
      '../../../node_modules/@fontsource/barlow/files/barlow-latin-ext-600-normal.woff',
      import.meta.url,
    ),
    new URL(
      '../../../node_modules/@fontsource/noto-sans/files/noto-sans-greek-700-normal.woff',
      import.meta.url,
    ),
    new URL(
      '../../../node_modules/@fontsource/noto-sans/files/noto-sans-cyrillic-700-normal.woff',
      import.meta.url,
    ),
  ],
} as const;

async function bytesOf(url: URL): Promise<Uint8Array> {
  const answer = await fetch(url);
  if (!answer.ok) throw new Error(`font ${url.pathname}: ${answer.status}`);
  return new Uint8Array(await answer.arrayBuffer());
}

/** Reads them from the application’s own origin. */
export async function shippedFonts(): Promise<FontBytes> {
  const [plain, bold] = await Promise.all([
    Promise.all(FILES.plain.map(bytesOf)),
    Promise.all(FILES.bold.map(bytesOf)),
  ]);
  return { plain, bold };
}
