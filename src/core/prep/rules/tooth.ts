import { shareProud } from '../../coat';
import type { PrepContext } from '../context';
import type { PrepArea, PrepCoat } from '../facts';
import type { PrepRule, TaskDraft } from '../task';
import { belowOn } from './below';
import { filmOn, sanding } from './sandWork';

const TRADE = 'Common practice, no source.';
/** Where sanding rules take their numbers from. */
export const SCRATCHES =
  'Grain sizes FEPA 43 / ISO 6344, from memory; scratch depths are a rule of thumb.';
/** The grit of each school, from its range 80–120 and 220–320. */
const TOOTH_GRIT = { coarse: 100, fine: 240 } as const;
/** Scuffing of plastic that is too smooth to hold resin. Common practice, no source. */
const SCUFF_GRIT = 320;
/** Old resin that is younger may still be inside its window, days. Common practice (first cure), no source. */
const YOUNG_DAYS = 1;

interface Tooth {
  /** Areas that are hard, or bare plastic. */
  readonly hard: readonly PrepArea[];
  /** Not before what lies below can be handled. */
  readonly notBeforeMs?: number;
  /** Areas whose film is inside its recoat window or before it: nothing is sanded there until it shuts. */
  readonly soft: readonly PrepArea[];
  readonly window: { readonly opensMs: number; readonly shutsMs: number } | null;
}

/** Several rules ask for the tooth of the same coats. */
const known = new WeakMap<PrepContext, Map<string, Tooth>>();

function toothOf(facts: PrepContext, coat: PrepCoat): Tooth {
  const here = known.get(facts) ?? new Map<string, Tooth>();
  known.set(facts, here);
  const tooth = here.get(coat.id) ?? findTooth(facts, coat);
  here.set(coat.id, tooth);
  return tooth;
}

/** Old resin that no coat of ours covers; a casting whose surface nobody told is one. */
export const isOldResin = ({ support }: Pick<PrepContext, 'support'>, { surface }: PrepArea) =>
  surface.kind === 'old resin' || (support === 'cured resin' && surface.kind === 'bare');

const isSmooth = ({ support }: PrepContext, { surface }: PrepArea): boolean =>
  support === 'plastic' && surface.kind === 'bare';

function findTooth(facts: PrepContext, coat: PrepCoat): Tooth {
  const always = facts.schools.recoat === 'always sand';
  const under = belowOn(facts, coat);
  const hard: PrepArea[] = [];
  const soft: PrepArea[] = [];
  const handled: number[] = [];
  const windows: { opensMs: number; shutsMs: number }[] = [];
  for (const area of facts.areasOf(coat)) {
    const lower = under.get(area.id);
    if (!lower) {
      if (!area.surface.sanded && (isOldResin(facts, area) || isSmooth(facts, area)))
        hard.push(area);
    } else if (!lower.poured) {
      if (always) hard.push(area);
    } else if (always || facts.nowMs >= lower.poured.recoatClosesMs) {
      hard.push(area);
      handled.push(lower.poured.handleMs);
    } else {
      soft.push(area);
      const { recoatOpensMs: opensMs, recoatClosesMs: shutsMs } = lower.poured;
      windows.push({ opensMs, shutsMs });
    }
  }
  return {
    hard,
    soft,
    ...(handled.length > 0 && { notBeforeMs: Math.max(...handled) }),
    window:
      windows.length > 0
        ? {
            opensMs: Math.max(...windows.map((w) => w.opensMs)),
            shutsMs: Math.min(...windows.map((w) => w.shutsMs)),
          }
        : null,
  };
}

/** Whether a coat's ground is sanded for tooth. */
export const isToothed = (facts: PrepContext, coat: PrepCoat): boolean =>
  toothOf(facts, coat).hard.length > 0;

/** The recoat window that a coat goes into, and the areas below it that are still soft; null where nothing is. */
export function softBelow(
  facts: PrepContext,
  coat: PrepCoat,
): {
  readonly areaIds: readonly string[];
  readonly opensMs: number;
  readonly shutsMs: number;
} | null {
  const { soft, window } = toothOf(facts, coat);
  return window ? { areaIds: soft.map((a) => a.id), ...window } : null;
}

