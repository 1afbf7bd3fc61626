import { LAYER_FACTS, liesOver } from '../../coat';
import type { PrepContext } from '../context';
import type { PrepArea, PrepCoat } from '../facts';
import { need } from '../materials';
import type { PrepRule, TaskDraft } from '../task';
import { belowOn, handledMs } from './below';
import { isDelicate } from './layers';
import { isOldResin, softBelow } from './tooth';

const TRADE = 'Common practice, no source.';
/** Alcohol for a barely damp cloth, m (ml/m² · 1e-6), and area that one cloth takes, m². Judgement, no source. */
const WIPE = { alcoholM: 30e-6, clothM2: 0.25 } as const;
/** Sticky tape for lint, m for each m². Judgement, no source. */
const LINT_PER_M2 = 15;

const LOOSE = ['fine glitter', 'flakes', 'sand', 'stones'] as const;
/** Whether grains that may come loose lie on an area. */
export const isStrewn = (area: PrepArea) =>
  area.relief.some((r) => LOOSE.some((k) => k === r.kind));
const isLeafed = (area: PrepArea) => area.relief.some((r) => r.kind === 'leaf');

/** What cleans a surface without harm. */
type Means = 'alcohol' | 'alcohol after a trial' | 'tape' | 'brush';

/** What lies right under a coat and is not resin: nothing was poured over it yet. */
function layersUnder(facts: PrepContext, coat: PrepCoat, area: PrepArea) {
  if (facts.layers.length === 0) return [];
  const below = facts.coats.filter(
    (c) => c.order < coat.order && liesOver(c) && c.areaIds.includes(area.id),
  );
  const top = Math.max(0, ...below.map((c) => c.order));
  const placeOf = (over: string | null) => facts.coats.find((c) => c.id === over)?.order ?? 0;
  return facts.layers.filter(
    (l) => l.areaIds.includes(area.id) && placeOf(l.over) >= top && placeOf(l.over) < coat.order,
  );
}

const SOFT_LAYERS = ['leaf', 'loose grains', 'glitter in varnish', 'gilding'] as const;

/** What cleans an area before a coat. Common practice, no source. */
function cleanedBy(facts: PrepContext, coat: PrepCoat, area: PrepArea): Means {
  const layers = layersUnder(facts, coat, area).filter((l) => !LAYER_FACTS[l.kind].wipe);
  if (layers.some((l) => SOFT_LAYERS.some((k) => k === l.kind))) return 'brush';
  if (layers.length > 0) return 'tape';
  if (belowOn(facts, coat).has(area.id) || isOldResin(facts, area)) return 'alcohol';
  if (isLeafed(area) || isStrewn(area)) return 'brush';
  const fresh = area.surface.kind === 'painted' || area.porosity !== 'sealed';
  const cloth = facts.support === 'canvas' || facts.support === 'paper on board';
  if (isDelicate(area) || fresh || cloth) return 'tape';
  return facts.support === 'plastic' ? 'alcohol after a trial' : 'alcohol';
}

/** Areas under a coat that can be wiped or pressed on: not those whose film is still soft, inside its window. */
function firmUnder(facts: PrepContext, coat: PrepCoat): readonly PrepArea[] {
  const soft = softBelow(facts, coat)?.areaIds ?? [];
  return facts.areasOf(coat).filter((a) => !soft.includes(a.id));
}

/** Not before what lies below can be touched. */
const touchable = (facts: PrepContext, areas: readonly PrepArea[]) => {
  const notBeforeMs = handledMs(
    facts,
    areas.map((a) => a.id),
  );
  return notBeforeMs === null ? {} : { notBeforeMs };
};

const total = (areas: readonly PrepArea[]) => areas.reduce((sum, a) => sum + a.areaM2, 0);

const eachCoat = (
  facts: PrepContext,
  fits: (coat: PrepCoat, area: PrepArea) => boolean,
  told: (coat: PrepCoat, areas: readonly PrepArea[], m2: number) => Partial<TaskDraft> | null,
): TaskDraft[] =>
  facts.waiting.flatMap((coat) => {
    const areas = firmUnder(facts, coat).filter((a) => fits(coat, a));
    const draft = told(coat, areas, total(areas) * facts.count);
    const areaIds = areas.map((a) => a.id);
    return draft
      ? [{ on: coat.id, coatId: coat.id, areaIds, ...touchable(facts, areas), ...draft }]
      : [];
  });

