import type { PDFDocument, PDFFont } from 'pdf-lib';

/** Bytes of fonts in the order in which a letter is looked for in them; one list for each weight. */
export interface FontBytes {
  readonly plain: readonly Uint8Array[];
  readonly bold: readonly Uint8Array[];
}

/** A font with the letters that it has. */
export interface Lettered {
  readonly font: PDFFont;
  readonly letters: ReadonlySet<number>;
}
export type FontSet = readonly Lettered[];

/** A stretch of text that one font can write. */
export interface Run {
  readonly text: string;
  readonly font: PDFFont;
}

/** Embeds fonts, each only with the letters that are used. */
export async function embedFonts(
  doc: PDFDocument,
  { plain, bold }: FontBytes,
): Promise<{ readonly plain: FontSet; readonly bold: FontSet }> {
  const fontkit = (await import('@pdf-lib/fontkit')).default;
  doc.registerFontkit(fontkit);
  const embed = async (files: readonly Uint8Array[]): Promise<FontSet> => {
    const set: Lettered[] = [];
    for (const bytes of files) {
      const font = await doc.embedFont(bytes, { subset: true });
      set.push({ font, letters: new Set(font.getCharacterSet()) });
    }
    return set;
  };
  return { plain: await embed(plain), bold: await embed(bold) };
}

/** Signs that no font of ours has, and what is written for them. */
const SIGNS: Readonly<Record<string, string>> = {
  '\u00a0': ' ',
  '\u202f': ' ',
  '\u2212': '–',
  '⌀': 'Ø',
  '≈': '~',
};

/** Text as runs of the first font that has each letter; a letter that none has is written as “?”. */
export function runsOf(text: string, set: FontSet): readonly Run[] {
  const runs: { text: string; font: PDFFont }[] = [];
  for (const sign of text.normalize('NFC')) {
    const wanted = [sign, SIGNS[sign] ?? '?', '?'];
    const found = wanted.flatMap((letter) => {
      const has = set.find((f) => [...letter].every((l) => f.letters.has(l.codePointAt(0) ?? 0)));
      return has ? [{ letter, font: has.font }] : [];
    })[0];
    if (!found) continue;
    const last = runs.at(-1);
    if (last?.font === found.font) last.text += found.letter;
    else runs.push({ text: found.letter, font: found.font });
  }
  return runs;
}

export const widthOf = (runs: readonly Run[], size: number): number =>
  runs.reduce((sum, { text, font }) => sum + font.widthOfTextAtSize(text, size), 0);
