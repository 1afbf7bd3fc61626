import { useMemo } from 'react';
import type { MixSplit } from '@/core/resin';
import { gatherChecks, learnedPour, USUAL_POUR_S, type GatherCheck } from '@/core/wet';
import { useShop } from '@/data/hooks';
import { spanText } from '@/features/common/clockText';
import { useCupOutlook } from '@/features/common/useCupOutlook';
import { useFormat } from '@/features/common/useFormat';
import type { Batch, Resin } from '@/records';
import { heatWords } from './GatherChecks';
import { meterOf } from './meter';

interface Gathered {
  readonly resin: Resin;
  readonly split: MixSplit | null;
  readonly temperatureK: number | null;
  readonly measure: Batch['measure'];
  readonly coats: number;
}

/** All that is looked at before a batch is mixed. */
export function useGatherChecks({ resin, split, temperatureK, measure, coats }: Gathered): {
  readonly checks: readonly GatherCheck[];
  /** What its cup does when it is left standing; null: nothing to say, or not worked out yet. */
  readonly heat: string | null;
  /** How long a piece takes, and how that is known. */
  readonly pours: string;
  readonly stops: boolean;
} {
  const { settings, batches } = useShop();
  const format = useFormat();
  const { sheet, declared } = resin;
  const learned = useMemo(() => learnedPour(batches.map((b) => b.events)), [batches]);
  const pourS = learned?.pourS ?? USUAL_POUR_S;
  const known = learned ? `learned from ${learned.count} pours` : 'as usual';
  const stepOf = (part: 'A' | 'B') => meterOf({ measure }, part, sheet, format, settings).stepKg;
  const stepKg = { a: stepOf('A'), b: stepOf('B') };
  const checks = split
    ? gatherChecks({
        ...{ sheet, curesK: declared.curesK, split, roomK: temperatureK },
        ...{ stepKg, coats, pourS },
      })
    : [];
  const question =
    split && temperatureK !== null
      ? { sheet, massKg: split.totalKg, roomK: temperatureK, startK: temperatureK }
      : null;
  const outlook = useCupOutlook(question);
  return {
    checks,
    heat: outlook.is === 'found' && outlook.outlook ? heatWords(outlook.outlook) : null,
    pours: `${spanText(pourS * 1000)} a piece, ${known}`,
    stops: checks.some((c) => c.verdict === 'stop'),
  };
}
