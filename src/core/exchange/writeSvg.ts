import { pathBox, shapePath, type Path, type Point, type Shape } from '../geometry';

const MARGIN_MM = 5;

/** Enough digits that areas keep to 1e-9 when the file is read again. */
const mm = (m: number): string => String(Number((m * 1000).toFixed(9)));

function pathData(path: Path, place: (point: Point) => Point): string {
  const at = (point: Point) => place(point).map(mm).join(' ');
  const segments = path.segments.map((s) =>
    s.kind === 'line' ? `L${at(s.to)}` : `C${at(s.c1)} ${at(s.c2)} ${at(s.to)}`,
  );
  return `M${at(path.start)}${segments.join('')}Z`;
}

const ENTITIES: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
};
const escape = (text: string): string => text.replace(/[&<>"]/g, (c) => ENTITIES[c] ?? c);

/**
 * The plan of a face as an SVG file in mm at true size; `readSvg` reads it back alike.
 * @param name name of the piece @param shape lengths in m
 * Source: W3C SVG 2; one user unit is one millimetre.
 */
export function writeSvg(name: string, shape: Shape): string {
  const outer = shapePath(shape);
  const { widthM, heightM, middle } = pathBox(outer);
  const [width, height] = [widthM * 1000 + 2 * MARGIN_MM, heightM * 1000 + 2 * MARGIN_MM];
  const place = ([x, y]: Point): Point => [
    x - middle[0] + width / 2000,
    middle[1] - y + height / 2000,
  ];
  const bare = shape.keepBare ?? [];
  const drawn = (id: string, look: string, path: Path) =>
    `<path id="${id}" fill="none" stroke-width="0.3" ${look} d="${pathData(path, place)}"/>`;
  const paths = [
    drawn('outline', 'stroke="#22302f"', outer),
    ...bare.map((path, i) =>
      drawn(`keep-bare-${i + 1}`, 'stroke="#a5402a" stroke-dasharray="2 1"', path),
    ),
  ];
  const size = `width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}"`;
  return `<svg xmlns="http://www.w3.org/2000/svg" ${size}><title>${escape(name)}</title>${paths.join('')}</svg>\n`;
}
