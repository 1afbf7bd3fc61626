import type { DefectKind } from '../../piece';
import type { PrepContext } from '../context';
import { gritSequence } from '../grit';
import { need } from '../materials';
import type { PrepRule, TaskDraft } from '../task';
import { sanding } from './sandWork';
import { afterLast, coatOfOwn } from './own';
import { SCRATCHES } from './tooth';

const TRADE = 'Common practice, no source.';

const ownSanding = (facts: PrepContext): TaskDraft[] =>
  facts.own.flatMap((own) => {
    if (own.kind !== 'sand') return [];
    const coatId = coatOfOwn(facts, own);
    if (coatId === undefined) return [];
    const areas = facts.areas.filter((a) => own.areaIds.includes(a.id));
    const next = facts.waiting.find((c) => c.id === coatId) ?? null;
    return [
      {
        on: own.key,
        coatId,
        areaIds: own.areaIds,
        title: own.title,
        needed: own.needed,
        ...(own.on.at === 'last' && afterLast(facts)),
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
