import { itemAt } from '../numeric';
import { XMLParser } from 'fast-xml-parser';
import svgpath from 'svgpath';
import { endpointArc, type Path, type Point, type Segment } from '../geometry';
import { fail, ok, type Result } from '../result';
import { INCH_M } from '../units';
import { pathData, shortRuns, type Attributes } from './svgPathData';
import { compose, IDENTITY, matrixOf, type Matrix } from './svgMatrix';
import {
  countOf,
  DRAWING_LIMITS,
  foundShape,
  LeftOutList,
  TOO_INTRICATE,
  type DrawingRead,
  type FoundShape,
} from './drawing';

type XmlNode = Readonly<Record<string, unknown>>;

/** Lengths that say their own size. Pixels do not: programs take 72, 90 or 96 to the inch. */
const PHYSICAL: Readonly<Record<string, number>> = {
  mm: 1e-3,
  cm: 1e-2,
  in: INCH_M,
  pt: INCH_M / 72,
  pc: INCH_M / 6,
  q: 0.25e-3,
};
const DRAWN = ['path', 'rect', 'circle', 'ellipse', 'polygon', 'polyline', 'line'];
const SILENT = [
  'defs',
  'title',
  'desc',
  'metadata',
  'style',
  'clipPath',
  'mask',
  'symbol',
  'pattern',
  'marker',
];

interface Subpath {
  readonly start: Point;
  readonly segments: Segment[];
  closed: boolean;
}

const same = (a: Point, b: Point, tolerance: number): boolean =>
  Math.hypot(a[0] - b[0], a[1] - b[1]) <= tolerance;

/** Adds one absolute command of the path language to a subpath; y is turned up. */
function addCommand(sub: Subpath, command: readonly (string | number)[], from: Point): void {
  const n = command.slice(1).map(Number);
  const at = (i: number): Point => [itemAt(n, i), -itemAt(n, i + 1)];
  switch (command[0]) {
    case 'L':
      return void sub.segments.push({ kind: 'line', to: at(0) });
    case 'H':
      return void sub.segments.push({ kind: 'line', to: [itemAt(n, 0), from[1]] });
    case 'V':
      return void sub.segments.push({ kind: 'line', to: [from[0], -itemAt(n, 0)] });
    case 'C':
      return void sub.segments.push({ kind: 'cubic', c1: at(0), c2: at(2), to: at(4) });
    case 'Q': {
      const [q, to] = [at(0), at(2)];
      const mix = (a: Point, b: Point): Point => [
        a[0] + ((b[0] - a[0]) * 2) / 3,
        a[1] + ((b[1] - a[1]) * 2) / 3,
      ];
      return void sub.segments.push({ kind: 'cubic', c1: mix(from, q), c2: mix(to, q), to });
    }
    case 'A': {
      // y turned up mirrors the turn and the sense of the arc.
      const turn = (-itemAt(n, 2) * Math.PI) / 180;
      return void sub.segments.push(
        ...endpointArc(from, at(5), [itemAt(n, 0), itemAt(n, 1)], turn, n[3] === 1, n[4] !== 1),
      );
    }
    case 'M':
    case 'Z':
    case undefined:
      // They begin and end subpaths; the caller sees to them.
      return;
  }
}

function subpaths(data: string, matrix: Matrix): Subpath[] | null {
  const drawn = svgpath(shortRuns(data));
  const path = matrix === IDENTITY ? drawn : drawn.matrix([...matrix]);
  const found: Subpath[] = [];
  path
    .abs()
    .unshort()
    .iterate((command, _index, x, y) => {
      const from: Point = [x, -y];
      const current = found[found.length - 1];
      if (command[0] === 'M')
        found.push({
          start: [Number(command[1]), -Number(command[2])],
          segments: [],
          closed: false,
        });
      else if (command[0] === 'Z' || command[0] === 'z') {
        if (current) current.closed = true;
      } else if (current?.closed) {
        // After a close the next stretch begins where the closed one began.
        const next: Subpath = { start: current.start, segments: [], closed: false };
        addCommand(next, command, next.start);
        found.push(next);
      } else if (current) addCommand(current, command, from);
    });
  return (path as unknown as { err?: string }).err ? null : found;
}

/** Written so that what is not a number counts as too far as well. */
const near = ([x, y]: Point): boolean =>
  Math.abs(x) <= DRAWING_LIMITS.reach && Math.abs(y) <= DRAWING_LIMITS.reach;

const isKnown = ({ start, segments }: Subpath): boolean =>
  near(start) &&
  segments.every((s) => near(s.to) && (s.kind === 'line' || (near(s.c1) && near(s.c2))));

function shapeOf(name: string, sub: Subpath): FoundShape | null {
  const end = sub.segments[sub.segments.length - 1]?.to;
  if (!end) return null;
  const size = sub.segments.reduce(
    (most, s) => Math.max(most, Math.hypot(s.to[0] - sub.start[0], s.to[1] - sub.start[1])),
    0,
  );
  const meets = same(end, sub.start, 1e-9 * size);
  if (sub.closed && !meets) sub.segments.push({ kind: 'line', to: sub.start });
  const path: Path = { start: sub.start, segments: sub.segments };
  return foundShape(name, path, sub.closed || meets);
}

