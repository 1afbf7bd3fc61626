import { combineBatch, type BatchPlan } from '@/core/coat';
import { mixDensity, splitMix, type MixSplit } from '@/core/resin';
import { colourCups, gatherChecks, MOST_COATS, shareOut, whiteLast } from '@/core/wet';
import type { Batch, Resin, Swatch } from '@/records';
import { ledgerInputOf, ledgerOf, type CoatView } from './coatView';

/**
 * How coats are shared out over batches. Schools: as few as stay harmless when a cup is forgotten; as few as can be poured in
 * their time, whatever a forgotten cup would do; all in one; each by itself.
 */
export type SharedOut = 'as few as are safe' | 'as few as fit' | 'one batch' | 'each by itself';

/** What a batch of a session is held to. */
export interface BatchLimits {
  readonly resin: Resin;
  /** K; null: not told. */
  readonly roomK: number | null;
  /** Smallest step of what is measured with, kg of each part. */
  readonly stepKg: { readonly a: number; readonly b: number };
  /** How long a piece takes to pour, s. */
  readonly pourS: number;
  /** Greatest mass in one cup that does not get dangerous, kg; null: not worked out yet. */
  readonly greatestKg: number | null;
  /** What the largest cup takes, m³; null: nobody said. */
  readonly cupM3: number | null;
}

/** One mixing as it is proposed. */
export interface ProposedBatch {
  readonly views: readonly CoatView[];
  readonly plan: BatchPlan;
  readonly split: MixSplit;
}

/** Checks of one batch against the limits of a session; that of the room is the same for all. */
export const checksOf = (
  { views, split }: Pick<ProposedBatch, 'views' | 'split'>,
  { resin, roomK, stepKg, pourS }: BatchLimits,
) =>
  gatherChecks({
    ...{ sheet: resin.sheet, curesK: resin.declared.curesK, split, roomK },
    ...{ stepKg, coats: views.length, pourS },
  });

interface Proposed {
  readonly asked: unknown[];
  readonly batches: readonly ProposedBatch[] | null;
}
const proposed = new WeakMap<ReturnType<typeof ledgerOf>, Proposed>();

/**
 * Batches for the coats of a session: as few as go into the largest cup, can be measured, poured in their working time and, where that is chosen,
 * left standing without danger, and of those the ones that leave least in cups and reserve.
 * @returns null where a coat has no volume, or there are more than can be shared out
 */
export function proposeBatches(
  views: readonly CoatView[],
  how: SharedOut,
  limits: BatchLimits,
): readonly ProposedBatch[] | null {
  const ledgers = views.map((view) => ledgerOf(view));
  const [first] = ledgers;
  if (!first) return null;
  // The screen asks every second; ledgers are the same while their coats are.
  const asked: unknown[] = [...ledgers, how, ...Object.values(limits.stepKg)];
  asked.push(limits.resin, limits.roomK, limits.pourS, limits.greatestKg, limits.cupM3);
  const before = proposed.get(first);
  if (before?.asked.length === asked.length && before.asked.every((a, i) => a === asked[i]))
    return before.batches;
  const batches = propose(views, how, limits);
  proposed.set(first, { asked, batches });
  return batches;
}

function propose(
  views: readonly CoatView[],
  how: SharedOut,
  limits: BatchLimits,
): readonly ProposedBatch[] | null {
  const parts = views.map((view) => ({ view, ledger: ledgerOf(view), input: ledgerInputOf(view) }));
  const read = parts.flatMap(({ view, ledger, input }) =>
    ledger.ok ? [{ view, ledger: ledger.value, input }] : [],
  );
  if (read.length === 0 || read.length < views.length) return null;
  const made = (places: readonly number[]): ProposedBatch | null => {
    const own = places.flatMap((i) => read[i] ?? []);
    const plan = combineBatch(own);
    const split = splitMix(plan.totalM3, limits.resin.sheet);
    return split.ok ? { views: own.map((p) => p.view), plan, split: split.value } : null;
  };
  const all = read.map((_, i) => i);
  if (how !== 'one batch' && all.length > MOST_COATS) return null;
  const shared =
    how === 'one batch'
      ? [all]
      : how === 'each by itself'
        ? all.map((i) => [i])
        : shareOut(all.length, (places) => {
            const batch = made(places);
            if (!batch) return { fits: false, wasteM3: 0 };
            const { plan, split } = batch;
            const { greatestKg } = limits;
            const safe = how === 'as few as are safe';
            const heavy = safe && greatestKg !== null && split.totalKg > greatestKg;
            const full = limits.cupM3 !== null && plan.totalM3 > limits.cupM3;
            const checks = checksOf(batch, limits).filter((c) => c.is !== 'room');
            const fits =
              !heavy && !full && checks.every((c) => c.is !== 'time' || c.verdict !== 'stop');
            const fine = checks.every((c) => c.is !== 'measure' || c.verdict === 'fine');
            return { fits: fits && fine, wasteM3: plan.cup.volumeM3 + plan.reserveM3 };
          });
  const batches = shared.map(made);
  return batches.some((b) => b === null) ? null : batches.flatMap((b) => b ?? []);
}

/** Cups of colour that are cut out of a batch, in the order of cutting: white last of all. */
export function cupsOf(
  views: readonly CoatView[],
  { sheet }: Resin,
  swatches: readonly Swatch[],
): Batch['cups'] {
  const cut = views.flatMap((view) => {
    const ledger = ledgerOf(view);
    if (!ledger.ok) return [];
    const colours = view.coat.colours.map(({ name, share, swatchId }) => ({
      ...{ name, share, white: swatches.find((s) => s.id === swatchId)?.white === true },
    }));
    const cups = colourCups(colours, ledger.value.pouredM3 * mixDensity(sheet));
    return cups.map((cup) => ({ ...cup, coatId: view.coat.id }));
  });
  return whiteLast(cut).map(({ coatId, colour, kg }) => ({ coatId, colour, kg }));
}

/**
 * Coats that could take what is left over of a session: ready, of the same resin, not chosen, and small enough for it. The one
 * that takes most stands first.
 * @param restM3 what is mixed as reserve, m³
 */
export const fillersOf = (
  ready: readonly CoatView[],
  chosen: readonly CoatView[],
  restM3: number,
): readonly CoatView[] => {
  const takes = (view: CoatView): number => {
    const ledger = ledgerOf(view);
    return ledger.ok ? ledger.value.pouredM3 : Infinity;
  };
  return ready
    .filter((v) => !chosen.includes(v) && takes(v) <= restM3)
    .sort((a, b) => takes(b) - takes(a));
};
