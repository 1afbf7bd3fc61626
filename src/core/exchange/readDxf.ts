import DxfParser, { type IEntity } from 'dxf-parser';
import {
  arcPoint,
  arcSegments,
  bulgeSegments,
  controlPoints,
  walk,
  type Path,
  type Point,
  type Segment,
} from '../geometry';
import { fail, ok, type Result } from '../result';
import {
  countOf,
  DRAWING_LIMITS,
  foundShape,
  LeftOutList,
  TOO_INTRICATE,
  type DrawingRead,
  type FoundShape,
} from './drawing';
import { chain, endOf, meets, type Stretch } from './chain';
import { soundDxf } from './soundDxf';
import { splinePoints } from './splinePoints';

/** Values of $INSUNITS that are lengths of a bench, m. Source: DXF reference, header section (from memory). */
const INSUNITS: Readonly<Record<number, number>> = {
  1: 0.0254,
  2: 0.3048,
  4: 1e-3,
  5: 1e-2,
  6: 1,
  14: 0.1,
};

interface Vertex {
  readonly x: number;
  readonly y: number;
  readonly bulge?: number;
}
/** What the parser gives, as far as it is used here. */
interface Entity extends IEntity {
  readonly vertices?: readonly Vertex[];
  readonly shape?: boolean;
  readonly closed?: boolean;
  readonly center?: Vertex;
  readonly radius?: number;
  readonly startAngle?: number;
  readonly endAngle?: number;
  readonly majorAxisEndPoint?: Vertex;
  readonly axisRatio?: number;
  readonly controlPoints?: readonly Vertex[];
  readonly degreeOfSplineCurve?: number;
  readonly knotValues?: readonly number[];
}

const TURN = 2 * Math.PI;
const xy = (v: Vertex | undefined): Point => [v?.x ?? NaN, v?.y ?? NaN];

/** Written so that what is not a number counts as too far as well. */
const isNear = (value: number): boolean => Math.abs(value) <= DRAWING_LIMITS.reach;
/** Tangent of a quarter of an arc's turn: beyond it the arc is a full circle of no known size. */
const MOST_BULGE = 1e4;

function polyline(vertices: readonly Vertex[], closed: boolean): Stretch {
  const segments: Segment[] = [];
  const count = closed ? vertices.length : vertices.length - 1;
  for (let i = 0; i < count; i += 1) {
    const [from, next] = [xy(vertices[i]), xy(vertices[(i + 1) % vertices.length])];
    if (Math.hypot(next[0] - from[0], next[1] - from[1]) === 0) continue;
    const bulge = vertices[i]?.bulge ?? 0;
    // A point that is missing makes the stretch unsound; it is left out below.
    const sound = [...from, ...next].every(isNear) && Math.abs(bulge) <= MOST_BULGE;
    if (bulge === 0 || !sound) segments.push({ kind: 'line', to: next });
    else segments.push(...bulgeSegments(from, next, bulge));
  }
  return { start: xy(vertices[0]), segments };
}

function arcStretch(
  centre: Point,
  rx: number,
  ry: number,
  turn: number,
  from: number,
  to: number,
): Stretch | null {
  if (![...centre, rx, ry, turn, from, to].every(isNear)) return null;
  const around = (((to - from) % TURN) + TURN) % TURN;
  const sweep = around < 1e-9 ? TURN : around;
  const start = arcPoint({ centre, rx, ry, turn }, from);
  return { start, segments: arcSegments({ centre, rx, ry, turn, from, sweep }) };
}

