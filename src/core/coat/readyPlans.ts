import type { CoatKind, LayerKind } from '../piece';
import type { Intent } from './intent';

/** One coat of a ready plan. */
export interface ReadyCoat {
  readonly name: string;
  readonly kind: CoatKind;
  /** `usual`: the one that a coat of its kind starts with on the piece. */
  readonly intent: Intent | 'usual';
  /** Which areas it goes on: the faces, open recesses, or the back. */
  readonly on: 'faces' | 'recesses' | 'backs';
}

export interface ReadyPlan {
  readonly id: string;
  readonly title: string;
  readonly why: string;
  readonly coats: readonly ReadyCoat[];
  /** Layers that are not resin, each over one of the coats by its place from 0; null: on the ground. */
  readonly layers?: readonly { readonly kind: LayerKind; readonly over: number | null }[];
}

const mm = (n: number) => n / 1000;
const coat = (
  name: string,
  kind: CoatKind,
  intent: ReadyCoat['intent'],
  on: ReadyCoat['on'] = 'faces',
): ReadyCoat => ({ name, kind, intent, on });
const given = (n: number): Intent => ({ by: 'given', thicknessM: mm(n) });

/** Plans for common cases, each a starting point to edit. Common practice, no source. */
export const READY_PLANS: readonly ReadyPlan[] = [
  {
    id: 'sealed-tile',
    title: 'Sealed tile',
    why: 'Does not drink, so one flood is enough; open edges are flooded over.',
    coats: [coat('Flood', 'flood', 'usual')],
  },
  {
    id: 'porous-board',
    title: 'Porous board',
    why: 'A brushed skin closes the pores first; the flood over it then brings no bubbles.',
    coats: [coat('Seal', 'seal', { by: 'skin' }), coat('Flood', 'flood', 'usual')],
  },
  {
    id: 'ink-painting',
    title: 'Ink painting',
    why: 'A skim first, streamed on without touching; the flood then cannot move the ink.',
    coats: [coat('Skim', 'seal', given(0.6)), coat('Flood', 'flood', 'usual')],
  },
  {
    id: 'glitter-relief',
    title: 'Glitter relief',
    why: 'Lock loose parts with a thin coat, bury them, then one thin flood for the gloss.',
    coats: [
      coat('Lock', 'lock', given(0.7)),
      coat('Bury', 'flood', { by: 'bury', coverM: mm(0.5) }),
      coat('Gloss', 'flood', given(1.5)),
    ],
  },
  {
    id: 'torn-canvas',
    title: 'Torn canvas',
    why: 'A skim closes the mended tear and stiffens the cloth before the weight of a flood.',
    coats: [coat('Skim', 'seal', given(0.6)), coat('Flood', 'flood', given(1.4))],
  },
  {
    id: 'failed-pour',
    title: 'Failed pour, re-faced',
    why: 'Pits first, level with the face, then one flood over old and new alike.',
    coats: [
      coat('Fill', 'fill', { by: 'fill', belowM: 0 }, 'recesses'),
      coat('New face', 'flood', given(1.8)),
    ],
  },
  {
    id: 'tape-and-glitter',
    title: 'Tape design with glitter',
    why: 'A fill to lay the tape on, glitter in varnish over it, dry through; the second fill buries both.',
    coats: [
      coat('First fill', 'flood', given(1.6)),
      coat('Second fill', 'flood', { by: 'bury', coverM: mm(0.8) }),
    ],
    layers: [
      { kind: 'tape design', over: 0 },
      { kind: 'glitter in varnish', over: 0 },
    ],
  },
  {
    id: 'gilded-depth',
    title: 'Gilding under depth',
    why: 'Leaf on the ground, locked; lines gilded on the first flood, and a thin gloss that seals them in.',
    coats: [
      coat('Lock', 'lock', given(0.7)),
      coat('Flood', 'flood', given(1.6)),
      coat('Gloss', 'flood', given(1)),
    ],
    layers: [
      { kind: 'leaf', over: null },
      { kind: 'gilding', over: 1 },
    ],
  },
];
