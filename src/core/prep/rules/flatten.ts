import { reliefRoom, shareProud } from '../../coat';
import type { DefectKind } from '../../piece';
import type { PrepContext } from '../context';
import type { PrepArea, PrepCoat, PrepDefect } from '../facts';
import type { PrepRule, TaskDraft } from '../task';
import { filmOn, sanding } from './sandWork';
import { SCRATCHES } from './tooth';

const TRADE = 'Common practice, no source.';
/** Spot that one nib or pit needs, m². Judgement, no source. */
const SPOT_M2 = 20e-4;
/** Strip along an edge that a lip or drips need, m, and matter for each metre, m². Judgement, no source. */
const LIP = { widthM: 10e-3, sectionM2: 0.25e-6 } as const;
const DRIPS = { widthM: 15e-3, sectionM2: 2e-6 } as const;

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

/** The areas of the coat that a fault is in. */
const areasWith = (facts: PrepContext, { coatId }: PrepDefect): readonly PrepArea[] => {
  const coat = facts.lying.find((c) => c.id === coatId);
  return coat ? facts.areasOf(coat) : facts.areas.filter((a) => facts.on(a.id).last);
};

/** The waiting coat that goes over a fault, and where it does. */
function overFault(facts: PrepContext, defect: PrepDefect) {
  const own = areasWith(facts, defect);
  const next = facts.waiting.find((c) => own.some((a) => c.areaIds.includes(a.id)));
  return { own, next, areas: next ? own.filter((a) => next.areaIds.includes(a.id)) : own };
}

/** Whether anything is sanded flat before this coat. */
export const flattens = (facts: PrepContext, coat: PrepCoat): boolean =>
  facts.defects.some((d) => FLATTEN[d.kind] && overFault(facts, d).next === coat);

function flattenDrafts(facts: PrepContext): TaskDraft[] {
  const notBeforeMs = facts.lying.at(-1)?.poured?.handleMs;
  return facts.defects.flatMap((defect) => {
    const kind = FLATTEN[defect.kind];
    const { areas, next } = overFault(facts, defect);
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

const FILED: Readonly<Partial<Record<DefectKind, { title: string; how: string }>>> = {
  'tape lip': {
    title: 'File the lip off',
    how: 'A fine file, flat on the edge and drawn away from the film; then a barely damp cloth.',
  },
  drips: {
    title: 'Take the drips off below',
    how: 'Warm them low, peel or cut away from the hand, file flush, repaint where paint came off.',
  },
};

/** Lips and drips that no further coat hides. */
const filedDrafts = (facts: PrepContext): TaskDraft[] =>
  facts.defects.flatMap((defect) => {
    const told = FILED[defect.kind];
    const { own, next } = overFault(facts, defect);
    const notBeforeMs = facts.lying.at(-1)?.poured?.handleMs;
    return told && !next && notBeforeMs !== undefined
      ? [{ on: defect.id, coatId: null, areaIds: own.map((a) => a.id), notBeforeMs, ...told }]
      : [];
  });

export const FLATTEN_RULES: readonly PrepRule[] = [
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
    id: 'file off',
    step: 'lip',
    title: 'File the lip off',
    how: '',
    reason: 'A lip or a drip is sharp to the hand, and a finished piece does not rock on drips.',
    source: TRADE,
    needed: true,
    cautions: ['dust', 'knife'],
    find: filedDrafts,
  },
];
