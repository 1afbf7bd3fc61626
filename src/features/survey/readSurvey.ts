import { COUNT_LIMITS } from '@/core/coat';
import { centrePath, checkShape, shiftPath, type Point, type Shape } from '@/core/geometry';
import { partition } from '@/core/places';
import type { Issue } from '@/core/result';
import type { Damage, Relief } from '@/core/piece';
import type { AreaCut, LevelReading } from '@/records';
import type { Survey, SurveyedArea } from '@/data/repos/survey';
import { placedAreas } from '@/shop/placed';
import { DAY_ASKED, readDay } from '@/features/common/day';
import { FieldReader } from '@/features/common/fieldReader';
import type { Format } from '@/features/common/useFormat';
import { ComputeError } from '@/workers/client';
import { damageSizes } from './damageSizes';
import type { AreaDraft, LevelDraft, SurveyDraft } from './draft';
import { cutTrouble, readCut } from './places';
import { EDGE_LIMITS, readEdges } from './readEdges';
import { readShape } from './readShape';

type Reader = FieldReader<string>;

/** What the survey says: the record, or a message for each field that is wrong, by its path. */
export type SurveyRead =
  | { readonly ok: true; readonly value: Survey }
  | { readonly ok: false; readonly errors: Readonly<Record<string, string>> };

const FIELD_OF: Readonly<Record<string, string>> = {
  widthM: 'width',
  diameterM: 'width',
  sizeM: 'width',
  heightM: 'height',
  radiusM: 'radius',
  sides: 'sides',
  outer: 'outline',
  keepBare: 'outline',
};

function checkedShape(area: AreaDraft, reader: Reader, prefix: string): Shape | null {
  const shape = readShape(area, reader, prefix);
  if (!reader.sound || !shape) return null;
  const checked = checkShape(shape);
  if (checked.ok) return shape;
  for (const issue of checked.issues) {
    const field = prefix + (FIELD_OF[String(issue.path[0])] ?? 'width');
    if (field.endsWith('outline')) reader.errors[field] ??= drawingTrouble(issue);
    else reader.issue(field, issue, 'length');
  }
  return null;
}

function readRelief(area: AreaDraft, reader: Reader, prefix: string): Relief[] {
  return area.relief.map((zone, i): Relief => {
    const key = `${prefix}relief.${i}.`;
    const greatestM = reader.quantity(`${key}greatest`, zone.greatest, 'length', {
      min: 0,
      max: 0.2,
    });
    return {
      kind: zone.kind,
      greatestM,
      meanM: reader.quantity(`${key}mean`, zone.mean, 'length', {
        min: 0,
        ...(Number.isFinite(greatestM) && { max: greatestM }),
      }),
      share: reader.quantity(`${key}share`, zone.share, 'share', { min: 0, max: 1 }),
    };
  });
}

function readDamage(area: AreaDraft, reader: Reader, prefix: string): Damage[] {
  return area.damage.map((damage, i): Damage => {
    const sizes = damageSizes(damage.kind);
    const read = (size: 'length' | 'width' | 'depth', max: number) =>
      sizes.includes(size)
        ? reader.quantity(`${prefix}damage.${i}.${size}`, damage[size], 'length', {
            min: 1e-4,
            max,
          })
        : 0;
    return {
      kind: damage.kind,
      lengthM: read('length', 10),
      widthM: read('width', 10),
      depthM: read('depth', 0.2),
    };
  });
}

function readArea(area: AreaDraft, reader: Reader, prefix: string): SurveyedArea | null {
  const name = reader.text(`${prefix}name`, area.name, 120);
  const edges = readEdges(area, reader, prefix);
  const relief = readRelief(area, reader, prefix);
  const damage = readDamage(area, reader, prefix);
  const depthM =
    area.kind === 'recess'
      ? reader.quantity(`${prefix}depth`, area.depth, 'length', EDGE_LIMITS)
      : 0;
  const old = area.surface.kind === 'old resin';
  const ageDays =
    old && area.surface.age.trim() !== ''
      ? reader.plain(`${prefix}age`, area.surface.age, 0, 40_000)
      : null;
  const cuts = area.cuts.map((cut, i) => readCut(cut, reader, `${prefix}cuts.${i}.wall`));
  const shape =
    area.partOf === null ? checkedShape(area, reader, prefix) : readShape(area, reader, prefix);
  if (!shape) return null;
  const cut = partition(shape, cuts);
  if (!cut.ok) reader.errors[`${prefix}outline`] ??= cutTrouble(cut.issues[0]);
  const { id, kind, at, porosity, measured, partOf, bare } = area;
  return {
    ...{ id, name, kind, shape, at, depthM, edges, porosity, relief },
    surface: {
      ...{ kind: area.surface.kind, ageDays, sanded: old && area.surface.sanded },
      resin: old ? area.surface.resin : null,
    },
    ...{ damage, measured, cuts, partOf, bare },
  };
}

/** A slope as people write it: `0.4°`, or a rise (`2 mm`) over the length beside it. */
function readSlope(textOf: string, over: string, reader: Reader, field: string): number {
  const written = textOf.trim();
  if (written === '') return 0;
  const sign = /^[-−]/.test(written) ? -1 : 1;
  const size = written.replace(/^[-−+]\s*/, '');
  if (/°|deg/i.test(size)) {
    const degrees = Number.parseFloat(size.replace(',', '.'));
    if (degrees >= 0 && degrees <= 45) return sign * Math.tan((degrees * Math.PI) / 180);
    reader.errors[field] = 'An angle from 0° to 45°.';
    return NaN;
  }
  const run = reader.quantity('level.over', over, 'length', { min: 0.01, max: 10 });
  const rise = reader.quantity(field, size, 'length', { min: 0, max: 1 });
  return (sign * rise) / run;
}

