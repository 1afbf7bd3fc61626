import type { Cause } from './causes';

/** What the log, the survey or a look tells for or against a cause, by code. */
export interface EvidenceRule {
  /** How often it is so where none of the causes below is at work, 0…1. */
  readonly usual: number;
  /** How often it is so where the cause is at work, 0…1. */
  readonly so: Partial<Record<Cause, number>>;
  /** Told by a look or a test on the piece and by no entry: it can be asked for. */
  readonly asked?: true;
}

const rule = (
  usual: number,
  so: Partial<Record<Cause, number>>,
  asked?: 'asked',
): EvidenceRule => ({ usual, so, ...(asked && { asked: true }) });

/**
 * Likelihoods of evidence, judgement on common practice (trade notes on causes), no source. The dew point’s margin is the
 * practice of ISO 8502-4 (from memory): the surface at least 3 K above the dew point.
 */
export const EVIDENCE = {
  'ratio off': rule(0.05, { 'ratio off': 0.85 }),
  'ratio not read': rule(0.25, { 'ratio off': 0.55 }),
  'stirred short': rule(0.06, { unmixed: 0.6, 'ratio off': 0.1 }),
  'one cup': rule(0.6, { unmixed: 0.85 }),
  'mixed cold': rule(0.1, { 'cold resin': 0.85, 'cold room': 0.6, damp: 0.3 }),
  'cured cold': rule(0.1, {
    ...{ 'cold room': 0.9, 'not yet cured': 0.35, damp: 0.35, 'cold resin': 0.5 },
  }),
  'near the dew point': rule(0.07, { damp: 0.8, 'trapped water': 0.15 }),
  humid: rule(0.15, { damp: 0.7, 'trapped water': 0.35 }),
  'not wiped': rule(0.12, { grease: 0.7, 'dirty room': 0.35 }),
  'bare hands': rule(0.1, { grease: 0.6 }),
  'silicone below': rule(0.03, { silicone: 0.9 }),
  'dust not lifted': rule(0.12, { 'dirty room': 0.65, 'late cover': 0.2 }),
  'covered late': rule(0.15, { 'late cover': 0.85, draught: 0.4 }),
  'not sealed': rule(0.08, { unsealed: 0.9 }),
  'water below': rule(0.06, { 'trapped water': 0.85 }),
  'no bubble round': rule(0.2, { 'no second look': 0.9, 'air stirred in': 0.4 }),
  'not rested': rule(0.25, { 'air stirred in': 0.65 }),
  'thin film': rule(0.1, {
    ...{ 'too thin': 0.85, 'too little volume': 0.8, 'ran off': 0.3, 'texture below': 0.3 },
  }),
  'ran short': rule(0.04, { 'too thin': 0.3, 'too little volume': 0.7 }),
  'open edges': rule(0.45, { 'ran off': 0.9 }),
  torch: rule(0.35, { 'flame too long': 0.95, overheating: 0.75, 'heat late': 0.8 }),
  'many heat passes': rule(0.12, { 'flame too long': 0.65, overheating: 0.75 }),
  'heat late': rule(0.05, { 'heat late': 0.9 }),
  'poured late': rule(0.05, { 'poured late': 0.9, 'air stirred in': 0.15 }),
  'heavy cup': rule(0.08, { 'hot cup': 0.85 }),
  'no mask': rule(0.12, { 'mask missing': 0.9, 'mask loose': 0.02, 'mask left': 0.02 }),
  'mask overdue': rule(0.08, { 'mask left': 0.85, 'mask missing': 0.02 }),
  'no tooth': rule(0.06, { 'no tooth': 0.9 }),
  'coated too soon': rule(0.05, { 'coated over sticky': 0.85 }),
  'relief proud': rule(0.08, { 'relief too high': 0.9 }),
  'out of level': rule(0.1, { 'out of level': 0.85, 'ran off': 0.3 }),
  'over the colour limit': rule(0.05, { 'too much colour': 0.9 }),
  'opacity low': rule(0.15, { 'too little pigment': 0.8 }),
  'past its date': rule(0.06, { 'old resin': 0.85 }),
  'looked early': rule(0.12, { 'not yet cured': 0.9 }),
  'gloss on ink': rule(0.03, { 'ink dissolved': 0.9 }),
  'sanded outside': rule(0.1, { 'sanded beyond': 0.85 }),

  // Where it sits and how many there are: told with the finding.
  'at the edge': rule(0.3, {
    ...{ 'ran off': 0.9, 'mask loose': 0.8, 'mask left': 0.85, 'too thin': 0.5, meniscus: 0.95 },
    ...{ grease: 0.3, draught: 0.35, 'peeled against the edge': 0.9, 'out of level': 0.7 },
  }),
  'all over': rule(0.25, {
    ...{ 'ratio off': 0.75, 'cold room': 0.8, damp: 0.7, 'not yet cured': 0.85, 'old resin': 0.8 },
    ...{ unmixed: 0.05, 'too much colour': 0.5, 'dirty room': 0.5, unsealed: 0.5, grease: 0.15 },
    ...{
      'late cover': 0.6,
      draught: 0.6,
      'cold resin': 0.6,
      silicone: 0.5,
      'flame too long': 0.05,
    },
  }),
  'many spots': rule(0.3, {
    ...{ unsealed: 0.8, 'air stirred in': 0.75, 'cold resin': 0.65, 'dirty room': 0.65 },
    ...{ 'late cover': 0.6, silicone: 0.6, grease: 0.35, unmixed: 0.15, 'no second look': 0.5 },
  }),

  // Tests that a hand can do on the piece.
  'prints all over': rule(
    0.25,
    {
      ...{ 'ratio off': 0.9, 'cold room': 0.85, 'not yet cured': 0.92, 'old resin': 0.75 },
      ...{ unmixed: 0.08, 'too much colour': 0.7, damp: 0.2 },
    },
    'asked',
  ),
  'firm after a warm day': rule(
    0.3,
    {
      ...{ 'not yet cured': 0.93, 'cold room': 0.9, 'ratio off': 0.04, unmixed: 0.06 },
      ...{ 'old resin': 0.15, 'too much colour': 0.1, damp: 0.3 },
    },
    'asked',
  ),
  'washes off with water': rule(
    0.15,
    { damp: 0.85, 'cold resin': 0.25, 'ratio off': 0.15, 'trapped water': 0.05 },
    'asked',
  ),
  'pits reach the ground': rule(
    0.3,
    {
      ...{ unsealed: 0.8, grease: 0.75, silicone: 0.75, 'too thin': 0.8, 'trapped water': 0.4 },
      ...{ 'air stirred in': 0.12, 'no second look': 0.15, 'cold resin': 0.15 },
    },
    'asked',
  ),
  'water draws into beads': rule(0.2, { grease: 0.75, silicone: 0.92, 'too thin': 0.1 }, 'asked'),
  'streaks in it': rule(0.12, { unmixed: 0.7, 'ratio off': 0.1, 'too much colour': 0.2 }, 'asked'),
  'follows what lies below': rule(0.2, { 'texture below': 0.88, unsealed: 0.5 }, 'asked'),
  'tape was not pressed down': rule(
    0.2,
    { 'mask loose': 0.9, 'mask missing': 0.02, 'mask left': 0.1 },
    'asked',
  ),
} as const satisfies Readonly<Record<string, EvidenceRule>>;

export type EvidenceCode = keyof typeof EVIDENCE;
export const EVIDENCE_CODES = Object.keys(EVIDENCE) as EvidenceCode[];

/** The same table, its rules read alike. */
export const evidenceRule = (code: EvidenceCode): EvidenceRule => EVIDENCE[code];

/** What a hand can find out. */
export const TESTS = EVIDENCE_CODES.filter((code) => evidenceRule(code).asked);

/** How often evidence is so under a cause, 0…1. */
export const likelihood = (code: EvidenceCode, cause: Cause): number =>
  evidenceRule(code).so[cause] ?? evidenceRule(code).usual;

/** One piece of evidence about a coat. */
export interface Evidence {
  readonly code: EvidenceCode;
  /** How surely it is so: 1 it is, 0 it is not, 0.5 tells nothing. */
  readonly truth: number;
  /** Figures that it rests on, SI, unit in the name. */
  readonly figures: Readonly<Record<string, number>>;
}
