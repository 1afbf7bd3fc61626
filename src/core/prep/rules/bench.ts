import { LEVEL_SHARE, tolerableSlope } from '../../film';
import { HOLDS_MS } from '../again';
import type { PrepContext } from '../context';
import type { PrepCoat, PrepEdge } from '../facts';
import type { PrepRule, TaskDraft } from '../task';
import { isStrewn } from './clean';
import { flattens } from './flatten';
import { coatOfOwn } from './own';
import { isToothed } from './tooth';

const TRADE = 'Common practice, no source.';
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

/** A reading of the level counts until the piece is turned, and for as long as a level holds. */
const isOldReading = ({ slopeMs = null, turnedMs = null, nowMs }: PrepContext): boolean =>
  slopeMs !== null &&
  ((turnedMs !== null && turnedMs > slopeMs) || nowMs - slopeMs > (HOLDS_MS.level ?? Infinity));

/** How much of a colour a mix bears, and how it is tried. */
const colourHow = ({ share, said }: NonNullable<PrepCoat['colour']>): string =>
  `A stroke of each mixed colour over a black and a white strip, as thick as the coat. Of liquid colour at most ${Number((share * 100).toFixed(1))} % of the mix, ${said ? 'by its sheet' : 'as is usual: its sheet does not say'}; more leaves it soft.`;

const isOpenEdge = ({ kind }: PrepEdge) => kind === 'open';

const sandedFor = (facts: PrepContext, coat: PrepCoat): boolean =>
  isToothed(facts, coat) ||
  flattens(facts, coat) ||
  facts.own.some((o) => o.kind === 'sand' && coatOfOwn(facts, o) === coat.id);

/** Areas whose grains or leaf nothing holds yet: air would take them away. */
const isLoose = (facts: PrepContext, id: string): boolean => {
  const area = facts.areaOf(id);
  return area !== undefined && isStrewn(area) && !facts.on(id).top;
};

/** Warm air over what bears it; what does not is warmed by the room. */
function warmDraft(facts: PrepContext, coat: PrepCoat): Omit<TaskDraft, 'on' | 'coatId'> | null {
  if (facts.support === 'plastic')
    return {
      areaIds: coat.areaIds,
      title: 'Let it stand in the warm room',
      how: 'An hour at room temperature in place of the hot-air pass: plastic softens and warps.',
      problems: ['heat on plastic'],
      cautions: ['plastic heat'],
    };
  const areaIds = coat.areaIds.filter((id) => !isLoose(facts, id));
  if (areaIds.length === 0) return null;
  return facts.support === 'canvas'
    ? {
        areaIds,
        title: 'Pass warm air over the canvas, low',
        how: 'First blow the gun’s own dust out, away from the work; lowest heat, always moving: a hot canvas slackens and bellies.',
      }
    : { areaIds };
}

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
    id: 'opacity trial',
    step: 'trial',
    title: 'Try the colour over black and white',
    how: 'A stroke of each mixed colour over a black and a white strip, as thick as the coat. Add a little more rather than too much.',
    reason: 'A colour that is too thin shows the ground, and the whole coat has to be done again.',
    source: TRADE,
    needed: false,
    find: (facts) =>
      eachCoat(facts, ({ colour, areaIds }) =>
        colour ? { areaIds, how: colourHow(colour) } : null,
      ),
  },
  {
    id: 'props',
    step: 'props',
    title: 'Props, and a sheet below that resin does not stick to',
    how: 'Cups or pyramids well inside the edge, so that drips fall free; the sheet smooth, larger than the piece.',
    reason: 'A piece on the table glues itself down by its drips.',
    source: TRADE,
    needed: false,
    // Props stand under all its coats.
    find: ({ waiting, areasOf }) => {
      const first = waiting.find((c) => areasOf(c).some((a) => a.edges.some(isOpenEdge)));
      return first ? [{ on: 'piece', coatId: waiting[0]?.id ?? null, areaIds: [] }] : [];
    },
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
    find: (facts) => eachCoat(facts, (coat) => warmDraft(facts, coat)),
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
    id: 'covered',
    step: 'cover',
    title: 'Waits under its cover',
    how: 'Where the pour is not now: put the cover on. What was cleaned then holds for 24 h instead of 4.',
    reason: 'Dust and damp come down on what lies open.',
    source: 'Judgement, no source.',
    needed: false,
    find: ({ waiting }) =>
      waiting.slice(0, 1).map((c) => ({ on: c.id, coatId: c.id, areaIds: c.areaIds })),
  },
  {
    id: 'interleave',
    step: 'after',
    title: 'Paper between them while they cure',
    how: 'Siliconised paper between the pieces, nothing heavy on top, until they are fully cured.',
    reason: 'Film that bears handling still takes prints and sticks to its neighbour.',
    source: TRADE,
    needed: false,
    find: ({ lying, waiting, count, nowMs }) => {
      const top = lying.at(-1);
      return top?.poured && nowMs < top.poured.curedMs && waiting.length === 0 && count > 1
        ? [{ on: top.id, coatId: null, areaIds: top.areaIds, notBeforeMs: top.poured.handleMs }]
        : [];
    },
  },
];
