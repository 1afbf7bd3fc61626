import { LAYER_FACTS, liesOver } from '../../coat';
import { openEdges, type PrepContext } from '../context';
import type { PrepArea } from '../facts';
import { need } from '../materials';
import type { PrepRule, TaskDraft } from '../task';
import { COAT_OF_PAINT_M } from './support';

const DAY_S = 24 * 3600;
const TRADE = 'Common practice, no source.';
/** Sealer of one pass on each porosity, m, and passes. Common practice, no source. */
const SEALING = {
  porous: { passM: 100e-6, passes: 2 },
  'very porous': { passM: 150e-6, passes: 3 },
} as const;
/** Light spray: rounds of two passes, and what one pass lays down, m. Common practice, from memory. */
const SPRAY = { rounds: 3, passesEach: 2, passM: 30e-6 } as const;
/** Until a spray's solvent is off, s. From memory: the can's label goes first. */
const SPRAY_OFF_S = 3600;

/** Art that solvent or gloss spray would dissolve: ink, and metal leaf that comes off on the finger. */
export const isDelicate = (area: PrepArea): boolean =>
  area.surface.kind === 'ink' || area.relief.some((r) => r.kind === 'leaf');

const isDrinking = (area: PrepArea): boolean => area.porosity !== 'sealed';

/** Whether the ground would show through the thin film on the open edges of a face that has a colour of its own. */
export const showsGround = ({ support }: Pick<PrepContext, 'support'>, area: PrepArea): boolean =>
  area.kind === 'face' &&
  area.surface.kind !== 'bare' &&
  area.surface.kind !== 'old resin' &&
  (isDrinking(area) || support === 'bare wood' || support === 'paper on board') &&
  openEdges(area).bandM2 > 0;

/** A resin seal coat on this area takes the place of brushed sealing. */
const resinSeals = (facts: PrepContext, area: PrepArea): boolean =>
  facts.coats.some((c) => c.kind === 'seal' && liesOver(c) && c.areaIds.includes(area.id));

const onGround = (
  facts: PrepContext,
  fits: (area: PrepArea) => boolean,
  told: (area: PrepArea) => Omit<TaskDraft, 'on' | 'coatId' | 'areaIds'> = () => ({}),
): TaskDraft[] =>
  facts.ground
    .filter(({ area }) => fits(area))
    .map(({ area, coatId }) => ({ on: area.id, coatId, areaIds: [area.id], ...told(area) }));

const edgeRefs = (area: PrepArea) =>
  openEdges(area).indices.map((edge) => ({ areaId: area.id, edge }));

function sealDraft(
  facts: PrepContext,
  area: PrepArea,
): Omit<TaskDraft, 'on' | 'coatId' | 'areaIds'> {
  const { seal } = facts.schools;
  if (seal === 'thin resin')
    return {
      title: 'Seal with a thin brushed coat of resin',
      how: 'Plan a seal coat on this area: its volume stands in its own ledger.',
      problems: ['no seal coat planned'],
    };
  const { passM, passes } = SEALING[area.porosity === 'very porous' ? 'very porous' : 'porous'];
  const name = seal === 'paint' ? 'acrylic paint' : seal;
  const m2 = (area.areaM2 + openEdges(area).bandM2) * facts.count;
  return {
    title: `Seal with ${seal}, ${passes} passes`,
    how: `Brush it on thin and cover every pore, edges too; each pass dry to the touch before the next. ${passes} passes, then dry through.`,
    materials: [
      need(
        name,
        m2 * passM * passes,
        'A · h · passes',
        ['area and open edges, all pieces, A', m2, 'area'],
        ['one pass, h', passM, 'film', 'rule of thumb'],
        ['passes', passes, 'number', 'rule of thumb'],
      ),
    ],
    edges: edgeRefs(area),
    drying: { labelS: DAY_S, thicknessM: passM, leaves: 'water' },
  };
}

function sprayDraft(
  facts: PrepContext,
  area: PrepArea,
): Omit<TaskDraft, 'on' | 'coatId' | 'areaIds'> {
  const { spray } = facts.schools;
  const gloss = spray === 'gloss';
  const name = gloss ? 'gloss spray' : facts.daylight ? 'matte UV spray' : 'matte spray';
  const m2 = area.areaM2 * facts.count;
  const passes = SPRAY.rounds * SPRAY.passesEach;
  const materials = [
    need(
      name,
      m2 * passes * SPRAY.passM,
      'A · passes · h',
      ['area, all pieces, A', m2, 'area'],
      ['passes', passes, 'number', 'rule of thumb'],
      ['one pass, h', SPRAY.passM, 'film', 'from memory'],
    ),
  ];
  return {
    title: `Fix the art with ${name}`,
    materials,
    drying: { labelS: SPRAY_OFF_S, thicknessM: SPRAY.passM, leaves: 'solvent' },
    problems: [
      ...(gloss ? (['gloss on ink'] as const) : []),
      ...(facts.rubFailed.includes(area.id) ? (['colour came off'] as const) : []),
    ],
    spoiled: facts.rubFailed.includes(area.id) ? 'spoiled' : null,
  };
}

const isInclusion = (area: PrepArea) =>
  area.relief.some((r) => r.kind === 'plants' || r.kind === 'sand' || r.kind === 'stones');