/** A stretch for each kind of entity that has an outline, or null. */
function stretchOf(e: Entity): Stretch | null {
  const vertices = e.vertices ?? [];
  switch (e.type) {
    case 'LINE':
      return polyline(vertices, false);
    case 'LWPOLYLINE':
    case 'POLYLINE':
      return polyline(vertices, e.shape === true);
    case 'CIRCLE':
    case 'ARC': {
      const r = e.radius ?? 0;
      if (!(r > 0 && r < Infinity)) return null;
      return arcStretch(
        xy(e.center),
        r,
        r,
        0,
        e.startAngle ?? 0,
        e.type === 'ARC' ? (e.endAngle ?? 0) : TURN,
      );
    }
    case 'ELLIPSE': {
      const [mx, my] = xy(e.majorAxisEndPoint);
      const rx = Math.hypot(mx, my);
      const ry = rx * (e.axisRatio ?? 0);
      if (!(rx > 0 && ry > 0)) return null;
      return arcStretch(
        xy(e.center),
        rx,
        ry,
        Math.atan2(my, mx),
        e.startAngle ?? 0,
        e.endAngle ?? TURN,
      );
    }
    case 'SPLINE': {
      const points = splinePoints(
        (e.controlPoints ?? []).map(xy),
        e.degreeOfSplineCurve ?? 3,
        e.knotValues ?? [],
      );
      const [start, ...rest] = points;
      return start ? { start, segments: rest.map((to) => ({ kind: 'line', to })) } : null;
    }
    default:
      return null;
  }
}

function closeUp({ start, segments }: Stretch): Path {
  const last = segments[segments.length - 1];
  // Ends that nearly meet are drawn to the same point.
  return { start, segments: last ? [...segments.slice(0, -1), { ...last, to: start }] : segments };
}

/**
 * Reads the outlines of a DXF file; lines and arcs whose ends meet are joined into closed shapes.
 * @param text ASCII DXF, at most 6 million characters
 * @returns shapes in drawing units, the unit from $INSUNITS; unknown entities are told as left out; or
 *   one issue: `not-allowed` (not a DXF), `does-not-fit` (too large)
 * Source: DXF reference: LINE, LWPOLYLINE and POLYLINE with bulge, ARC, CIRCLE, ELLIPSE, SPLINE.
 */
export function readDxf(text: string): Result<DrawingRead> {
  const { characters, lines, segments, shapes: most } = DRAWING_LIMITS;
  if (text.length > characters)
    return fail({
      code: 'does-not-fit',
      path: ['text'],
      value: text.length,
      allowed: { max: characters },
    });
  const rows = countOf(text, '\n');
  if (rows > lines)
    return fail({ code: 'does-not-fit', path: ['text'], value: rows, allowed: { max: lines } });
  const leftOut = new LeftOutList();
  const sound = soundDxf(text, leftOut);
  let parsed: ReturnType<DxfParser['parseSync']>;
  try {
    parsed = sound === null ? null : new DxfParser().parseSync(sound);
  } catch {
    parsed = null;
  }
  if (!parsed?.entities)
    return fail({ code: 'not-allowed', path: ['text'], value: 'not a DXF file' });
  const stretches = (parsed.entities as Entity[]).flatMap((entity) => {
    const stretch = stretchOf(entity);
    const whole =
      stretch &&
      stretch.segments.length > 0 &&
      [...walk(stretch)].every(({ from, segment }) =>
        controlPoints(from, segment).flat().every(isNear),
      );
    if (!whole) leftOut.add(entity.type);
    return whole ? [stretch] : [];
  });
  const count = stretches.reduce((sum, s) => sum + s.segments.length, 0);
  if (count > segments)
    return fail({ code: 'does-not-fit', path: ['text'], value: count, allowed: { max: segments } });
  const reach = stretches
    .flatMap((s) => s.segments.flatMap((seg) => seg.to))
    .reduce((m, v) => Math.max(m, Math.abs(v)), 0);
  const tolerance = Math.max(1e-12, reach * 1e-6);
  const chained = chain(stretches, tolerance);
  if (chained.length > most)
    return fail({
      code: 'does-not-fit',
      path: ['text'],
      value: chained.length,
      allowed: { max: most },
    });
  const shapes = chained.flatMap((s, i): FoundShape[] => {
    const closed = meets(endOf(s), s.start, tolerance);
    const shape = foundShape(
      `shape ${i + 1}`,
      closed ? closeUp(s) : { start: s.start, segments: s.segments },
      closed,
    );
    if (!shape) leftOut.add(TOO_INTRICATE);
    return shape ? [shape] : [];
  });
  const unit = Number((parsed.header as Record<string, unknown> | undefined)?.['$INSUNITS'] ?? 0);
  return ok({ shapes, unitM: INSUNITS[unit] ?? null, leftOut: leftOut.list() });
}
