import { reliefRoom, shareProud } from '../../coat';
import type { PrepContext } from '../context';
import type { PrepArea, PrepCoat } from '../facts';
import { gritSequence } from '../grit';
import { need } from '../materials';
import type { DefectKind } from '../../piece';
import type { PrepRule, TaskDraft } from '../task';
import { below } from './below';
import { filmOn, sanding } from './sandWork';

const TRADE = 'Common practice, no source.';
const SCRATCHES =
  'Grain sizes FEPA 43 / ISO 6344, from memory; scratch depths are a rule of thumb.';
/** The grit of each school, from its range 80–120 and 220–320. */
const TOOTH_GRIT = { coarse: 100, fine: 240 } as const;
/** Spot that one nib or pit needs, m². Judgement, no source. */
const SPOT_M2 = 20e-4;
/** Strip along an edge that a lip or drips need, m, and matter for each metre, m². Judgement, no source. */
const LIP = { widthM: 10e-3, sectionM2: 0.25e-6 } as const;
const DRIPS = { widthM: 15e-3, sectionM2: 2e-6 } as const;

interface Tooth {
  readonly areas: readonly PrepArea[];
  /** Not before the coat below can be handled. */
  readonly notBeforeMs?: number;
  /** Inside its recoat window nothing is sanded, until it shuts. */
  readonly window?: { readonly opensMs: number; readonly shutsMs: number };
}

/** Several rules ask for the tooth of the same coats. */
const known = new WeakMap<PrepContext, Map<string, Tooth | null>>();

/** Where a coat needs tooth, or why not yet; null when there is nothing to key. */
function toothOf(facts: PrepContext, coat: PrepCoat): Tooth | null {
  const here = known.get(facts) ?? new Map<string, Tooth | null>();
  known.set(facts, here);
  const found = here.get(coat.id);
  if (found !== undefined) return found;
  const tooth = findTooth(facts, coat);
  here.set(coat.id, tooth);
  return tooth;
}

function findTooth(facts: PrepContext, coat: PrepCoat): Tooth | null {
  const areas = facts.areasOf(coat);
  const under = below(facts, coat);
  const always = facts.schools.recoat === 'always sand';
  if (!under) {
    const old = areas.filter((a) => a.surface.kind === 'old resin' && !a.surface.sanded);
    return old.length > 0 ? { areas: old } : null;
  }
  const shared = areas.filter((a) => under.areaIds.includes(a.id));
  if (!under.poured) return always ? { areas: shared } : null;
  const { recoatOpensMs, recoatClosesMs, handleMs } = under.poured;
  if (always || facts.nowMs >= recoatClosesMs) return { areas: shared, notBeforeMs: handleMs };
  return { areas: shared, window: { opensMs: recoatOpensMs, shutsMs: recoatClosesMs } };
}

/** Whether a coat's ground is sanded for tooth. */
export const isToothed = (facts: PrepContext, coat: PrepCoat): boolean => {
  const tooth = toothOf(facts, coat);
  return tooth !== null && tooth.window === undefined;
};

/** The recoat window that a coat goes into, and the areas below it that are still soft; null where nothing is. */
export function softBelow(
  facts: PrepContext,
  coat: PrepCoat,
): {
  readonly areaIds: readonly string[];
  readonly opensMs: number;
  readonly shutsMs: number;
} | null {
  const tooth = toothOf(facts, coat);
  return tooth?.window ? { areaIds: tooth.areas.map((a) => a.id), ...tooth.window } : null;
}

