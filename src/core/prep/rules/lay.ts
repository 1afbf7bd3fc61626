import { LAYER_FACTS } from '../../coat';
import type { PrepContext } from '../context';
import type { PrepCoat, PrepLayer } from '../facts';
import type { PrepRule, TaskDraft } from '../task';

/** How each kind of layer is laid. Common practice, no source. */
const HOW: Readonly<Record<PrepLayer['kind'], string>> = {
  paste:
    'One part binder to one part mineral powder; thick paste sets for a day. Sand it, 80 then 220, and brush the dust out.',
  paint: 'Thin coats, each dry before the next.',
  ink: 'Let it flow out and dry flat; no gloss spray over it.',
  leaf: 'On tacky size, pressed through paper; loose flakes brushed off softly.',
  'tape design': 'Cut it to the line and rub every edge down: resin creeps under a lifted edge.',
  'relief paint': 'Draw the line in one go; let it stand until it is dry through.',
  'glitter in varnish': 'Two thin layers; dry through, a day as a rule, before resin goes over it.',
  varnish: 'Thin and even; dry through before resin goes over it.',
  'loose grains': 'Strewn evenly; the next coat is streamed on gently to lock them.',
  'metal powder':
    'Warm the gun for most of a minute first, keep away from mould edges, melt it onto the line.',
  gilding: 'One coat, two hours, then a second.',
  'pressed in': 'Bone dry, and pressed into the coat below while that is wet or soft.',
};

/** The lowest waiting coat over a layer on one of its places. */
function coatOver(facts: PrepContext, layer: PrepLayer): PrepCoat | undefined {
  const under = facts.coats.find((c) => c.id === layer.over)?.order ?? 0;
  return facts.waiting.find(
    (c) => c.order > under && c.areaIds.some((id) => layer.areaIds.includes(id)),
  );
}

/** A coat that was poured over a layer has settled it. */
const isCovered = (facts: PrepContext, layer: PrepLayer): boolean => {
  const under = facts.coats.find((c) => c.id === layer.over)?.order ?? 0;
  return facts.lying.some(
    (c) => c.order > under && c.areaIds.some((id) => layer.areaIds.includes(id)),
  );
};

function layDraft(facts: PrepContext, layer: PrepLayer): TaskDraft | null {
  const coat = coatOver(facts, layer);
  if (!coat || isCovered(facts, layer)) return null;
  const { usualM, leaves } = LAYER_FACTS[layer.kind];
  return {
    on: layer.id,
    coatId: coat.id,
    areaIds: layer.areaIds,
    title: `Lay ${layer.name}`,
    how: HOW[layer.kind],
    ...(leaves !== 'nothing' &&
      layer.dryMs === null && {
        drying: { labelS: layer.labelS, thicknessM: layer.meanM, usualM, leaves },
      }),
    ...(layer.kind === 'metal powder' && { cautions: ['hot air' as const] }),
  };
}

export const LAY_RULES: readonly PrepRule[] = [
  {
    id: 'layer',
    step: 'lay',
    title: 'Lay what goes under the coat',
    how: '',
    reason:
      'It lies between the coats: what is not dry through under resin clouds, bubbles or lifts.',
    source:
      'Common practice, no source. Clock: the label with Dalton scaling, thickness squared above the usual.',
    needed: true,
    find: (facts) =>
      facts.layers
        .filter((l) => l.state !== 'there before')
        .map((layer) => layDraft(facts, layer))
        .filter((d) => d !== null),
  },
];
