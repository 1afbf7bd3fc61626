import { LAYER_FACTS } from '../../coat';
import { isDam, type PieceSide } from '../../piece';
import type { PrepContext } from '../context';
import type { PrepCoat, PrepLayer } from '../facts';
import type { PrepRule, TaskDraft } from '../task';
import { bearsMs } from './below';

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

/** Which side of a piece a coat lies on; null where it goes on both, as small castings are dipped. */
function sideOf(facts: PrepContext, coat: PrepCoat): PieceSide | null {
  const backs = facts.areasOf(coat).map((a) => a.kind === 'back');
  if (backs.every(Boolean)) return 'back';
  return backs.some(Boolean) ? null : 'front';
}

function turnDraft(facts: PrepContext, coat: PrepCoat): TaskDraft | null {
  const side = sideOf(facts, coat);
  if (side === null) return null;
  const before = facts.waiting.slice(0, facts.waiting.indexOf(coat)).reverse();
  const sides = before.map((c) => sideOf(facts, c)).filter((s) => s !== null);
  if (side === (sides[0] ?? facts.up ?? 'front')) return null;
  const { lying } = facts;
  const bears = bearsMs(facts);
  const faced = [...lying, ...before].some((c) => sideOf(facts, c) === 'front');
  return {
    on: coat.id,
    coatId: coat.id,
    areaIds: coat.areaIds,
    up: side,
    title: side === 'back' ? 'Turn it over, back up' : 'Turn it over, face up',
    ...(side === 'back' &&
      faced && {
        how: 'Only when the face bears handling. Mask its rim first, clean soft cloth below. The coat on the back must not run over the finished face: hold it to its edges as a dome, not a flood.',
        reason:
          'Face first, then back, is the longer way: what runs over the back ends on a finished face. Back first lets its drips fall where no face is yet.',
      }),
    ...(side === 'front' && {
      reason: 'Back first, then the face: its drips and prints are covered by what comes last.',
    }),
    // For a later coat the moment is not known before the one below is poured.
    ...(before.length === 0 && bears !== null && { notBeforeMs: bears }),
  };
}

/** A coat whose dam is to come off when it has cured, and the coat that waits for that. */
function damDraft(facts: PrepContext, coat: PrepCoat): TaskDraft | null {
  const dammed = facts.areasOf(coat).filter((a) => a.edges.some((e) => isDam(e.kind)));
  const next = facts.waiting.find((c) => dammed.some((a) => c.areaIds.includes(a.id)));
  if (coat.freesDams !== true || !coat.poured || dammed.length === 0) return null;
  return {
    on: coat.id,
    coatId: next?.id ?? null,
    areaIds: dammed.map((a) => a.id),
    edges: dammed.flatMap((a) =>
      a.edges.flatMap((e, edge) => (isDam(e.kind) ? [{ areaId: a.id, edge }] : [])),
    ),
    notBeforeMs: coat.poured.handleMs,
  };
}

export const LAY_RULES: readonly PrepRule[] = [
  {
    id: 'free dam',
    step: 'take off',
    title: 'Take the dam off, and sand its lip',
    how: 'Pull it away along the edge, low and slow. The resin that crept up it stands as a lip: sand it flush, 120 then 240, and lift the dust.',
    reason: 'What is poured next runs over open edges; over a lip it would stand as a ridge.',
    source: 'Common practice, no source.',
    needed: true,
    cautions: ['dust', 'knife'],
    find: (facts) => facts.lying.map((coat) => damDraft(facts, coat)).filter((d) => d !== null),
  },
  {
    id: 'turn',
    step: 'turn',
    title: 'Turn it over',
    how: 'Only when the upper side bears handling. A clean soft cloth below; the finished side masked first, so that nothing runs onto it.',
    reason:
      'One side lies down while the other is worked; a side that is still soft takes the print of the cloth.',
    source: 'Common practice, no source. The moment is that of the resin’s sheet for handling.',
    needed: true,
    find: (facts) => facts.waiting.map((coat) => turnDraft(facts, coat)).filter((d) => d !== null),
  },
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