/** Adds the shapes of one drawn element to the walk. */
function addShapes(tag: string, a: Attributes, matrix: Matrix, walk: Walk): void {
  const data = pathData(tag, a);
  walk.data += data.length;
  if (tooMany(walk)) return;
  const found = subpaths(data, matrix);
  if (!found) walk.leftOut.add('path that cannot be read');
  const name = a['id'] ?? `${tag} ${walk.shapes.length + 1}`;
  for (const [i, sub] of (found ?? []).entries()) {
    walk.segments += sub.segments.length;
    if (tooMany(walk)) return;
    if (sub.segments.length > 0 && !isKnown(sub)) walk.leftOut.add('path that cannot be read');
    else {
      const parts = found && found.length > 1 ? `${name}, part ${i + 1}` : name;
      const shape = shapeOf(parts, sub);
      if (shape) walk.shapes.push(shape);
      else if (sub.segments.length > 0) walk.leftOut.add(TOO_INTRICATE);
    }
  }
}

/** Metres in a user unit, from the size and the viewBox of the root; null when it does not say. */
function unitOf(root: Attributes): number | null {
  const read = /^\s*([\d.]+(?:e[+-]?\d+)?)\s*([a-z]+)\s*$/i.exec(root['width'] ?? '');
  const scale = PHYSICAL[(read?.[2] ?? '').toLowerCase()];
  if (!read || scale === undefined) return null;
  const widthM = Number(read[1]) * scale;
  const box = (root['viewBox'] ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const units =
    box.length === 4 && itemAt(box, 2) > 0
      ? itemAt(box, 2)
      : Number(read[1]) * (scale / (INCH_M / 96));
  return widthM / units;
}

interface Walk {
  readonly shapes: FoundShape[];
  readonly leftOut: LeftOutList;
  elements: number;
  /** Characters of path data. */
  data: number;
  segments: number;
}

/** What a walk found too much of, or null. */
function tooMany({
  shapes,
  elements,
  data,
  segments,
}: Walk): { value: number; max: number } | null {
  const { shapes: s, elements: e, pathData, segments: n } = DRAWING_LIMITS;
  if (elements > e) return { value: elements, max: e };
  if (data > pathData) return { value: data, max: pathData };
  if (shapes.length > s) return { value: shapes.length, max: s };
  return segments > n ? { value: segments, max: n } : null;
}

function visit(nodes: readonly XmlNode[], matrix: Matrix, walk: Walk, depth: number): void {
  for (const node of nodes) {
    if (tooMany(walk)) return;
    walk.elements += 1;
    const tag = Object.keys(node).find((key) => key !== ':@' && key !== '#text');
    if (!tag || SILENT.includes(tag)) continue;
    const attributes = (node[':@'] ?? {}) as Attributes;
    const own = attributes['transform']
      ? compose(matrix, matrixOf(attributes['transform']))
      : matrix;
    if ((tag === 'g' || tag === 'a') && depth < 50)
      visit(node[tag] as XmlNode[], own, walk, depth + 1);
    else if (DRAWN.includes(tag)) addShapes(tag, attributes, own, walk);
    else walk.leftOut.add(tag);
  }
}

/** A document type that only names SVG; one with brackets could define entities. */
const PLAIN_DOCTYPE =
  /<!DOCTYPE\s+(?:svg:)?svg(?:\s+(?:PUBLIC|SYSTEM))?(?:\s*(?:"[^"<>]{0,200}"|'[^'<>]{0,200}')){0,2}\s*>/i;

/** The text without a plain document type; null when it has one that defines something. */
function withoutDoctype(text: string): string | null {
  const plain = text.replace(PLAIN_DOCTYPE, '');
  return /<!(DOCTYPE|ENTITY)/i.test(plain) ? null : plain;
}

/**
 * Reads the outlines of an SVG file. Nothing in it is run and nothing it names is fetched: scripts,
 * pictures and references are told as left out; a document type that could define entities is refused.
 * @param text the file, at most 6 million characters
 * @returns shapes in user units (y up), the unit when the file states one; or one issue: `not-allowed`
 *   (document type, not SVG), `does-not-fit` (too large)
 * Source: W3C SVG 2: basic shapes, path data, nested transforms, viewBox.
 */
export function readSvg(text: string): Result<DrawingRead> {
  const refuse = (what: string) => fail({ code: 'not-allowed', path: ['text'], value: what });
  const { characters, elements } = DRAWING_LIMITS;
  const tooLarge = (value: number, max: number) =>
    fail({ code: 'does-not-fit', path: ['text'], value, allowed: { max } });
  if (text.length > characters) return tooLarge(text.length, characters);
  const tags = countOf(text, '<');
  if (tags > 2 * elements) return tooLarge(tags, 2 * elements);
  const plain = withoutDoctype(text);
  if (plain === null) return refuse('document type or entities');
  let nodes: XmlNode[];
  try {
    const parser = new XMLParser({
      preserveOrder: true,
      ignoreAttributes: false,
      attributeNamePrefix: '',
      processEntities: false,
      removeNSPrefix: true,
    });
    nodes = parser.parse(plain) as XmlNode[];
  } catch {
    return refuse('not XML');
  }
  const root = nodes.find((node) => 'svg' in node);
  if (!root) return refuse('not SVG');
  const walk: Walk = { shapes: [], leftOut: new LeftOutList(), elements: 0, data: 0, segments: 0 };
  visit(root['svg'] as XmlNode[], IDENTITY, walk, 0);
  const over = tooMany(walk);
  if (over) return tooLarge(over.value, over.max);
  return ok({
    shapes: walk.shapes,
    unitM: unitOf((root[':@'] ?? {}) as Attributes),
    leftOut: walk.leftOut.list(),
  });
}
