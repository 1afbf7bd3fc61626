import type { Damage, DamageKind, DefectKind, OldResin } from '../../piece';
import type { PrepContext } from '../context';
import type { PrepDefect } from '../facts';
import { need } from '../materials';
import type { CautionName, PrepRule, TaskDraft } from '../task';

const DAY_S = 24 * 3600;
const TRADE = 'Common practice, no source.';
/** Section of a bead of sealer, m² (5 mm across). Judgement, no source. */
const BEAD_M2 = 20e-6;
/** Paint or medium of one coat, m (ml/m² · 1e-6). Common practice, no source. */
export const COAT_OF_PAINT_M = 100e-6;
/** Glue that beds loose relief again, m. Judgement, no source. */
const BEDDING_M = 60e-6;
/** Paste is laid in layers no thicker than this, m. Common practice, no source. */
const PASTE_LAYER_M = 1e-3;

/** Paste that fills a dent, m³: half of an ellipsoid. */
export const dentVolume = ({ lengthM, widthM, depthM }: Damage): number =>
  (Math.PI / 6) * lengthM * widthM * depthM;

/** One draft for each damage of a kind on ground that nothing lies on yet. */
export const damaged = (
  facts: PrepContext,
  kind: DamageKind,
  told: (damage: Damage, count: number) => Pick<TaskDraft, 'materials' | 'drying' | 'how'>,
): TaskDraft[] =>
  facts.ground.flatMap(({ area, coatId }) =>
    area.damage.flatMap((damage, i) =>
      damage.kind === kind
        ? [{ on: `${area.id}.${i}`, coatId, areaIds: [area.id], ...told(damage, facts.count) }]
        : [],
    ),
  );

/** Faults that no coat may go over, and how each is put right. Common practice, no source. */
const HOLDING: Readonly<
  Partial<
    Record<
      DefectKind,
      { readonly title: string; readonly how: string; readonly cautions: readonly CautionName[] }
    >
  >
> = {
  'soft spot': {
    title: 'Take the soft spot out',
    how: 'Scrape off all soft matter, scrapings of the cup among it, down to what is hard; alcohol, then sand. Never coat over sticky resin.',
    cautions: ['skin', 'solvent', 'knife'],
  },
  'tacky all over': {
    title: 'Warm and wait; strip it if it stays tacky',
    how: 'A warm room for a day or two. What is still tacky then was mixed wrong or cold: strip it. Tack inside the recoat window is another thing: it pulls no strings and came from a right mix.',
    cautions: ['skin', 'hot air'],
  },
  scorch: {
    title: 'Cut the scorch back',
    how: 'Cut and sand back below the burn, recolour the spot, then flood.',
    cautions: ['dust', 'knife'],
  },
  haze: {
    title: 'Wash the blush off',
    how: 'Lukewarm water and a white cloth, twice; dry it through. What is still cloudy is in the film: sand it.',
    cautions: ['skin'],
  },
};

/** A fault that holds the next coat on its places until it is put right. */
function holdDraft(facts: PrepContext, { id, kind, coatId }: PrepDefect): TaskDraft | null {
  const told = HOLDING[kind];
  const own = facts.coats.find((c) => c.id === coatId)?.areaIds ?? facts.areas.map((a) => a.id);
  const next = facts.waiting.find((c) => c.areaIds.some((a) => own.includes(a)));
  return told && next
    ? { on: id, coatId: next.id, areaIds: next.areaIds.filter((a) => own.includes(a)), ...told }
    : null;
}

/** Old resin that no coat of ours covers, in one of these states. */
const oldResin = (facts: PrepContext, states: readonly OldResin['state'][]): TaskDraft[] =>
  facts.ground.flatMap(({ area, coatId }) => {
    const { kind, resin } = area.surface;
    const asks = kind === 'old resin' && resin !== null && states.includes(resin.state);
    return asks ? [{ on: area.id, coatId, areaIds: [area.id] }] : [];
  });

const dry = (layers = 1) => ({
  labelS: DAY_S * layers,
  thicknessM: PASTE_LAYER_M,
  leaves: 'water' as const,
});