/** Tooth for one coat: to be sanded, to be skipped until, or nothing. */
function toothDraft(facts: PrepContext, coat: PrepCoat): TaskDraft | null {
  const tooth = toothOf(facts, coat);
  if (!tooth) return null;
  const { areas, notBeforeMs, window } = tooth;
  const base = { on: coat.id, coatId: coat.id, areaIds: areas.map((a) => a.id) };
  if (window)
    return {
      ...base,
      title: 'No sanding inside the recoat window',
      how: 'Touch with a gloved fingertip: tack, no strings. Then the next coat bonds without tooth.',
      notBeforeMs: window.opensMs,
      skippedUntilMs: window.shutsMs,
    };
  const told = {
    why: 'tooth',
    key: `tooth:${coat.id}`,
    grits: [TOOTH_GRIT[facts.schools.tooth]],
  } as const;
  return {
    ...base,
    ...sanding(facts, areas, coat, told),
    ...(notBeforeMs !== undefined && { notBeforeMs }),
  };
}

interface Flattening {
  readonly grits: readonly number[];
  readonly spot?: (facts: PrepContext, area: PrepArea) => { areaM2: number; removeM3: number };
}

const alongEdges =
  ({ widthM, sectionM2 }: { widthM: number; sectionM2: number }) =>
  (_: PrepContext, area: PrepArea) => {
    const lengthM = area.edges.reduce((sum, e) => sum + (e.kind === 'doming' ? 0 : e.lengthM), 0);
    return { areaM2: lengthM * widthM, removeM3: lengthM * sectionM2 };
  };
const spot = () => ({ areaM2: SPOT_M2, removeM3: 0 });
const proud = (facts: PrepContext, area: PrepArea) => {
  const film = filmOn(facts, area.id) ?? 0;
  return {
    areaM2: area.areaM2 * shareProud(area.relief, film),
    removeM3: area.areaM2 * reliefRoom(area.relief, film, Infinity),
  };
};

/** Cured faults that sanding puts right, and how coarse it begins. Common practice, no source. */
const FLATTEN: Readonly<Partial<Record<DefectKind, Flattening>>> = {
  'dust nib': { grits: [220, 320], spot },
  bubbles: { grits: [120, 220], spot },
  'tape lip': { grits: [120, 220], spot: alongEdges(LIP) },
  drips: { grits: [80, 120, 220], spot: alongEdges(DRIPS) },
  'proud relief': { grits: [80, 120, 220], spot: proud },
  dimples: { grits: [120, 220] },
  'fish eye': { grits: [120, 220] },
  peeling: { grits: [80, 120, 220] },
  haze: { grits: [220, 320] },
  scratches: { grits: [220, 320] },
};

/** Where faults are sanded flat before the next coat. */
function flattenAreas(facts: PrepContext): readonly PrepArea[] {
  const next = facts.waiting[0];
  return next ? facts.areasOf(next).filter((a) => facts.on(a.id).last) : [];
}

/** Whether anything is sanded flat before the next coat. */
export const flattens = (facts: PrepContext): boolean =>
  facts.defects.some((d) => FLATTEN[d.kind]) && flattenAreas(facts).length > 0;

function flattenDrafts(facts: PrepContext): TaskDraft[] {
  const areas = flattenAreas(facts);
  const next = facts.waiting[0] ?? null;
  const notBeforeMs = facts.lying.at(-1)?.poured?.handleMs;
  return facts.defects.flatMap((defect) => {
    const kind = FLATTEN[defect.kind];
    const [first] = areas;
    if (!kind || !first || !next || notBeforeMs === undefined) return [];
    const told = kind.spot?.(facts, first);
    return [
      {
        on: defect.id,
        coatId: next.id,
        areaIds: areas.map((a) => a.id),
        title: `Sand flat: ${defect.kind}`,
        notBeforeMs,
        ...sanding(facts, areas, next, {
          why: 'flatten',
          key: `flatten:${defect.id}`,
          grits: kind.grits,
          ...told,
        }),
      },
    ];
  });
}

const ownSanding = (facts: PrepContext): TaskDraft[] =>
  facts.own.flatMap((own) => {
    if (own.kind !== 'sand') return [];
    const areas = facts.areas.filter((a) => own.areaIds.includes(a.id));
    const next = facts.waiting[0] ?? null;
    return [
      {
        on: own.key,
        coatId: next?.id ?? null,
        areaIds: own.areaIds,
        title: own.title,
        needed: own.needed,
        ...sanding(facts, areas, next, {
          why: 'own',
          key: `own sanding:${own.key}`,
          grits: gritSequence('P', own.fromGrit, own.toGrit),
        }),
      },
    ];
  });

