import { DRAWING_LIMITS, readDxf, readSvg, type DrawingRead } from '.';

const svg = (body: string, before = '') =>
  `${before}<svg xmlns="http://www.w3.org/2000/svg" width="80mm" viewBox="0 0 80 80">${body}</svg>`;
const read = (text: string, how = readSvg): DrawingRead => {
  const result = how(text);
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.value;
};
const RECT = '<rect width="30" height="20"/>';

describe('SVG as programs write it', () => {
  it.each([
    [
      'a plain document type',
      svg(
        RECT,
        '<!DOCTYPE svg PUBLIC "-//W3C//DTD SVG 1.1//EN" "http://www.w3.org/Graphics/SVG/1.1/DTD/svg11.dtd">',
      ),
    ],
    ['a document type without names', svg(RECT, '<?xml version="1.0"?>\n<!DOCTYPE svg>')],
    ['a long comment in front', svg(RECT, `<!-- ${'made by a program '.repeat(600)} -->`)],
    ['a byte order mark', svg(RECT, '\ufeff')],
    [
      'its own prefix',
      svg(RECT)
        .replaceAll('<svg', '<svg:svg')
        .replaceAll('</svg', '</svg:svg')
        .replace('<rect', '<svg:rect')
        .replace('xmlns=', 'xmlns:svg='),
    ],
  ])('%s is read', (_what, text) => {
    expect(read(text).shapes).toMatchObject([{ area: 600, closed: true }]);
  });
  it.each([
    '<!DOCTYPE svg [<!ENTITY a "b">]>',
    '<!DOCTYPE html>',
    '<!DOCTYPE svg SYSTEM "a" "b" "c">',
    '<!ENTITY a "b">',
  ])('%s is refused', (before) => {
    expect(readSvg(svg(RECT, before))).toMatchObject({
      ok: false,
      issues: [{ code: 'not-allowed' }],
    });
  });
  it('nested transforms give the area of their product: 2 · 3 · 6 times', () => {
    const nested = `<g transform="translate(5 6) rotate(30)"><g transform="scale(2 3)"><g transform="matrix(2 1 0 3 4 5)">${RECT}</g></g></g>`;
    expect(read(svg(nested)).shapes[0]?.area).toBeCloseTo(600 * 6 * 6, 6);
  });
  it('a long run of points after one command is every point', () => {
    const points = Array.from({ length: 1500 }, (_, i) => {
      const a = (i / 1500) * 2 * Math.PI;
      return `${(40 * Math.cos(a)).toFixed(6)},${(40 * Math.sin(a)).toFixed(6)}`;
    }).join(' ');
    // A regular polygon of n sides: n/2 · r² · sin(2π/n).
    const area = 750 * 1600 * Math.sin((2 * Math.PI) / 1500);
    for (const body of [`<polygon points="${points}"/>`, `<path d="M${points}z"/>`])
      expect(read(svg(body)).shapes[0]?.area).toBeCloseTo(area, 2);
  });
});

describe('drawings that are too much end at once, with the limit', () => {
  const tooMuch = (text: string, how = readSvg) => {
    const result = how(text);
    expect(result).toMatchObject({ ok: false, issues: [{ code: 'does-not-fit', path: ['text'] }] });
  };
  it('SVG: elements, path data, shapes', () => {
    tooMuch(svg('<g/>'.repeat(2 * DRAWING_LIMITS.elements + 1)));
    tooMuch(svg(`<path d="${'M1 1h0'.repeat(220_000)}"/>`));
    tooMuch(svg('<rect width="1" height="1"/>'.repeat(DRAWING_LIMITS.shapes + 1)));
  });
  it('DXF: lines, shapes', () => {
    tooMuch('0\nLINE\n'.repeat(DRAWING_LIMITS.lines), readDxf);
  });
  it('what is drawn a thousand miles away, or is no number, is left out', () => {
    for (const d of ['M0 0h1e200v1z', 'M0 0C1 1 2 2 1e9 4z'])
      expect(read(svg(`<path d="${d}"/>`))).toMatchObject({
        shapes: [],
        leftOut: [{ what: 'path that cannot be read', count: 1 }],
      });
  });
  it('a comb of very many tines is left out by name, not thinned to nothing', () => {
    const d = `M0 0${'h70v.002h-70v.002'.repeat(3000)}z`;
    expect(read(svg(`<path d="${d}"/>`))).toMatchObject({
      shapes: [],
      leftOut: [{ what: 'outline of far too many points', count: 1 }],
    });
  });
});

describe('DXF lines are joined by place', () => {
  const line = (x1: number, y1: number, x2: number, y2: number) =>
    `0\nLINE\n10\n${x1}\n20\n${y1}\n11\n${x2}\n21\n${y2}\n`;
  const dxf = (body: string) => `0\nSECTION\n2\nENTITIES\n${body}0\nENDSEC\n0\nEOF\n`;
  it('in any order and either way round, a ring of 4,000 lines is one shape of its area', () => {
    const n = 4000;
    const at = (i: number) =>
      [100 * Math.cos((i / n) * 2 * Math.PI), 100 * Math.sin((i / n) * 2 * Math.PI)] as const;
    // 1597 has no factor in common with 4000: every line once, none beside the one before it.
    const body = Array.from({ length: n }, (_, k) => {
      const i = (k * 1597) % n;
      const [p, q] = [at(i), at(i + 1)];
      return k % 2 === 0 ? line(p[0], p[1], q[0], q[1]) : line(q[0], q[1], p[0], p[1]);
    }).join('');
    const { shapes } = read(dxf(body), readDxf);
    expect(shapes).toHaveLength(1);
    expect(shapes[0]?.closed).toBe(true);
    const area = (n / 2) * 1e4 * Math.sin((2 * Math.PI) / n);
    expect((shapes[0]?.area ?? 0) / area).toBeCloseTo(1, 4);
  });
});