export function readLevel(level: LevelDraft, reader: Reader): LevelReading | null {
  const none = level.alongX.trim() === '' && level.alongY.trim() === '';
  if (none && level.props.length === 0) return null;
  // Props that are placed are no reading.
  if (none) return { tilt: null, by: '', readMs: level.readMs, props: level.props };
  const tilt = {
    alongX: readSlope(level.alongX, level.over, reader, 'level.alongX'),
    alongY: readSlope(level.alongY, level.over, reader, 'level.alongY'),
  };
  return { tilt, by: level.by, readMs: level.readMs, props: level.props };
}

/** Reads the survey: the record in SI, or a message for every field that is wrong. */
export function readSurvey(draft: SurveyDraft, format: Format): SurveyRead {
  const reader = new FieldReader<string>(format);
  const name = reader.text('name', draft.name, 120);
  const count = reader.whole('count', draft.count, COUNT_LIMITS.min, COUNT_LIMITS.max);
  // Each area has its own reader: a fault of one does not hide those of another.
  const areas = draft.areas.map((area, i) => {
    const own = new FieldReader<string>(format);
    const read = readArea(area, own, `areas.${i}.`);
    Object.assign(reader.errors, own.errors);
    return read;
  });
  const dueMs = readDay(draft.due);
  if (dueMs === null && draft.due.trim() !== '') reader.errors['due'] = DAY_ASKED;
  const level = readLevel(draft.level, reader);
  // What cannot hang has no belly, whatever was typed before the support was changed.
  const bellyM =
    draft.support === 'canvas'
      ? reader.quantity('belly', draft.belly, 'length', { min: 0, max: 0.1 })
      : 0;
  const known = areas.filter((a) => a !== null);
  if (!reader.sound || known.length !== areas.length)
    return { ok: false, errors: reader.errors as Record<string, string> };
  const { support, note, job, use, marks } = draft;
  const told = { name, count, support, note: note.trim(), job: job.trim(), dueMs, use };
  const value = centred({ ...told, marks, level, bellyM, areas: known });
  return { ok: true, value: { ...value, areas: placedAreas(value.areas) } };
}

/**
 * A survey whose drawn outlines lie about their own middle. The face stays where the plan's origin is, so
 * what is marked on the plan moves with it.
 */
function centred(survey: Survey): Survey {
  const [face] = survey.areas;
  const move =
    face?.shape.kind === 'outline' ? centrePath(face.shape.outer).shift : ([0, 0] as const);
  const moved = (p: Point): Point => [p[0] + move[0], p[1] + move[1]];
  const { level } = survey;
  return {
    ...survey,
    marks: survey.marks.map((m) => ({ ...m, at: moved(m.at) })),
    level: level && { ...level, props: level.props.map(moved) },
    areas: survey.areas.map((area, i): SurveyedArea => {
      // The first face, and what is seen by itself, lie where they lie; the others are moved with the plan.
      const apart = i > 0 && (area.kind === 'recess' || area.kind === 'face');
      const at = apart ? moved(area.at) : area.at;
      // A place is cut from its face as that lies then.
      if (area.shape.kind !== 'outline' || area.partOf !== null) return { ...area, at };
      const { path, shift } = centrePath(area.shape.outer);
      const { measured } = area;
      return {
        ...area,
        at: apart ? [at[0] - shift[0], at[1] - shift[1]] : [0, 0],
        shape: {
          kind: 'outline',
          outer: path,
          keepBare: area.shape.keepBare.map((bare) => shiftPath(bare, shift)),
        },
        cuts: area.cuts.map((cut): AreaCut => ({
          ...cut,
          points: cut.points.map(([x, y]): Point => [x + shift[0], y + shift[1]]),
        })),
        measured:
          measured.by === 'photo'
            ? {
                ...measured,
                box: {
                  left: measured.box.left + shift[0],
                  right: measured.box.right + shift[0],
                  low: measured.box.low + shift[1],
                  high: measured.box.high + shift[1],
                },
              }
            : measured,
      };
    }),
  };
}

/** The words for what is wrong with an outline: an issue of core, or an error of reading. */
export function drawingTrouble(what: Issue | Error | undefined): string {
  if (what instanceof ComputeError) {
    const [fault] = what.faults;
    if (fault?.code === 'does-not-fit') return 'This drawing is too large: simplify it first.';
    return `This file is refused: ${fault?.value ?? what.message}.`;
  }
  if (what instanceof Error) return what.message;
  if (what?.code === 'out-of-range' && what.value === 0) return 'This outline has no area.';
  if (what?.code === 'out-of-range')
    return 'The outline is not between 1 mm and 10 m. Choose another unit or size.';
  const bare = what?.path[0] === 'keepBare';
  if (what?.code === 'does-not-fit')
    return bare && what.value === 'outside'
      ? 'A part that stays bare lies outside the outline.'
      : 'This outline is too intricate: draw it with fewer points.';
  if (what?.code === 'not-allowed')
    return `${bare ? 'A part that stays bare' : 'This outline'} crosses itself near ${(what.value as readonly number[]).map((v) => `${(v * 1000).toFixed(0)} mm`).join(', ')} from its middle.`;
  return 'Choose a closed shape as the outline.';
}