const hasWalls = (area: PrepArea) =>
  area.kind === 'recess' || area.edges.some((e) => e.kind === 'mould');
const isWiped = (means: Means) => means === 'alcohol' || means === 'alcohol after a trial';

/** Wiping before a coat; inside the recoat window it is left out, and that is told. */
function wipeDraft(
  facts: PrepContext,
  coat: PrepCoat,
  areas: readonly PrepArea[],
  m2: number,
): Partial<TaskDraft> | null {
  const soft = softBelow(facts, coat);
  if (areas.length === 0)
    return soft && firmUnder(facts, coat).length === 0
      ? {
          areaIds: soft.areaIds,
          title: 'No alcohol inside the recoat window',
          how: 'It would dull the tacky film. Keep the cover on until the pour; a hair is lifted with a pick, not with tape.',
          reason: 'A tacky film takes up alcohol and goes dull.',
          cautions: ['skin'],
          notBeforeMs: soft.opensMs,
          skippedUntilMs: soft.shutsMs,
        }
      : null;
  const tried = areas.some((a) => cleanedBy(facts, coat, a) === 'alcohol after a trial');
  const mould = areas.some((a) => a.edges.some((e) => e.kind === 'mould'));
  return {
    ...(tried && {
      title: 'Wipe with alcohol, tried on an unseen spot first',
      how: 'Some plastics craze: a drop on the back, five minutes, no whitening and no hair cracks. Then one barely damp wipe, a fresh side of the cloth for each pass.',
    }),
    ...(mould && {
      how: 'Clean gloves from here on. The face, then the walls of the mould down from the rim; a fresh side of the cloth for each pass, let it flash off.',
    }),
    materials: [
      need(
        'alcohol',
        m2 * WIPE.alcoholM,
        'A · h',
        ['area, all pieces, A', m2, 'area'],
        ['barely damp, h', WIPE.alcoholM, 'film', 'rule of thumb'],
      ),
      need(
        'lint-free cloth',
        Math.max(1, Math.ceil(m2 / WIPE.clothM2)),
        '⌈A / 0.25 m²⌉',
        ['area, all pieces, A', m2, 'area'],
        ['area of one cloth', WIPE.clothM2, 'area', 'rule of thumb'],
      ),
    ],
  };
}

export const CLEAN_RULES: readonly PrepRule[] = [
  {
    id: 'brush off',
    step: 'wipe',
    title: 'Lift lint with a soft brush or air',
    how: 'A soft dry brush, or cold air from a hand’s width away; no tape and no cloth: they take leaf and grains with them.',
    reason: 'A hair in the film shows as a row of dots.',
    source: TRADE,
    needed: true,
    find: (facts) =>
      eachCoat(
        facts,
        (coat, a) => cleanedBy(facts, coat, a) === 'brush',
        (_, areas) => (areas.length > 0 ? {} : null),
      ),
  },
  {
    id: 'lint',
    step: 'wipe',
    title: 'Lift lint with sticky tape',
    how: 'Press and lift, first the floor and then the walls; no alcohol on fresh paint, medium, ink or cloth.',
    reason: 'A hair in the film shows as a row of dots, and alcohol softens what is fresh.',
    source: TRADE,
    needed: true,
    find: (facts) =>
      eachCoat(
        facts,
        (coat, a) => cleanedBy(facts, coat, a) === 'tape' || hasWalls(a),
        (_, areas, m2) =>
          areas.length > 0
            ? {
                materials: [
                  need('lint tape', m2 * LINT_PER_M2, 'A · 15 m/m²', [
                    'area, all pieces, A',
                    m2,
                    'area',
                  ]),
                ],
              }
            : null,
      ),
  },
  {
    id: 'wipe',
    step: 'wipe',
    title: 'Wipe with alcohol, barely damp',
    how: 'Clean gloves from here on. One wipe, a fresh side of the cloth for each pass, let it flash off.',
    reason: 'Finger oil makes resin draw back in fish eyes.',
    source: `${TRADE} Amount: 30 ml/m², a cloth for 0.25 m².`,
    needed: true,
    cautions: ['solvent', 'skin'],
    find: (facts) =>
      eachCoat(
        facts,
        (coat, a) => isWiped(cleanedBy(facts, coat, a)),
        (coat, areas, m2) => wipeDraft(facts, coat, areas, m2),
      ),
  },
];
