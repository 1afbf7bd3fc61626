import { readDxf } from '.';

const dxf = (entities: string, units = 4) =>
  `0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n${units}\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n${entities}0\nENDSEC\n0\nEOF\n`;
const line = (x1: number, y1: number, x2: number, y2: number) =>
  `0\nLINE\n8\n0\n10\n${x1}\n20\n${y1}\n11\n${x2}\n21\n${y2}\n`;
const lwpolyline = (points: readonly (readonly [number, number, number?])[], closed = true) =>
  `0\nLWPOLYLINE\n8\n0\n90\n${points.length}\n70\n${closed ? 1 : 0}\n${points.map(([x, y, b]) => `10\n${x}\n20\n${y}\n${b ? `42\n${b}\n` : ''}`).join('')}`;

function readD(text: string) {
  const result = readDxf(text);
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.value;
}

describe('readDxf: areas known in closed form', () => {
  it('a closed polyline, and the same square of four lines drawn every which way', () => {
    expect(
      readD(
        dxf(
          lwpolyline([
            [0, 0],
            [10, 0],
            [10, 10],
            [0, 10],
          ]),
        ),
      ).shapes[0]?.area,
    ).toBeCloseTo(100, 10);
    const { shapes } = readD(
      dxf(line(0, 0, 10, 0) + line(10, 10, 10, 0) + line(0, 10, 10, 10) + line(0, 10, 0, 0)),
    );
    expect(shapes.map((s) => [s.closed, Math.round(s.area * 1e6) / 1e6])).toEqual([[true, 100]]);
  });

  it('bulge: positive turns left, so a slot of two half circles holds w·h + π r²', () => {
    const slot = lwpolyline([
      [0, 0],
      [20, 0, 1],
      [20, 10],
      [0, 10, 1],
    ]);
    expect(
      Math.abs((readD(dxf(slot)).shapes[0]?.area ?? 0) / (200 + Math.PI * 25) - 1),
    ).toBeLessThan(1e-6);
    const bitten = lwpolyline([
      [0, 0],
      [20, 0, -1],
      [20, 10],
      [0, 10, -1],
    ]);
    expect(
      Math.abs((readD(dxf(bitten)).shapes[0]?.area ?? 0) / (200 - Math.PI * 25) - 1),
    ).toBeLessThan(1e-6);
  });

  it('circle, ellipse, and a half disc of an arc and a line', () => {
    const circle = '0\nCIRCLE\n8\n0\n10\n5\n20\n5\n40\n3\n';
    const ellipse =
      '0\nELLIPSE\n8\n0\n10\n0\n20\n0\n11\n6\n21\n8\n40\n0.5\n41\n0\n42\n6.283185307179586\n';
    const arc = '0\nARC\n8\n0\n10\n100\n20\n0\n40\n7\n50\n0\n51\n180\n';
    const found = readD(dxf(circle + ellipse + arc + line(93, 0, 107, 0))).shapes.map(
      (s) => s.area,
    );
    [Math.PI * 9, Math.PI * 50, (Math.PI * 49) / 2].forEach((area, i) => {
      expect(Math.abs((found[i] ?? 0) / area - 1)).toBeLessThan(1e-6);
    });
  });

  it('units of the header; none is told as none', () => {
    const square = lwpolyline([
      [0, 0],
      [1, 0],
      [1, 1],
    ]);
    expect([1, 4, 5, 6, 0].map((u) => readD(dxf(square, u)).unitM)).toEqual([
      0.0254,
      1e-3,
      1e-2,
      1,
      null,
    ]);
  });

  it('unknown entities are listed and skipped; what is no DXF is refused', () => {
    const point = '0\nPOINT\n8\n0\n10\n1\n20\n1\n';
    const { shapes, leftOut } = readD(
      dxf(
        point +
          point +
          lwpolyline([
            [0, 0],
            [1, 0],
            [1, 1],
          ]),
      ),
    );
    expect(shapes).toHaveLength(1);
    expect(leftOut).toEqual([{ what: 'POINT', count: 2 }]);
    expect(readDxf('not a drawing')).toMatchObject({ ok: false });
    expect(readDxf('')).toMatchObject({ ok: false });
  });
});
