import { LAYER_FACTS, liesOver } from '../../coat';
import { LEVEL_SHARE, tolerableSlope } from '../../film';
import { HOLDS_MS } from '../again';
import type { PrepContext } from '../context';
import type { PrepArea, PrepCoat } from '../facts';
import { need } from '../materials';
import type { PrepRule, TaskDraft } from '../task';
import { handledMs } from './below';
import { flattens, isToothed, softBelow } from './tooth';
import { isDelicate } from './layers';

const TRADE = 'Common practice, no source.';
/** Alcohol for a barely damp cloth, m (ml/m² · 1e-6), and area that one cloth takes, m². Judgement, no source. */
const WIPE = { alcoholM: 30e-6, clothM2: 0.25 } as const;
/** Sticky tape for lint, m for each m². Judgement, no source. */
const LINT_PER_M2 = 15;
/** A canvas bellies under a coat of this thickness, m. Judgement, no source. */
const BELLY_M = 1e-3;

const LEVELLED = ['flood', 'dome', 'fill', 'art', 'back'] as const;
const isLevelled = (coat: PrepCoat) => LEVELLED.some((k) => k === coat.kind);

const eachCoat = (
  { waiting }: PrepContext,
  draft: (coat: PrepCoat) => Omit<TaskDraft, 'on' | 'coatId'> | null,
): TaskDraft[] =>
  waiting.flatMap((coat) => {
    const told = draft(coat);
    return told ? [{ on: coat.id, coatId: coat.id, ...told }] : [];
  });

/** Ink or leaf that nothing covers yet: no alcohol on it. */
const isBareArt = (facts: PrepContext, coat: PrepCoat, area: PrepArea): boolean =>
  isDelicate(area) &&
  !facts.on(area.id).top &&
  !facts.waiting.some((c) => c.order < coat.order && liesOver(c) && c.areaIds.includes(area.id));

/** A layer lies right under the coat that a damp cloth would take off: nothing was poured over it yet. */
function isUnwipable(facts: PrepContext, coat: PrepCoat, area: PrepArea): boolean {
  if (facts.layers.length === 0) return false;
  const below = facts.coats.filter(
    (c) => c.order < coat.order && liesOver(c) && c.areaIds.includes(area.id),
  );
  const top = Math.max(0, ...below.map((c) => c.order));
  const placeOf = (over: string | null) => facts.coats.find((c) => c.id === over)?.order ?? 0;
  return facts.layers.some(
    (l) =>
      l.areaIds.includes(area.id) &&
      placeOf(l.over) >= top &&
      !LAYER_FACTS[l.kind].wipe &&
      placeOf(l.over) < coat.order,
  );
}

/** A reading of the level counts until the piece is turned, and for as long as a level holds. */
const isOldReading = ({ slopeMs = null, turnedMs = null, nowMs }: PrepContext): boolean =>
  slopeMs !== null &&
  ((turnedMs !== null && turnedMs > slopeMs) || nowMs - slopeMs > (HOLDS_MS.level ?? Infinity));

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

const LOOSE = ['fine glitter', 'flakes', 'sand', 'stones'] as const;
const isStrewn = (area: PrepArea) => area.relief.some((r) => LOOSE.some((k) => k === r.kind));

const sandedFor = (facts: PrepContext, coat: PrepCoat): boolean =>
  isToothed(facts, coat) ||
  (facts.waiting[0] === coat && (flattens(facts) || facts.own.some((o) => o.kind === 'sand')));

const total = (areas: readonly PrepArea[]) => areas.reduce((sum, a) => sum + a.areaM2, 0);

