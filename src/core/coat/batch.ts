import { normalQuantile } from '../numeric';
import { assert, fail, ok, type Result } from '../result';
import type { LedgerInput } from './input';
import { coatLedger, sigmaOf, type Ledger } from './ledger';
import type { LedgerLine } from './ledgerLine';
import { cupLine, normalShareBelow, usesGlove } from './overLines';

/** One coat of a batch with its own ledger, from which cup and reserve are left out. */
export interface BatchCoat {
  readonly ledger: Ledger;
  /** What is poured for it, m³. */
  readonly pouredM3: number;
}

/** What one batch for several coats comes to. */
export interface BatchPlan {
  readonly coats: readonly BatchCoat[];
  readonly cup: LedgerLine;
  readonly reserveM3: number;
  /** Sum without the reserve, and its standard deviation, m³. */
  readonly neededM3: number;
  readonly sigmaM3: number;
  readonly totalM3: number;
  readonly totalKg: number;
  readonly enough: number;
}

/** What a coat wants over its sum: a share of it, or so many of its standard deviations. */
function wanted({ reserve }: LedgerInput, ledger: Ledger): { shareM3: number; z: number } {
  const own = ledger.lines.find((l) => l.id === 'reserve');
  if (own?.computedM3 !== undefined) return { shareM3: own.volumeM3, z: 0 };
  return reserve.by === 'share'
    ? { shareM3: reserve.share * ledger.pouredM3, z: 0 }
    : { shareM3: 0, z: normalQuantile(reserve.confidence) };
}

/**
 * One batch that serves several coats: one cup and stick, and one reserve, for errors of several coats rarely all go
 * the same way.
 * @param inputs of one resin, at least one; a coat alone comes to its own ledger
 * @returns volumes m³; or the faults of the coats, each path with the coat’s number first
 * Source: independent errors, σ² adds: reserve z √Σσ²; shares of the school “a little over” add.
 */
export function planBatch(inputs: readonly LedgerInput[]): Result<BatchPlan> {
  const [first] = inputs;
  if (!first) return fail({ code: 'required', path: ['coats'], value: [] });
  const read = inputs.map((input) => coatLedger(input));
  const issues = read.flatMap((r, i) =>
    r.ok ? [] : r.issues.map((issue) => ({ ...issue, path: ['coats', i, ...issue.path] })),
  );
  if (issues.length > 0) return fail(...issues);
  return ok(
    combineBatch(
      read.flatMap((r, i) => (r.ok && inputs[i] ? [{ input: inputs[i], ledger: r.value }] : [])),
    ),
  );
}

/**
 * What one batch comes to for coats whose ledgers are worked out: see {@link planBatch}.
 * @throws RangeError without a coat
 */
export function combineBatch(
  parts: readonly { readonly input: LedgerInput; readonly ledger: Ledger }[],
): BatchPlan {
  const inputs = parts.map((p) => p.input);
  const ledgers = parts.map((p) => p.ledger);
  const [first] = inputs;
  assert(first !== undefined, 'combineBatch', parts.length);
  const pouredM3 = ledgers.reduce((s, l) => s + l.pouredM3, 0);
  const oldest = inputs.reduce((a, b) => (b.restS > a.restS ? b : a));
  const own = ledgers.length === 1 ? ledgers[0]?.lines.find((l) => l.id === 'cup') : undefined;
  const cup = own ?? cupLine(pouredM3, oldest, inputs.some(usesGlove));
  const neededM3 = pouredM3 + cup.volumeM3;
  const sigmaM3 = Math.hypot(
    cup.explanation.sigma ?? 0,
    ...ledgers.map((l) => sigmaOf(l.lines.filter(({ id }) => id !== 'cup' && id !== 'reserve'))),
  );
  const wishes = ledgers.map((l, i) => wanted(inputs[i] ?? first, l));
  const z = Math.max(...wishes.map((w) => w.z));
  const shares = wishes.reduce((s, w) => s + w.shareM3, 0);
  const cupShare = first.reserve.by === 'share' ? first.reserve.share * cup.volumeM3 : 0;
  const reserveM3 = z * sigmaM3 + shares + cupShare;
  const totalM3 = neededM3 + reserveM3;
  return {
    coats: ledgers.map((ledger) => ({ ledger, pouredM3: ledger.pouredM3 })),
    ...{ cup, reserveM3, neededM3, sigmaM3, totalM3 },
    totalKg: totalM3 * first.densityKgM3,
    enough: normalShareBelow(reserveM3 / sigmaM3),
  };
}
