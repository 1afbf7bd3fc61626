import { useMemo, useState } from 'react';
import { learnedPour, USUAL_POUR_S, type GatherCheck } from '@/core/wet';
import { useShop } from '@/data/hooks';
import { spanText } from '@/features/common/clockText';
import { useCupOutlook } from '@/features/common/useCupOutlook';
import { useFormat } from '@/features/common/useFormat';
import type { Batch, Resin } from '@/records';
import {
  checksOf,
  proposeBatches,
  type BatchLimits,
  type ProposedBatch,
  type SharedOut,
} from '@/shop/batches';
import type { CoatView } from '@/shop/coatView';
import { heatWords } from './GatherChecks';
import { meterOf } from './meter';

interface Gathered {
  readonly resin: Resin;
  readonly chosen: readonly CoatView[];
  readonly how: SharedOut;
  readonly temperatureK: number | null;
  readonly measure: Batch['measure'];
}

/** One batch as it is proposed, with what is looked at before it is mixed. */
export interface GatheredBatch extends ProposedBatch {
  readonly checks: readonly GatherCheck[];
}

export interface GatheredSession {
  /** Null: a coat has no volume, or they are too many. */
  readonly batches: readonly GatheredBatch[] | null;
  /** What the largest does in its cup when it is left standing; null: nothing to say, or not worked out yet. */
  readonly heat: string | null;
  /** How long a piece takes, and how that is known. */
  readonly pours: string;
  readonly stops: boolean;
}

/** Batches of a session before they are mixed, and all that is looked at. */
export function useGathered({ resin, chosen, how, temperatureK, measure }: Gathered) {
  const { settings, batches: before } = useShop();
  const format = useFormat();
  const { sheet } = resin;
  const learned = useMemo(() => learnedPour(before.map((b) => b.events)), [before]);
  const pourS = learned?.pourS ?? USUAL_POUR_S;
  const known = learned ? `learned from ${learned.count} pours` : 'as usual';
  const stepOf = (part: 'A' | 'B') => meterOf({ measure }, part, sheet, format, settings).stepKg;
  const stepKg = { a: stepOf('A'), b: stepOf('B') };
  // The greatest mass of a cup follows from sheet and room alone: it holds while another mass is asked for.
  const cup = `${resin.id}/${temperatureK}`;
  const [greatest, setGreatest] = useState<{ cup: string; kg: number } | null>(null);
  const limits: BatchLimits = {
    ...{ resin, roomK: temperatureK, stepKg, pourS, cupM3: settings.cupM3 },
    greatestKg: greatest?.cup === cup ? greatest.kg : null,
  };
  const proposed = proposeBatches(chosen, how, limits);
  const batches = proposed?.map((b) => ({ ...b, checks: checksOf(b, limits) })) ?? null;
  const massKg = Math.max(0, ...(batches ?? []).map((b) => b.split.totalKg));
  const question =
    massKg > 0 && temperatureK !== null
      ? { sheet, massKg, roomK: temperatureK, startK: temperatureK }
      : null;
  const outlook = useCupOutlook(question);
  const found = outlook.is === 'found' ? outlook.outlook : null;
  if (found && (greatest?.cup !== cup || greatest.kg !== found.greatestKg))
    setGreatest({ cup, kg: found.greatestKg });
  const gathered: GatheredSession = {
    batches,
    heat: found ? heatWords(found) : null,
    pours: `${spanText(pourS * 1000)} a piece, ${known}`,
    stops: (batches ?? []).some((b) => b.checks.some((c) => c.verdict === 'stop')),
  };
  return gathered;
}
