import { FILES } from '@/data/migrations/fixtures';
import { mutated, mutatedText, pick, type Random } from './mutate';

interface FileForm {
  readonly tables: Record<string, { id: string; pieceId?: string }[]>;
}

/** A small whole shop of one piece, as a file: what is mutated. */
export function smallShop(): unknown {
  const { tables, ...file } = structuredClone(FILES[4]) as FileForm;
  const piece = tables['pieces']?.find((p) => tables['batches']?.length && p);
  const own = Object.fromEntries(
    Object.entries(tables).map(([name, rows]) => [
      name,
      name === 'pieces'
        ? rows.filter((r) => r.id === piece?.id)
        : rows.filter((r) => r.pieceId === undefined || r.pieceId === piece?.id),
    ]),
  );
  return { ...file, tables: own };
}

const JSON_RUBBISH = ['"', '}', ']', ',', '1e999', 'NaN', '\u0000', '[[[[[[', 'null', '\ufeff'];

/** A shop file that somebody spoilt, on purpose or not. */
export function hostileShop(random: Random, base: unknown): string {
  const old = pick(random, [base, base, base, FILES[1], FILES[2], FILES[3]]);
  if (random() < 0.08) return mutatedText(random, JSON.stringify(old), JSON_RUBBISH);
  return JSON.stringify(mutated(random, old, random() < 0.7 ? 1 : 3));
}

