import { outlineFromDrawing, readSvg, splinePoints, writeSvg } from '.';
import { arcSegments, measureShape, shapePath, type Point, type Shape } from '../geometry';

const svg = (inner: string, size = 'width="200mm" height="100mm" viewBox="0 0 200 100"') =>
  `<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" ${size}>${inner}</svg>`;

function read(text: string) {
  const result = readSvg(text);
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.value;
}
const areas = (inner: string) => read(svg(inner)).shapes.map((s) => s.area);

describe('readSvg: areas known in closed form', () => {
  // The same figures written by different programs' habits.
  it.each([
    ['rect', '<rect x="10" y="10" width="40" height="20"/>', 800],
    ['rounded rect', '<rect width="40" height="20" rx="5"/>', 800 - (4 - Math.PI) * 25],
    ['rect with ry too large', '<rect width="40" height="20" rx="50" ry="50"/>', Math.PI * 20 * 10],
    ['circle', '<circle cx="50" cy="50" r="30"/>', Math.PI * 900],
    ['ellipse', '<ellipse cx="50" cy="50" rx="30" ry="10"/>', Math.PI * 300],
    ['polygon', '<polygon points="0,0 40,0 40,30"/>', 600],
    ['absolute path', '<path d="M0 0 L40 0 L40 30 Z"/>', 600],
    ['relative path, no spaces', '<path d="m0,0h40v30z"/>', 600],
    ['path with exponents and run-on signs', '<path d="M0-0l4e1 0 0,3e1z"/>', 600],
    ['half disc by an arc', '<path d="M0 50 A30 30 0 0 1 60 50 Z"/>', Math.PI * 450],
    ['arc with packed flags', '<path d="M0 50a30 30 0 0160 0z"/>', Math.PI * 450],
    [
      'quadratic: parabola segment 2/3 base height',
      '<path d="M0 0 Q30 40 60 0 Z"/>',
      (2 / 3) * 60 * 20,
    ],
    ['smooth cubic and its mirror', '<path d="M0 0 C0 10 10 20 20 20 S40 10 40 0 Z"/>', NaN],
  ])('%s', (_name, inner, area) => {
    const [found] = areas(inner);
    if (Number.isNaN(area)) expect(found).toBeGreaterThan(500);
    else expect(Math.abs((found ?? 0) / area - 1)).toBeLessThan(1e-6);
  });

  it('nested transforms: area goes with the determinant, in the right order', () => {
    const inner =
      '<g transform="translate(5 5)"><g transform="scale(2)"><rect width="10" height="5" transform="rotate(30) skewX(20)"/></g></g>';
    expect(areas(inner)[0]).toBeCloseTo(200, 8);
    const ordered = read(
      svg(
        '<g transform="scale(2)"><rect x="10" width="1" height="1" transform="translate(5,0)"/></g>',
      ),
    );
    expect(ordered.shapes[0]?.path.start[0]).toBeCloseTo(30, 10);
  });

  it('a matrix that shears keeps an ellipse’s area times its determinant', () => {
    const [found] = areas('<circle r="10" transform="matrix(2 0.5 -0.25 1 0 0)"/>');
    expect(Math.abs((found ?? 0) / (Math.PI * 100 * (2 + 0.125)) - 1)).toBeLessThan(1e-6);
  });

  it('subpaths are shapes of their own; a stretch after a close begins at the closed start', () => {
    expect(areas('<path d="M0 0h10v10h-10z M20 0h4v4h-4z"/>')).toEqual([100, 16]);
    expect(areas('<path d="M0 0h10v10h-10z h5v5h-5z"/>')).toEqual([100, 25]);
  });

  it('open paths are told, not closed by guess', () => {
    const { shapes } = read(
      svg('<polyline points="0,0 10,0 10,10"/><path d="M0 0h10v10h-10v-10"/>'),
    );
    expect(shapes.map((s) => s.closed)).toEqual([false, true]);
  });
});

describe('readSvg: units', () => {
  it.each([
    ['width="200mm" viewBox="0 0 200 100"', 1e-3],
    ['width="20cm" viewBox="0 0 2000 1000"', 1e-4],
    ['width="10in" viewBox="0 0 720 360"', 0.0254 / 72],
    ['width="4in"', 0.0254 / 96],
    ['width="200px" viewBox="0 0 200 100"', null],
    ['width="200" viewBox="0 0 200 100"', null],
    ['width="100%" viewBox="0 0 200 100"', null],
    ['viewBox="0 0 200 100"', null],
  ])('%s', (size, unitM) => {
    const { unitM: found } = read(svg('<rect width="1" height="1"/>', size));
    if (unitM === null) expect(found).toBeNull();
    else expect(Math.abs((found ?? 0) / unitM - 1)).toBeLessThan(1e-12);
  });
});

describe('readSvg: what must never be run or fetched', () => {
  it('scripts, pictures, references and text are left out and told', () => {
    const { shapes, leftOut } = read(
      svg(
        '<script>alert(1)</script><image href="http://example.invalid/x.png"/><use href="#a"/><text>hi</text><rect width="2" height="2"/><defs><circle r="5"/></defs>',
      ),
    );
    expect(shapes).toHaveLength(1);
    expect(leftOut.map((l) => l.what).sort()).toEqual(['image', 'script', 'text', 'use']);
  });
  it.each([
    ['<!DOCTYPE svg [<!ENTITY a "x">]><svg>&a;</svg>', 'document type or entities'],
    ['<html><body/></html>', 'not SVG'],
    ['just words', 'not SVG'],
    ['', 'not SVG'],
  ])('%s', (text, value) => {
    const result = readSvg(text);
    expect(result.ok ? null : result.issues[0]).toMatchObject({ code: 'not-allowed', value });
  });
  it('a path that cannot be read is told; too much is refused', () => {
    expect(read(svg('<path d="M0 0 L nonsense"/>')).leftOut).toEqual([
      { what: 'path that cannot be read', count: 1 },
    ]);
    expect(readSvg('x'.repeat(6_000_001))).toMatchObject({
      ok: false,
      issues: [{ code: 'does-not-fit' }],
    });
    const many = `<path d="M0 0${'h1v1h-1'.repeat(70_000)}z"/>`;
    expect(readSvg(svg(many))).toMatchObject({ ok: false, issues: [{ code: 'does-not-fit' }] });
  });
});

