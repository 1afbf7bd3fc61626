import type { DefectKind } from '../piece';
import { assert } from '../result';
import { PRIORS, type Cause } from './causes';
import { likelihood, TESTS, type Evidence, type EvidenceCode } from './evidence';

/**
 * Evidence of one coat hangs together (a cold room makes cold resin): each piece counts for less than if it stood alone.
 * Set so that what is called sure is sure on the written cases. Judgement, no source.
 */
export const TEMPER = 0.85;
/** What speaks for the first cause must at least double its odds against the rest, or nothing is said. Judgement, no source. */
export const LEAST_WEIGHT = Math.log(2);
/** A first cause that is less likely than this is no answer. Judgement, no source. */
export const LEAST_PROBABILITY = 0.4;

/** What one piece of evidence does to one cause. */
export interface Weighed {
  readonly evidence: Evidence;
  /** Change of the log odds of the cause against all others: above zero speaks for it. */
  readonly weight: number;
}

export interface RankedCause {
  readonly cause: Cause;
  readonly prior: number;
  readonly probability: number;
  /** Strongest first, whether it speaks for or against. */
  readonly evidence: readonly Weighed[];
}

/** A look or a test that nobody did yet, and what it would tell on average, nats. */
export interface Settling {
  readonly test: EvidenceCode;
  readonly gain: number;
}

export interface Diagnosis {
  /** Most likely first. */
  readonly ranked: readonly RankedCause[];
  /** Null: it names its first cause. */
  readonly abstains: 'no evidence' | 'thin' | 'undecided' | null;
  /** Codes that were told both ways: kept, and not used. */
  readonly contradicted: readonly EvidenceCode[];
  /** What would tell most, best first. */
  readonly settle: readonly Settling[];
}

/** P(evidence | cause) for evidence that is more or less sure (Pearl, Probabilistic Reasoning, 1988, virtual evidence; from memory). */
const factor = ({ code, truth }: Evidence, cause: Cause): number => {
  const so = likelihood(code, cause);
  return so * truth + (1 - so) * (1 - truth);
};

type Shares = ReadonlyMap<Cause, number>;

/** Bayes’ rule over causes that exclude each other, each piece of evidence tempered. */
function posterior(priors: Shares, evidence: readonly Evidence[]): Shares {
  const raw = [...priors].map(([cause, prior]): [Cause, number] => [
    cause,
    prior * Math.exp(TEMPER * evidence.reduce((s, e) => s + Math.log(factor(e, cause)), 0)),
  ]);
  const total = raw.reduce((sum, [, p]) => sum + p, 0);
  return new Map(raw.map(([cause, p]) => [cause, p / total]));
}

const share = (of: Shares, cause: Cause): number => of.get(cause) ?? 0;

/** How one piece of evidence moves the odds of a cause against the rest of its kind, as the others stand. */
function weightOf(e: Evidence, cause: Cause, others: Shares): number {
  let rest = 0;
  let mean = 0;
  for (const [other, p] of others) {
    if (other === cause) continue;
    rest += p;
    mean += p * factor(e, other) ** TEMPER;
  }
  return rest > 0 ? TEMPER * Math.log(factor(e, cause)) - Math.log(mean / rest) : 0;
}

const entropy = (of: Shares): number =>
  [...of.values()].reduce((sum, p) => (p > 0 ? sum - p * Math.log(p) : sum), 0);

/** Mutual information of a test and the cause, nats: what its answer is expected to tell. */
function gainOf(code: EvidenceCode, now: Shares): number {
  const given = (truth: 0 | 1) => {
    const e: Evidence = { code, truth, figures: {} };
    const chance = [...now].reduce((sum, [cause, p]) => sum + p * factor(e, cause), 0);
    return chance * entropy(posterior(now, [e]));
  };
  return entropy(now) - given(0) - given(1);
}

/** A gain that is worth a hand’s time, nats. Judgement, no source. */
const WORTH = 0.02;

function splitContradicted(evidence: readonly Evidence[]) {
  const told = new Map<EvidenceCode, Evidence[]>();
  for (const e of evidence) told.set(e.code, [...(told.get(e.code) ?? []), e]);
  const used: Evidence[] = [];
  const contradicted: EvidenceCode[] = [];
  for (const [code, list] of told) {
    const [first] = list;
    if (list.some((e) => e.truth > 0.5) && list.some((e) => e.truth < 0.5)) contradicted.push(code);
    else if (first) used.push(list.reduce((a, b) => (farther(b, a) ? b : a), first));
  }
  return { used, contradicted };
}
const farther = (a: Evidence, b: Evidence) => Math.abs(a.truth - 0.5) > Math.abs(b.truth - 0.5);

/**
 * Ranks the causes of a fault.
 * @param kind what was found
 * @param evidence what is known of the coat, each with truth 0…1; what is not known is left out
 * @returns causes with their probabilities, the weight of each piece of evidence, and what would settle it
 * @throws RangeError on a truth outside 0…1
 * Source: Bayes’ rule with causes that exclude each other; likelihoods are judgement ({@link EVIDENCE}).
 */
export function diagnose(kind: DefectKind, evidence: readonly Evidence[]): Diagnosis {
  for (const e of evidence) assert(e.truth >= 0 && e.truth <= 1, 'diagnose', e.truth);
  const { used, contradicted } = splitContradicted(evidence);
  const priors: Shares = new Map(PRIORS[kind].map((p) => [p.cause, p.prior]));
  const after = posterior(priors, used);
  const ranked = [...after]
    .map(([cause, probability]): RankedCause => {
      const weighed = used.map((e) => ({ evidence: e, weight: weightOf(e, cause, priors) }));
      const strongest = weighed
        .filter((w) => Math.abs(w.weight) > 0.05)
        .sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight));
      return { cause, prior: share(priors, cause), probability, evidence: strongest };
    })
    .sort((a, b) => b.probability - a.probability || b.prior - a.prior);
  const known = new Set(evidence.map((e) => e.code));
  const settle = TESTS.filter((test) => !known.has(test))
    .map((test) => ({ test, gain: gainOf(test, after) }))
    .filter(({ gain }) => gain > WORTH)
    .sort((a, b) => b.gain - a.gain);
  return { ranked, abstains: abstains(ranked, used), contradicted, settle };
}

function abstains(
  ranked: readonly RankedCause[],
  used: readonly Evidence[],
): Diagnosis['abstains'] {
  const [first] = ranked;
  if (!first || first.prior === 1 || used.every((e) => e.truth === 0.5)) return 'no evidence';
  const speaks = first.evidence.reduce((sum, w) => sum + Math.max(0, w.weight), 0);
  if (speaks < LEAST_WEIGHT) return 'thin';
  return first.cause === 'other' || first.probability < LEAST_PROBABILITY ? 'undecided' : null;
}
