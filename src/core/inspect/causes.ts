import type { DefectKind } from '../piece';

/** What makes faults, by code; `other` is whatever is not on the list. Common practice, no source. */
export const CAUSES = [
  'grease',
  'silicone',
  'too thin',
  'unsealed',
  'trapped water',
  'air stirred in',
  'cold resin',
  'no second look',
  'late cover',
  'dirty room',
  'overheating',
  'draught',
  'texture below',
  'poured late',
  'flame too long',
  'heat late',
  'hot cup',
  'ratio off',
  'unmixed',
  'damp',
  'cold room',
  'not yet cured',
  'old resin',
  'too much colour',
  'mask missing',
  'mask left',
  'mask loose',
  'ran off',
  'out of level',
  'too little pigment',
  'too little volume',
  'relief too high',
  'no tooth',
  'coated over sticky',
  'sanded beyond',
  'meniscus',
  'short fill',
  'peeled against the edge',
  'one strong colour',
  'white too early',
  'reworked',
  'ink dissolved',
  'other',
] as const;
export type Cause = (typeof CAUSES)[number];

export interface Prior {
  readonly cause: Cause;
  /** Before anything is known of the coat, 0…1; those of one kind sum to 1. */
  readonly prior: number;
}

const of = (shares: Partial<Record<Cause, number>>): readonly Prior[] => {
  const listed = Object.entries(shares) as [Cause, number][];
  const known = listed.reduce((sum, [, share]) => sum + share, 0);
  return [
    ...listed.map(([cause, prior]) => ({ cause, prior })),
    { cause: 'other', prior: 1 - known },
  ];
};

/** How often each cause stands behind a fault of a kind, before the log is read. Judgement on common practice, no source. */
export const PRIORS: Readonly<Record<DefectKind, readonly Prior[]>> = {
  'fish eye': of({ grease: 0.4, 'too thin': 0.3, silicone: 0.15 }),
  bubbles: of({
    ...{ unsealed: 0.28, 'air stirred in': 0.2, 'cold resin': 0.15 },
    ...{ 'no second look': 0.15, 'trapped water': 0.1 },
  }),
  'dust nib': of({ 'late cover': 0.45, 'dirty room': 0.4 }),
  dimples: of({ overheating: 0.3, 'texture below': 0.3, draught: 0.15, 'poured late': 0.12 }),
  scorch: of({ 'flame too long': 0.5, 'heat late': 0.25, 'hot cup': 0.15 }),
  'soft spot': of({
    ...{ unmixed: 0.45, 'ratio off': 0.15, damp: 0.1, 'cold room': 0.1 },
    'too much colour': 0.1,
  }),
  'tacky all over': of({
    ...{ 'ratio off': 0.28, 'cold room': 0.25, 'not yet cured': 0.25 },
    'old resin': 0.1,
  }),
  haze: of({ damp: 0.4, 'cold resin': 0.15, 'ratio off': 0.15, 'trapped water': 0.15 }),
  drips: of({ 'mask missing': 0.6, 'ran off': 0.2, 'mask loose': 0.1 }),
  'tape lip': of({ 'mask left': 0.85 }),
  seep: of({ 'mask loose': 0.7, 'mask missing': 0.12 }),
  'thin edge': of({ 'ran off': 0.6, 'too little volume': 0.15, 'out of level': 0.15 }),
  'see-through': of({ 'too little pigment': 0.6, 'too little volume': 0.3 }),
  'proud relief': of({ 'relief too high': 0.8, 'too little volume': 0.1 }),
  peeling: of({
    ...{ 'no tooth': 0.5, grease: 0.15, 'coated over sticky': 0.15 },
    'trapped water': 0.1,
  }),
  scratches: of({ 'sanded beyond': 0.85 }),
  'sharp rim': of({ meniscus: 0.6, 'short fill': 0.3 }),
  'gilding lifted': of({ 'peeled against the edge': 0.6, 'mask left': 0.25 }),
  'muddy colour': of({
    ...{ 'one strong colour': 0.35, 'white too early': 0.25, reworked: 0.2 },
    'ink dissolved': 0.1,
  }),
  // It is no fault: there is nothing to explain.
  'not liked': of({}),
};