export const LAYER_RULES: readonly PrepRule[] = [
  {
    id: 'dry inclusions',
    step: 'dry through',
    title: 'Inclusions bone dry',
    how: 'Dry leaves, wood, sand and stones before they are set; a piece weighed twice a day apart no longer loses weight.',
    reason: 'Water held in an inclusion comes out in the resin as bubbles or haze.',
    source: TRADE,
    needed: true,
    find: (facts) => onGround(facts, isInclusion),
  },
  {
    id: 'dry paste',
    step: 'dry through',
    title: 'Let the texture paste dry through',
    how: 'In room air; fast hot-air drying cracks it, which is sometimes wanted. Say when it was laid.',
    reason: 'Trapped water gives bubbles or haze; thick paste sets for a day and more.',
    source: `${TRADE} Clock: Dalton scaling, thickness squared above the usual 3 mm (from memory).`,
    needed: true,
    find: (facts) =>
      onGround(
        facts,
        (a) => a.relief.some((r) => r.kind === 'paste'),
        (a) => ({
          drying: {
            labelS: DAY_S,
            thicknessM: Math.max(...a.relief.map((r) => (r.kind === 'paste' ? r.meanM : 0))),
            usualM: LAYER_FACTS.paste.usualM,
            leaves: 'water',
          },
        }),
      ),
  },
  {
    id: 'dry paint',
    step: 'dry through',
    title: 'Let the paint or varnish dry through',
    how: 'A day as a rule, longer in damp air. Say when it was laid; oil paint wants months, not days.',
    reason: 'Trapped water gives bubbles or haze under the coat.',
    source: `${TRADE} Clock: Dalton scaling.`,
    needed: true,
    find: (facts) =>
      onGround(
        facts,
        (a) => a.surface.kind === 'painted',
        () => ({ drying: { labelS: DAY_S, thicknessM: 0.2e-3, leaves: 'water' } }),
      ),
  },
  {
    id: 'seal',
    step: 'seal',
    title: 'Seal the porous ground',
    how: 'Brush it on thin and cover every pore.',
    reason:
      'Air rises out of an open ground as bubbles while the resin is wet, and colour sinks in.',
    source: `${TRADE} Amount: 100 to 150 ml/m² and pass.`,
    needed: true,
    find: (facts) =>
      onGround(
        facts,
        (a) => isDrinking(a) && !isDelicate(a) && !resinSeals(facts, a),
        (a) => sealDraft(facts, a),
      ),
  },
  {
    id: 'repaint paste',
    step: 'seal',
    title: 'Paint the sanded paste again',
    how: 'Sanding shows the white of the paste: paint it in its colour, thin, and let it dry through.',
    reason: 'Under clear resin every sanded spot shows, and no paint goes on afterwards.',
    source: `${TRADE} Amount: 100 ml/m².`,
    needed: false,
    find: (facts) =>
      onGround(
        facts,
        (a) => a.relief.some((r) => r.kind === 'paste'),
        (a) => {
          const share = a.relief.reduce((s, r) => s + (r.kind === 'paste' ? r.share : 0), 0);
          const m2 = a.areaM2 * share * facts.count;
          return {
            materials: [
              need(
                'acrylic paint',
                m2 * COAT_OF_PAINT_M,
                'A · h',
                ['paste, all pieces, A', m2, 'area'],
                ['one coat, h', COAT_OF_PAINT_M, 'film', 'rule of thumb'],
              ),
            ],
            drying: { labelS: DAY_S, thicknessM: COAT_OF_PAINT_M, leaves: 'water' },
          };
        },
      ),
  },
  {
    id: 'fix art',
    step: 'spray',
    title: 'Fix the art with matte spray',
    how: 'Three rounds of two light passes, minutes apart, each pass across the last; outdoors or under extraction.',
    reason: 'Resin and alcohol lift ink and metal; gloss spray re-dissolves ink, so matte it is.',
    source: `${TRADE} Amount: 30 ml/m² and pass, from memory; the can’s label goes first.`,
    needed: true,
    cautions: ['spray', 'solvent'],
    find: (facts) => onGround(facts, isDelicate, (a) => sprayDraft(facts, a)),
  },
  {
    id: 'rub test',
    step: 'test',
    title: 'Rub test',
    how: 'Draw a clean fingertip over the art. It must come away without colour or metal.',
    reason: 'What comes off on a finger also comes off in the resin.',
    source: TRADE,
    needed: true,
    asksResult: true,
    find: (facts) => onGround(facts, isDelicate),
  },
  {
    id: 'edge ground',
    step: 'ground',
    title: 'Paint the edges in the ground colour',
    how: 'Two thin coats round the open edges, dry before the pour.',
    reason: 'Resin drains to a few hundredths of a millimetre on an edge: the wood shows through.',
    source: `${TRADE} Amount: 100 ml/m² and coat.`,
    needed: false,
    find: (facts) =>
      onGround(
        facts,
        (a) => showsGround(facts, a),
        (a) => ({
          edges: edgeRefs(a),
          materials: [
            need(
              'acrylic paint',
              openEdges(a).bandM2 * facts.count * 2 * COAT_OF_PAINT_M,
              'A · h · 2 coats',
              ['open edges, all pieces, A', openEdges(a).bandM2 * facts.count, 'area'],
              ['one coat, h', COAT_OF_PAINT_M, 'film', 'rule of thumb'],
            ),
          ],
          drying: { labelS: DAY_S, thicknessM: COAT_OF_PAINT_M, leaves: 'water' },
        }),
      ),
  },
];