export const SUPPORT_RULES: readonly PrepRule[] = [
  {
    id: 'hardware',
    step: 'take off',
    title: 'Take the hardware off',
    how: 'Its places are marked on the plan of the survey, so that it goes back on its marks.',
    reason: 'Resin that runs into a bearing, a hinge or a screw holds it for good.',
    source: TRADE,
    needed: true,
    find: ({ hardware, lying, waiting, areas }) =>
      hardware.length === 0 || lying.length > 0
        ? []
        : [
            {
              on: 'piece',
              coatId: waiting[0]?.id ?? null,
              areaIds: areas.slice(0, 1).map((a) => a.id),
              how: `${hardware.join(', ')}. Places are marked on the plan of the survey, so that they go back on their marks.`,
            },
          ],
  },
  {
    id: 'put right',
    step: 'repair',
    title: 'Put it right first',
    how: '',
    reason: 'A coat over it would hide it, not mend it, and the way back would be longer.',
    source: TRADE,
    needed: true,
    find: (facts) => facts.defects.map((d) => holdDraft(facts, d)).filter((d) => d !== null),
  },
  {
    id: 'old resin soft',
    step: 'repair',
    title: 'Take off what is sticky',
    how: 'Scrape off all soft matter down to what is hard, then alcohol on cloths until a glove no longer sticks. What stays soft underneath has to come off too.',
    reason:
      'Nothing cures on sticky resin, and nothing holds on it: it was mixed wrong or not at all.',
    source: TRADE,
    needed: true,
    cautions: ['skin', 'solvent', 'knife'],
    find: (facts) => oldResin(facts, ['sticky']),
  },
  {
    id: 'old resin dirty',
    step: 'repair',
    title: 'Wash the old resin',
    how: 'Warm water and a drop of washing-up liquid, rinse, dry; then wipe twice, each time with a fresh cloth.',
    reason: 'Sanding rubs grease and chalk into the scratches, and the coat draws back over it.',
    source: TRADE,
    needed: true,
    find: (facts) => oldResin(facts, ['greasy', 'chalky']),
  },
  {
    id: 'rim gap',
    step: 'repair',
    title: 'Close the gap at the rim',
    how: 'Run a bead of acrylic sealer or glue round it, smooth it with a wet finger, leave it to dry through.',
    reason: 'Resin leaks out through a gap between panel and rim for as long as it flows.',
    source: TRADE,
    needed: true,
    find: (facts) =>
      damaged(facts, 'gap at the rim', (gap, count) => ({
        materials: [
          need(
            'acrylic sealer',
            gap.lengthM * BEAD_M2 * count,
            'L · section · n',
            ['length of the gap, L', gap.lengthM, 'length', 'measured'],
            ['section of the bead', BEAD_M2, 'area', 'rule of thumb'],
            ['pieces, n', count, 'number'],
          ),
        ],
        drying: dry(),
      })),
  },
  {
    id: 'dent',
    step: 'repair',
    title: 'Fill the dent',
    how: 'Texture paste, one part binder to one part mineral powder, in layers of 1 mm at most, each dry before the next; a little proud, then sanded.',
    reason:
      'A coat sinks over a hollow and shows it; a deep hollow also takes more than the resin’s greatest lift.',
    source: `${TRADE} Volume: half of an ellipsoid.`,
    needed: true,
    find: (facts) =>
      damaged(facts, 'dent', (dent, count) => ({
        materials: [
          need(
            'texture paste',
            dentVolume(dent) * count,
            'π / 6 · L · w · d · n',
            ['length, L', dent.lengthM, 'length', 'measured'],
            ['width, w', dent.widthM, 'length', 'measured'],
            ['depth, d', dent.depthM, 'film', 'measured'],
            ['pieces, n', count, 'number'],
          ),
        ],
        drying: dry(Math.max(1, Math.ceil(dent.depthM / PASTE_LAYER_M - 1e-6))),
      })),
  },
  {
    id: 'loose relief',
    step: 'repair',
    title: 'Bed the loose relief again',
    how: 'Lift what is loose, brush glue under it, press it down; or plan a lock coat, streamed on gently.',
    reason: 'Loose parts float, turn and trap air under the coat.',
    source: TRADE,
    needed: true,
    find: (facts) =>
      damaged(facts, 'loose relief', (loose, count) => ({
        materials: [
          need(
            'decoupage glue',
            loose.lengthM * loose.widthM * BEDDING_M * count,
            'L · w · h · n',
            ['length, L', loose.lengthM, 'length', 'measured'],
            ['width, w', loose.widthM, 'length', 'measured'],
            ['bed of glue, h', BEDDING_M, 'film', 'rule of thumb'],
            ['pieces, n', count, 'number'],
          ),
        ],
        drying: { labelS: DAY_S, thicknessM: 0.2e-3, leaves: 'water' },
      })).filter(
        ({ areaIds }) =>
          !facts.waiting.some(
            (c) => c.kind === 'lock' && areaIds.some((a) => c.areaIds.includes(a)),
          ),
      ),
  },
];
