import type { Damage } from '../../piece';
import type { PrepContext } from '../context';
import { need } from '../materials';
import type { PrepRule, TaskDraft } from '../task';
import { COAT_OF_PAINT_M, damaged } from './support';

const HOUR_S = 3600;
const TRADE = 'Common practice, no source.';
/** Width of the base brushed over a mended tear, m. Judgement, no source. */
const PATCH_WIDTH_M = 0.1;
/** Water that a wetted strip of cloth holds, as a layer, m. Judgement, no source. */
const WETTED_M = 0.2e-3;
/** Wetted cloth in warm air, s; left-over resin until the next day, s. Common practice, no source. */
const CLOTH_DRIES_S = 2 * HOUR_S;
const NEXT_DAY_S = 24 * HOUR_S;

type Told = (tear: Damage, count: number) => Pick<TaskDraft, 'materials' | 'drying'>;

/** Every stage of one tear counts only after the one before it. */
const staged =
  (turn: number, told: Told) =>
  (facts: PrepContext): TaskDraft[] =>
    damaged(facts, 'tear', told).map((draft) => ({
      ...draft,
      stage: { of: `tear ${draft.on}`, turn },
    }));

const measured = (tear: Damage) =>
  ['length of the tear', tear.lengthM, 'length', 'measured'] as const;

/** A torn canvas, stage by stage with a clock each. */
export const TEAR_RULES: readonly PrepRule[] = [
  {
    id: 'tear',
    step: 'repair',
    title: 'Close the tear from the back',
    how: 'Off the wrap; pull the cut edges together from the back with the strongest tape there is.',
    reason:
      'Resin runs through an open tear and its edges stand up; over a closed one it levels bumps that paint never would.',
    source: TRADE,
    needed: true,
    cautions: ['knife'],
    find: staged(0, (tear, count) => ({
      materials: [
        need('cloth tape 48 mm', tear.lengthM * 1.5 * count, 'L · 1.5 · n', measured(tear), [
          'pieces',
          count,
          'number',
        ]),
      ],
    })),
  },
  {
    id: 'tear wet',
    step: 'repair',
    title: 'Wet the cloth on both sides, dry it with warm air',
    how: 'A damp sponge from both sides over the tear and a hand’s width round it; warm air, never hot: the cloth shrinks tight as it dries.',
    reason:
      'Cloth that is tight before its base is brushed on stays flat under the weight of resin.',
    source: `${TRADE} Two hours in warm air; clock: Dalton scaling.`,
    needed: true,
    cautions: ['hot air'],
    find: staged(1, () => ({
      drying: { labelS: CLOTH_DRIES_S, thicknessM: WETTED_M, leaves: 'water' },
    })),
  },
  {
    id: 'tear base',
    step: 'repair',
    title: 'Brush an acrylic base over the front',
    how: 'Thin, over the tear and a hand’s width round it, pressed into the cut; leave it to dry through.',
    reason: 'It closes the weave: what is open drinks resin and lets it through.',
    source: `${TRADE} Clock: Dalton scaling.`,
    needed: true,
    find: staged(2, (tear, count) => ({
      materials: [
        need(
          'acrylic paint',
          tear.lengthM * PATCH_WIDTH_M * COAT_OF_PAINT_M * count,
          'L · w · h · n',
          measured(tear),
          ['width of the base, w', PATCH_WIDTH_M, 'length', 'rule of thumb'],
          ['wet coat, h', COAT_OF_PAINT_M, 'film', 'rule of thumb'],
          ['pieces', count, 'number'],
        ),
      ],
      drying: { labelS: NEXT_DAY_S, thicknessM: COAT_OF_PAINT_M, leaves: 'water' },
    })),
  },
  {
    id: 'tear skim',
    step: 'repair',
    title: 'Skim the tear with left-over resin',
    how: 'A thin skim over the mended place for strength; leave it to the next day, then key it with the rest.',
    reason: 'The cut stays the weakest place of the cloth.',
    source: TRADE,
    needed: false,
    cautions: ['skin'],
    find: staged(3, () => ({
      drying: { labelS: NEXT_DAY_S, thicknessM: COAT_OF_PAINT_M, leaves: 'solvent' },
    })),
  },
];
