import { LAYER_FACTS, LAYER_LIMITS } from '@/core/coat';
import type { LayerKind } from '@/core/piece';
import { editText } from '@/core/units';
import { asId, type Layer } from '@/records';
import type { PieceView } from '@/shop/coatView';
import type { FieldReader } from '@/features/common/fieldReader';
import type { Format } from '@/features/common/useFormat';

/** What is typed of a layer. */
export interface LayerDraft {
  readonly kind: LayerKind;
  readonly name: string;
  readonly areaIds: readonly string[];
  /** Id of the coat that it lies on; empty: the ground. */
  readonly over: string;
  readonly greatest: string;
  readonly mean: string;
  readonly share: string;
  /** Hours. */
  readonly label: string;
  readonly state: 'planned' | 'there before';
}

const sizes = (
  { greatestM, meanM, share, labelS }: Pick<Layer, 'greatestM' | 'meanM' | 'share' | 'labelS'>,
  format: Format,
) => ({
  greatest: editText(greatestM, format.typed('film')),
  mean: editText(meanM, format.typed('film')),
  share: editText(share, '%'),
  label: editText(labelS, 'h'),
});

/** What is usual of a layer of a kind: over the topmost coat, on the places that are not bare. */
export function usualLayer(
  kind: LayerKind,
  { areas, coats }: Pick<PieceView, 'areas' | 'coats'>,
  format: Format,
): LayerDraft {
  const places = areas.filter((a) => a.kind === 'face' && !a.bare);
  return {
    kind,
    name: `${kind[0]?.toUpperCase() ?? ''}${kind.slice(1)}`,
    areaIds: places.map((a) => a.id),
    over: coats.at(-1)?.coat.id ?? '',
    ...sizes(LAYER_FACTS[kind], format),
    state: 'planned',
  };
}

export const layerDraft = (layer: Layer, format: Format): LayerDraft => ({
  kind: layer.kind,
  name: layer.name,
  areaIds: layer.areaIds,
  over: layer.over ?? '',
  ...sizes(layer, format),
  state: layer.state.at === 'there before' ? 'there before' : 'planned',
});

/** Reads the form of a layer; null where a field is wrong: the reader says which. */
export function readLayer(
  draft: LayerDraft,
  reader: FieldReader<keyof LayerDraft>,
): Omit<Layer, 'id' | 'pieceId' | 'turn' | 'state'> | null {
  const name = reader.text('name', draft.name, 120);
  const { max } = LAYER_LIMITS.greatestM;
  const greatestM = reader.quantity('greatest', draft.greatest, 'film', { min: 0, max });
  const meanM = reader.quantity('mean', draft.mean, 'film', {
    min: 0,
    ...(Number.isFinite(greatestM) && { max: greatestM }),
  });
  const share = reader.quantity('share', draft.share, 'share', { min: 0.01, max: 1 });
  const dries = LAYER_FACTS[draft.kind].leaves !== 'nothing';
  const labelS = dries
    ? reader.quantity(
        'label',
        /[a-z]/i.test(draft.label) ? draft.label : `${draft.label} h`,
        'duration',
        // No label says 0: what is dry is said where it lies.
        { min: LAYER_LIMITS.labelS.min, max: LAYER_LIMITS.labelS.max },
      )
    : 0;
  if (draft.areaIds.length === 0) reader.errors.areaIds = 'Choose at least one area.';
  if (!reader.sound) return null;
  return {
    ...{ kind: draft.kind, name, greatestM, meanM, share, labelS },
    areaIds: draft.areaIds.map((id) => asId<'area'>(id)),
    over: draft.over === '' ? null : asId<'coat'>(draft.over),
  };
}

/** What a layer does to what lies on it, in a sentence. */
export const LAYER_HINT: Readonly<Record<LayerKind, string>> = {
  paste: 'Raises the ground and opens it: it is sealed or painted before resin. Dry through first.',
  paint: 'Closes the pores. Fresh acrylic is not wiped with alcohol.',
  ink: 'Alcohol and gloss spray lift it: fix it with matte spray, and rub-test it.',
  leaf: 'Lies as thin as breath; not wiped. Loose flakes off before resin.',
  'tape design': 'Rub every edge down, or resin creeps under it.',
  'relief paint': 'Stands up as lines: a coat buries them, or they stay as walls of cells.',
  'glitter in varnish': 'Two layers, a day; closes the pores, and must be dry before resin.',
  varnish: 'Closes the pores; dry through before resin, or it clouds.',
  'loose grains': 'Float off in a flood: lock them with a thin coat first.',
  'metal powder': 'Melted on with a hot gun: away from mould edges.',
  gilding: 'Two hours between its coats; sealed in by the next coat.',
  'pressed in': 'Bone dry, and pressed into the coat below while that is wet.',
};

/** Where a layer stands, in a word or two. */
export function layerStateWords({ state }: Pick<Layer, 'state'>): string {
  if (state.at === 'there before') return 'was there before';
  if (state.at === 'planned') return 'to be laid';
  return state.dryMs === null ? 'laid' : 'laid, dry';
}