/** Share of an area whose relief stands up through what lies on it, 0…1. */
function proudOn(facts: PrepContext, area: PrepArea): number {
  const filmM = filmOn(facts, area.id);
  return filmM === null ? 0 : shareProud(area.relief, filmM);
}

/** How an area asks for its tooth, where that is not plain sanding. */
function hardDraft(facts: PrepContext, coat: PrepCoat, hard: readonly PrepArea[]) {
  const under = belowOn(facts, coat);
  const plastic = hard.every((a) => isSmooth(facts, a) && !under.has(a.id));
  if (plastic)
    return {
      title: 'Scuff the plastic',
      how: `P${SCUFF_GRIT}, even and matt all over; no heat, and try the cloth’s alcohol on an unseen spot.`,
      reason: 'Smooth plastic gives resin nothing to hold: it can be peeled off like a skin.',
    };
  if (hard.some((a) => proudOn(facts, a) > 0))
    return {
      title: 'Sand for tooth between what stands up',
      how: 'A folded strip or an abrasive pad between the relief; what stands up is not cut down. Better next time: recoat inside the window.',
    };
  const young = hard.some(
    (a) => !under.has(a.id) && a.surface.ageDays !== null && a.surface.ageDays < YOUNG_DAYS,
  );
  return young
    ? {
        how: 'It is younger than a day: touch it first with a gloved fingertip. Tack that pulls no strings, from a right mix: leave this step out with that as the reason. Else sand, even and matt all over.',
      }
    : {};
}

/** Tooth for one coat: to be sanded, to be skipped until, both on different areas, or nothing. */
function toothDrafts(facts: PrepContext, coat: PrepCoat): TaskDraft[] {
  const { hard, soft, notBeforeMs, window } = toothOf(facts, coat);
  const drafts: TaskDraft[] = [];
  if (hard.length > 0) {
    const own = hardDraft(facts, coat, hard);
    drafts.push({
      on: coat.id,
      coatId: coat.id,
      areaIds: hard.map((a) => a.id),
      ...own,
      ...sanding(facts, hard, coat, {
        why: 'tooth',
        key: `tooth:${coat.id}`,
        grits: [own.title === 'Scuff the plastic' ? SCUFF_GRIT : TOOTH_GRIT[facts.schools.tooth]],
        spare: (area) => proudOn(facts, area),
      }),
      ...(notBeforeMs !== undefined && { notBeforeMs }),
    });
  }
  if (window) {
    const proud = soft.some((a) => proudOn(facts, a) > 0);
    drafts.push({
      on: hard.length > 0 ? `${coat.id}.window` : coat.id,
      coatId: coat.id,
      areaIds: soft.map((a) => a.id),
      title: proud
        ? 'Recoat inside the window: relief stands up'
        : 'No sanding inside the recoat window',
      how: proud
        ? 'Later only the resin between what stands up can be sanded, by hand and badly. Touch with a gloved fingertip: tack, no strings; then coat.'
        : 'Touch with a gloved fingertip: tack, no strings. Then the next coat bonds without tooth.',
      reason: 'The film is still open: the next coat grows together with it.',
      cautions: ['skin'],
      notBeforeMs: window.opensMs,
      skippedUntilMs: window.shutsMs,
    });
  }
  return drafts;
}

export const TOOTH_RULES: readonly PrepRule[] = [
  {
    id: 'tooth',
    step: 'sand',
    title: 'Sand for tooth',
    how: 'By hand, even and matt all over, only where the next coat will cover: scratches outside it stay visible.',
    reason: 'A coat that has cured hard gives the next one nothing to hold: it can peel.',
    source: `${TRADE} ${SCRATCHES}`,
    needed: true,
    cautions: ['dust'],
    find: (facts) => facts.waiting.flatMap((c) => toothDrafts(facts, c)),
  },
];