/** Polish spread on the film, m (40 ml/m²). Judgement, no source. */
const POLISH_M = 40e-6;
const POLISHED: readonly DefectKind[] = ['scratches', 'dust nib', 'haze'];

export const SANDING_RULES: readonly PrepRule[] = [
  {
    id: 'shape paste',
    step: 'shape',
    title: 'Shape the dry paste',
    how: 'Take down what stands too high with P80, smooth with P220; brush out the dust, repaint.',
    reason: 'Paste is easily shaped before it is sealed, and not afterwards.',
    source: `${TRADE} ${SCRATCHES}`,
    needed: false,
    cautions: ['dust'],
    find: (facts) =>
      facts.ground
        .filter(({ area }) => area.relief.some((r) => r.kind === 'paste'))
        .map(({ area, coatId }) => {
          const share = area.relief.reduce((s, r) => s + (r.kind === 'paste' ? r.share : 0), 0);
          const next = facts.waiting.find((c) => c.id === coatId) ?? null;
          const plan = {
            why: 'shape',
            key: '',
            grits: [80, 220],
            areaM2: area.areaM2 * share,
          } as const;
          return { on: area.id, coatId, areaIds: [area.id], ...sanding(facts, [area], next, plan) };
        }),
  },
  {
    id: 'flatten',
    step: 'sand',
    title: 'Sand flat',
    how: 'Flat block over the fault and a little round it, until the light no longer breaks.',
    reason: 'A fault that stands up or sinks in shows through the next coat.',
    source: `${TRADE} ${SCRATCHES}`,
    needed: true,
    cautions: ['dust'],
    find: flattenDrafts,
  },
  {
    id: 'tooth',
    step: 'sand',
    title: 'Sand for tooth',
    how: 'By hand, even and matt all over, only where the next coat will cover: scratches outside it stay visible.',
    reason: 'A coat that has cured hard gives the next one nothing to hold: it can peel.',
    source: `${TRADE} ${SCRATCHES}`,
    needed: true,
    cautions: ['dust'],
    find: (facts) => facts.waiting.map((c) => toothDraft(facts, c)).filter((d) => d !== null),
  },
  {
    id: 'own sanding',
    step: 'sand',
    title: 'Sand',
    how: 'As you planned it: each grit takes out the scratches of the one before.',
    reason: 'Added by you.',
    source: SCRATCHES,
    needed: true,
    cautions: ['dust'],
    find: ownSanding,
  },
  {
    id: 'polish',
    step: 'sand',
    title: 'Polish to gloss',
    how: 'Wet from grit to grit, each across the last, then polish on a soft cloth; keep it cool.',
    reason: 'No further coat comes to hide the scratches.',
    source: SCRATCHES,
    needed: false,
    cautions: ['dust'],
    find: (facts) => {
      const top = facts.lying.at(-1);
      const wanted = facts.defects.some((d) => POLISHED.includes(d.kind));
      if (!top?.poured || facts.waiting.length > 0 || !wanted) return [];
      const areas = facts.areasOf(top);
      const plan = {
        why: 'polish',
        key: `polish:${top.id}`,
        grits: gritSequence('P', 400, 2500),
      } as const;
      const told = sanding(facts, areas, null, plan);
      const area = told.sanding?.areaM2 ?? 0;
      return [
        {
          on: top.id,
          coatId: null,
          areaIds: areas.map((a) => a.id),
          notBeforeMs: top.poured.handleMs,
          ...told,
          materials: [
            ...(told.materials ?? []),
            need(
              'polish',
              area * POLISH_M,
              'A · h',
              ['area, A', area, 'area'],
              ['polish, h', POLISH_M, 'film', 'rule of thumb'],
            ),
          ],
        },
      ];
    },
  },
];