const COORDINATES = ['0', '-1', '3.5', '1e3', '-7e-3', '1e9', '1e308', 'NaN', '', '12', '40', '.5'];
const svgWrap = (body: string, head = 'width="80mm" viewBox="0 0 80 80"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${head}>${body}</svg>`;

/** Drawings that are large or nested on purpose; each was slow or deadly once. */
export const HEAVY_SVG: readonly (() => string)[] = [
  () => {
    const turn = '<g transform="rotate(1) translate(1 2) scale(.99)">';
    return svgWrap(turn.repeat(45) + '<path d="M0 0h1v1z"/>'.repeat(2000) + '</g>'.repeat(45));
  },
  () => svgWrap(`<path d="${'M1 1h0'.repeat(300_000)}"/>`),
  () => svgWrap('<circle r="1"/>'.repeat(60_000)),
  () => svgWrap(`<path d="M0 0${'h70v.002h-70v.002'.repeat(9000)}z"/>`),
  () => svgWrap(`<path d="M0 0${'l70 70 .002 0 -70 -70 .002 0'.repeat(9000)}z"/>`),
  () => svgWrap('<rect width="1e200" height="1e200"/>'),
  () => svgWrap('<rect width="50" height="40"/>', 'width="1e200mm" viewBox="0 0 80 80"'),
  () => svgWrap('<g>'.repeat(5000)),
  () => `<!DOCTYPE svg [<!ENTITY a "${'b'.repeat(1000)}">]>` + svgWrap('<path d="&a;"/>'),
  () => svgWrap(`<path transform="${'rotate(3)'.repeat(20_000)}" d="M0 0h9v9z"/>`),
  () => svgWrap(`<polygon points="${'1,2 3,4 '.repeat(150_000)}"/>`),
  () => svgWrap(`<path d="M0 0${'C1 2 3 4 5 6'.repeat(60_000)}z"/>`),
];

const SVG_BASE = svgWrap(
  '<g transform="rotate(3) translate(1 2)"><path id="face" d="M0 0A30 30 0 0 1 60 0C61 20 33 40 5 60Z"/><rect x="1" y="2" width="30" height="40" rx="4"/></g><g><ellipse cx="9" cy="9" rx="4" ry="3"/><polygon points="0,0 20,0 10,15"/></g>',
);
const XML_RUBBISH = ['<', '>', '"', '0', '-', 'NaN', '1e999', '\n', 'Z', '&x;', '<g>', '</g>', 'A'];

export function hostileSvg(random: Random): string {
  if (random() < 0.04) return pick(random, HEAVY_SVG)();
  if (random() < 0.5) return mutatedText(random, SVG_BASE, XML_RUBBISH);
  const n = () => pick(random, COORDINATES);
  const steps = Array.from(
    { length: 1 + Math.floor(random() * 12) },
    () =>
      `${pick(random, ['L', 'l', 'H', 'V', 'C', 'Q', 'A', 'S', 'T', 'Z', 'M'])}${n()} ${n()} ${n()} ${n()} ${n()} ${n()} ${n()}`,
  );
  return svgWrap(
    `<g transform="${pick(random, ['matrix', 'rotate', 'scale', 'skewX', 'what'])}(${n()} ${n()})"><path d="M${n()} ${n()}${steps.join('')}z"/></g>`,
  );
}

const line = (x1: number, y1: number, x2: number, y2: number) =>
  `0\nLINE\n8\n0\n10\n${x1}\n20\n${y1}\n11\n${x2}\n21\n${y2}\n`;
const dxfWrap = (entities: string) =>
  `0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n${entities}0\nENDSEC\n0\nEOF\n`;
const DXF_BASE = dxfWrap(
  `${line(0, 0, 60, 0)}${line(60, 0, 60, 40)}${line(60, 40, 0, 40)}${line(0, 40, 0, 0)}0\nLWPOLYLINE\n90\n3\n70\n1\n10\n5\n20\n5\n42\n0.4\n10\n20\n20\n5\n10\n12\n20\n20\n0\nARC\n10\n30\n20\n20\n40\n6\n50\n0\n51\n90\n0\nSPLINE\n70\n1\n71\n3\n40\n0\n40\n0\n40\n0\n40\n0\n40\n1\n40\n1\n40\n1\n40\n1\n10\n0\n20\n0\n10\n1\n20\n5\n10\n6\n20\n5\n10\n9\n20\n0\n`,
);
export const HEAVY_DXF: readonly (() => string)[] = [
  () => dxfWrap(Array.from({ length: 15_000 }, (_, i) => line(i, 0, i + 1, i % 7)).join('')),
  () =>
    dxfWrap(
      Array.from({ length: 15_000 }, (_, i) =>
        line((i * 7919) % 15_000, 0, (i * 7919 + 1) % 15_000, 0),
      ).join(''),
    ),
  () => dxfWrap(`0\nPOLYLINE\n70\n1\n${'0\nVERTEX\n10\n1\n20\n2\n'.repeat(120_000)}0\nSEQEND\n`),
  () => dxfWrap(Array.from({ length: 20_000 }, () => line(0, 0, 0, 0)).join('')),
  () =>
    dxfWrap(
      `0\nSPLINE\n70\n1\n71\n3\n${'40\n0\n'.repeat(30_000)}${'10\n1\n20\n2\n'.repeat(20_000)}`,
    ),
];

export function hostileDxf(random: Random): string {
  if (random() < 0.03) return pick(random, HEAVY_DXF)();
  const groups = DXF_BASE.split('\n');
  for (let i = 0; i < 1 + random() * 3; i += 1) {
    const at = Math.floor(random() * groups.length);
    const way = random();
    if (way < 0.3) groups.splice(at, 1 + Math.floor(random() * 3));
    else if (way < 0.7)
      groups[at] = pick(random, [
        '0',
        '-1',
        '1e308',
        'NaN',
        '',
        '10',
        '70',
        'LINE',
        'EOF',
        '1e-9',
        '9e15',
      ]);
    else
      groups.splice(at, 0, ...pick(random, [['10'], ['0', 'VERTEX'], ['42', '1e9'], ['71', '99']]));
  }
  return groups.join('\n');
}

/** A request to the arithmetic, from an example that works. */
export function hostileRequest(random: Random, examples: readonly unknown[]): string {
  const request = pick(random, examples);
  if (random() < 0.05) return mutatedText(random, JSON.stringify(request), JSON_RUBBISH);
  return JSON.stringify(mutated(random, request, 1 + Math.floor(random() * 3)));
}
