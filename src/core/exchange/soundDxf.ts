import type { LeftOutList } from './drawing';

/** One record of a DXF: a `0` group with its name, and the groups that follow it. */
interface Entity {
  readonly type: string;
  readonly groups: (readonly [number, string])[];
}

/** Entities that have an outline, and the groups of them that are used; all hold numbers. */
const USED: Readonly<Record<string, readonly number[]>> = {
  LINE: [10, 20, 11, 21],
  LWPOLYLINE: [70, 10, 20, 42],
  POLYLINE: [70],
  VERTEX: [10, 20, 42, 70],
  SEQEND: [],
  CIRCLE: [10, 20, 40],
  ARC: [10, 20, 40, 50, 51],
  ELLIPSE: [10, 20, 11, 21, 40, 41, 42],
  SPLINE: [70, 71, 40, 10, 20],
};

/** A record with its used groups only, or null when one is no number or a point lacks its y. */
function cleaned({ type, groups }: Entity): string[] | null {
  const used = groups.filter(([code]) => USED[type]?.includes(code));
  const sound = used.every(([code, value], i) => {
    if (value === '' || !Number.isFinite(Number(value))) return false;
    const wantsY = code === 10 || code === 11;
    const isY = code === 20 || code === 21;
    if (wantsY) return used[i + 1]?.[0] === code + 10;
    return !isY || used[i - 1]?.[0] === code - 10;
  });
  if (!sound) return null;
  // The closed flag and the count come before the vertices, whatever the file said.
  const first = used.filter(([code]) => code === 70 || code === 71);
  const rest = used.filter(([code]) => code !== 70 && code !== 71);
  const count = rest.filter(([code]) => code === 10).length;
  const counted = type === 'LWPOLYLINE' ? [['90', String(count)]] : [];
  if (type === 'LWPOLYLINE' && count === 0) return null;
  return [['0', type], ...counted, ...[...first, ...rest].map(([c, v]) => [String(c), v])].flat();
}

/** Pairs of a whole-number code and a value up to EOF, or null when the file is not built so. */
function pairsOf(text: string): (readonly [number, string])[] | null {
  const lines = text.trimEnd().split(/\r\n|\r|\n/);
  const pairs: (readonly [number, string])[] = [];
  for (let i = 0; i + 1 < lines.length; i += 2) {
    if (!/^\s*-?\d+\s*$/.test(lines[i] ?? '')) return null;
    const pair = [Number(lines[i]), (lines[i + 1] ?? '').trim()] as const;
    if (pair[0] === 0 && pair[1] === 'EOF') return pairs;
    pairs.push(pair);
  }
  return null;
}

/** The records of the ENTITIES section, null when there is none. */
function entitiesOf(pairs: readonly (readonly [number, string])[]): Entity[] | null {
  const begin = pairs.findIndex(
    ([code, value], i) =>
      code === 2 &&
      value === 'ENTITIES' &&
      pairs[i - 1]?.[0] === 0 &&
      pairs[i - 1]?.[1] === 'SECTION',
  );
  if (begin < 0) return null;
  const entities: Entity[] = [];
  for (const [code, value] of pairs.slice(begin + 1)) {
    if (code === 0 && value === 'ENDSEC') return entities;
    if (code === 0) entities.push({ type: value, groups: [] });
    else entities[entities.length - 1]?.groups.push([code, value]);
  }
  return null;
}

/** Value of $INSUNITS in the header, or '0'. */
function unitsOf(pairs: readonly (readonly [number, string])[]): string {
  const at = pairs.findIndex(([code, value]) => code === 9 && value === '$INSUNITS');
  const next = pairs[at + 1];
  return at >= 0 && next?.[0] === 70 && /^\d+$/.test(next[1]) ? next[1] : '0';
}

/**
 * Writes a DXF anew with its unit and its outlines only: whole records of kinds that are read,
 * with the groups that are used, each POLYLINE with its vertices and its end. The general parser looks for
 * ever for ends and counts that are missing, so it is never given a file in which they could be.
 * @param text ASCII DXF @param leftOut told what was not kept
 * @returns the new text, or null when the file is not built as a DXF
 * Source: DXF reference, group codes (from memory).
 */
export function soundDxf(text: string, leftOut: LeftOutList): string | null {
  const pairs = pairsOf(text);
  const entities = pairs && entitiesOf(pairs);
  if (!pairs || !entities) return null;
  const kept: string[] = [];
  for (let i = 0; i < entities.length; i += 1) {
    const entity = entities[i];
    if (!entity) continue;
    let end = i;
    if (entity.type === 'POLYLINE') {
      while (entities[end + 1]?.type === 'VERTEX') end += 1;
      if (entities[end + 1]?.type === 'SEQEND') end += 1;
    }
    const records = entities.slice(i, end + 1);
    const whole = entity.type !== 'POLYLINE' || records[records.length - 1]?.type === 'SEQEND';
    const alone = entity.type === 'VERTEX' || entity.type === 'SEQEND';
    const clean = records.map((e) => (USED[e.type] ? cleaned(e) : null));
    if (whole && !alone && clean.every((c) => c !== null))
      for (const line of clean.flat()) kept.push(line);
    else leftOut.add(entity.type);
    i = end;
  }
  const header = [
    '0',
    'SECTION',
    '2',
    'HEADER',
    '9',
    '$INSUNITS',
    '70',
    unitsOf(pairs),
    '0',
    'ENDSEC',
  ];
  const body = ['0', 'SECTION', '2', 'ENTITIES', ...kept, '0', 'ENDSEC', '0', 'EOF'];
  return [...header, ...body, ''].join('\n');
}