export const BENCH_RULES: readonly PrepRule[] = [
  {
    id: 'loose parts',
    step: 'loose',
    title: 'Tap, brush and vacuum what is loose',
    how: 'Tap the piece on its edge, brush, then vacuum with a stocking in the nozzle: it saves what comes off.',
    reason: 'Loose glitter and sand float up and stand in the film.',
    source: TRADE,
    needed: true,
    find: (facts) =>
      facts.ground
        .filter(({ area }) => isStrewn(area))
        .map(({ area, coatId }) => ({ on: area.id, coatId, areaIds: [area.id] })),
  },
  {
    id: 'sanding dust',
    step: 'dust',
    title: 'Lift the sanding dust',
    how: 'Brush, vacuum, then a barely damp cloth: a soaking one drags abrasive dust about and scratches.',
    reason: 'Dust under the coat stays as haze and nibs.',
    source: TRADE,
    needed: true,
    cautions: ['dust'],
    find: (facts) =>
      eachCoat(facts, (coat) => (sandedFor(facts, coat) ? { areaIds: coat.areaIds } : null)),
  },
  {
    id: 'lint',
    step: 'wipe',
    title: 'Lift lint with sticky tape',
    how: 'Press and lift, first the floor and then the walls; no alcohol on bare ink or leaf.',
    reason: 'A hair in the film shows as a row of dots, and alcohol dissolves ink.',
    source: TRADE,
    needed: true,
    find: (facts) =>
      eachCoat(facts, (coat) => {
        const areas = firmUnder(facts, coat).filter(
          (a) => a.kind === 'recess' || isBareArt(facts, coat, a) || isUnwipable(facts, coat, a),
        );
        const m2 = total(areas) * facts.count;
        if (areas.length === 0) return null;
        return {
          areaIds: areas.map((a) => a.id),
          ...touchable(facts, areas),
          materials: [
            need('lint tape', m2 * LINT_PER_M2, 'A · 15 m/m²', ['area, all pieces, A', m2, 'area']),
          ],
        };
      }),
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
      eachCoat(facts, (coat) => {
        const areas = firmUnder(facts, coat).filter(
          (a) => !isBareArt(facts, coat, a) && !isUnwipable(facts, coat, a),
        );
        const soft = softBelow(facts, coat);
        if (areas.length === 0)
          return soft
            ? {
                areaIds: soft.areaIds,
                title: 'No alcohol inside the recoat window',
                how: 'It would dull the tacky film. Keep the cover on until the pour; a hair is lifted with a pick, not with tape.',
                notBeforeMs: soft.opensMs,
                skippedUntilMs: soft.shutsMs,
              }
            : null;
        const m2 = total(areas) * facts.count;
        return {
          areaIds: areas.map((a) => a.id),
          ...touchable(facts, areas),
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
      }),
  },
  {
    id: 'level',
    step: 'level',
    title: 'Level it on its props',
    how: 'Both ways on the propped piece, not on the table; the survey has a reading and the lift of each prop.',
    reason: 'Resin runs to the low side until it sets; a spirit level is often not fine enough.',
    source:
      'Final difference between dams: length × slope. Wanted: 10 % of the film, edge to edge (judgement).',
    needed: true,
    find: (facts) =>
      eachCoat(facts, (coat) => {
        if (!isLevelled(coat)) return null;
        const allowed = tolerableSlope(facts.spanM, coat.thicknessM, LEVEL_SHARE, 'edge to edge');
        const { slope } = facts;
        if (slope === null) return { areaIds: coat.areaIds };
        if (slope > allowed)
          return {
            areaIds: coat.areaIds,
            title: 'Level it again: out of level for this film',
            how: 'Wedge it, then read it anew on the survey: a tick alone does not count.',
            spoiled: 'out of level',
          };
        return isOldReading(facts)
          ? {
              areaIds: coat.areaIds,
              title: 'Level it again: the reading is old, or from before it was turned',
            }
          : null;
      }),
  },
  {
    id: 'belly',
    step: 'level',
    title: 'Prop the middle of the canvas',
    how: 'A board or stacked card under the cloth, just touching; less heat, for heat slackens it.',
    reason: 'Cloth sags under the coat and a pool collects in the middle.',
    source: TRADE,
    needed: false,
    find: (facts) =>
      eachCoat(facts, (coat) =>
        facts.support === 'canvas' && coat.thicknessM >= BELLY_M && coat.kind !== 'back'
          ? { areaIds: coat.areaIds }
          : null,
      ),
  },
  {
    id: 'warm air',
    step: 'warm',
    title: 'Pass warm air over the surface',
    how: 'First blow the gun’s own dust out, away from the work; then one slow pass, hand-warm, just before the coat.',
    reason: 'Moisture on the surface leaves a film under the coat.',
    source: TRADE,
    needed: false,
    cautions: ['hot air'],
    find: (facts) =>
      eachCoat(facts, (coat) =>
        facts.support === 'plastic'
          ? {
              areaIds: coat.areaIds,
              title: 'Let it stand in the warm room',
              how: 'An hour at room temperature in place of the hot-air pass: plastic softens and warps.',
              problems: ['heat on plastic'],
              cautions: ['plastic heat'],
            }
          : { areaIds: coat.areaIds },
      ),
  },
  {
    id: 'cover',
    step: 'cover',
    title: 'Cover ready',
    how: 'Tent, lidded box or a sheet over props that does not sag on to the piece; wiped out, within reach.',
    reason: 'Dust falls in the first minutes: the cover goes on at once.',
    source: TRADE,
    needed: false,
    find: (facts) => eachCoat(facts, (coat) => ({ areaIds: coat.areaIds })),
  },
  {
    id: 'own note',
    step: 'level',
    title: 'Your own step',
    how: 'Added by you.',
    reason: 'Added by you.',
    source: 'yours',
    needed: true,
    find: (facts) =>
      facts.own.flatMap((own) =>
        own.kind === 'note'
          ? [
              {
                on: own.key,
                coatId: facts.waiting[0]?.id ?? null,
                areaIds: own.areaIds,
                title: own.title,
                needed: own.needed,
              },
            ]
          : [],
      ),
  },
];