describe('splinePoints', () => {
  it('a clamped quadratic of three control points is its Bézier parabola', () => {
    const control: Point[] = [
      [0, 0],
      [1, 2],
      [2, 0],
    ];
    const points = splinePoints(control, 2, [0, 0, 0, 1, 1, 1]);
    for (const [x, y] of points) expect(y).toBeCloseTo(2 * x - x * x, 12);
    expect(points[0]).toEqual([0, 0]);
    expect(points[points.length - 1]).toEqual([2, 0]);
  });
  it('gives nothing when the knots do not fit', () => {
    expect(splinePoints([[0, 0]], 3, [0, 1])).toEqual([]);
  });
});

describe('writeSvg and back', () => {
  const handle = arcSegments({
    centre: [0.2, 0],
    rx: 0.03,
    ry: 0.03,
    turn: 0,
    from: 0,
    sweep: 2 * Math.PI,
  });
  const shapes: Shape[] = [
    { kind: 'rectangle', widthM: 0.6, heightM: 0.4 },
    { kind: 'roundedRectangle', widthM: 0.9, heightM: 0.24, radiusM: 0.03 },
    { kind: 'disc', diameterM: 0.38 },
    { kind: 'ellipse', widthM: 0.31, heightM: 0.17 },
    { kind: 'regularPolygon', sides: 7, sizeM: 0.15, across: 'corners' },
    {
      kind: 'outline',
      outer: shapePath({ kind: 'ellipse', widthM: 0.5, heightM: 0.3 }),
      keepBare: [{ start: [0.23, 0], segments: handle }],
    },
  ];
  it.each(shapes)('%j keeps area and edge within 1e-6', (shape) => {
    const { shapes: found, unitM } = read(writeSvg('A & "B" <C>', shape));
    expect(unitM).toBeCloseTo(1e-3, 12);
    const made = outlineFromDrawing(
      found,
      { outer: 0, bare: found.map((_, i) => i).slice(1) },
      unitM ?? NaN,
    );
    if (!made.ok) throw new Error(JSON.stringify(made.issues));
    const [back, before] = [measureShape(made.value.outline), measureShape(shape)];
    expect(Math.abs(back.areaM2 / before.areaM2 - 1)).toBeLessThan(1e-6);
    expect(Math.abs(back.perimeterM / before.perimeterM - 1)).toBeLessThan(1e-6);
  });

  it('outlineFromDrawing asks for a closed shape and a sound unit', () => {
    const { shapes: found } = read(
      svg('<polyline points="0,0 10,0 10,10"/><rect width="20" height="10"/>'),
    );
    expect(outlineFromDrawing(found, { outer: 0 }, 1e-3)).toMatchObject({
      ok: false,
      issues: [{ code: 'required' }],
    });
    expect(outlineFromDrawing(found, { outer: 1 }, 0)).toMatchObject({ ok: false });
    expect(outlineFromDrawing(found, { outer: 1 }, 1)).toMatchObject({
      ok: false,
      issues: [{ code: 'out-of-range' }],
    });
    const made = outlineFromDrawing(found, { outer: 1, bare: [1, 0] }, 1e-3);
    expect(made.ok && made.value.outline.keepBare).toEqual([]);
    expect(made.ok && measureShape(made.value.outline).areaM2).toBeCloseTo(2e-4, 15);
  });

  it('places a recess about its own middle, and thins what has too many points by a stated step', () => {
    const n = 9000;
    const ring = Array.from({ length: n }, (_, i) => {
      const a = (2 * Math.PI * i) / n;
      return `${(200 + 150 * Math.cos(a)).toFixed(6)},${(200 + 150 * Math.sin(a)).toFixed(6)}`;
    });
    const { shapes: found } = read(
      svg(`<polygon points="${ring.join(' ')}"/><rect x="250" y="190" width="40" height="20"/>`),
    );
    const made = outlineFromDrawing(found, { outer: 0, recess: [1] }, 1e-3);
    if (!made.ok) throw new Error(JSON.stringify(made.issues));
    const { outline, recesses, movedM } = made.value;
    const set = outlineFromDrawing(found, { outer: 0, also: [1] }, 1e-3);
    expect(set.ok && set.value.faces).toEqual(recesses);
    // The rectangle's middle is 70 mm right of the disc's.
    expect(recesses[0]?.at[0]).toBeCloseTo(0.07, 9);
    expect(recesses[0]?.at[1]).toBeCloseTo(0, 9);
    expect(outline.outer.segments.length).toBeLessThanOrEqual(2000);
    expect(movedM).toBeGreaterThan(0);
    // A ring moved by at most movedM keeps its area within edge × movedM.
    const lost = Math.abs(measureShape(outline).areaM2 - Math.PI * 0.15 ** 2);
    expect(lost).toBeLessThan(2 * Math.PI * 0.15 * movedM);
  });
});
