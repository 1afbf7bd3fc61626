import { Box } from '@chakra-ui/react';
import type { BatchPlan } from '@/core/coat';
import type { ExplainInput, Explanation } from '@/core/explain';
import {
  partVolumeExplanation,
  splitExplanation,
  workingExplanation,
  workingTime,
} from '@/core/resin';
import { useShop } from '@/data/hooks';
import { spanText } from '@/features/common/clockText';
import { Explained } from '@/features/common/Explained';
import { useFormat } from '@/features/common/useFormat';
import type { Batch, Resin } from '@/records';
import type { CoatView } from '@/shop/coatView';
import { Figure } from '@/ui/Figure';
import { meterOf } from './meter';
import type { GatheredBatch } from './useGatherChecks';
import { pouredOf } from './volumeOf';

const volume = (
  label: string,
  value: number,
  source: ExplainInput['source'] = 'computed',
): ExplainInput => ({ label, value, quantity: 'volume', source });

const gatherExplanation = (chosen: readonly CoatView[], plan: BatchPlan | null): Explanation => ({
  title: 'Mix for this batch',
  formula: 'sum of what is poured + cup + reserve; reserve z · √Σσ²',
  inputs: [
    ...chosen.map((view) => volume(`${view.piece.name}, ${view.coat.name}`, pouredOf(view))),
    ...(plan
      ? [
          volume('stays on cup, stick and glove', plan.cup.volumeM3),
          volume('uncertainty of the sum', plan.sigmaM3),
          volume('reserve', plan.reserveM3),
        ]
      : []),
  ],
  source: 'Each coat’s own ledger, on the coat’s page; errors of several coats are independent.',
  ...(chosen.length > 1 && {
    note: 'One cup and one reserve for all: less than the sum of the coats mixed one by one.',
  }),
});

/** What is mixed for one batch: its volume, both parts, what stays in the cup, and how long it can be worked. */
export function BatchFigures({
  batch: { views, plan, split },
  resin,
  measure,
  temperatureK,
  several,
}: {
  batch: GatheredBatch;
  resin: Resin;
  measure: Batch['measure'];
  temperatureK: number | null;
  /** It is one of several. */
  several: boolean;
}) {
  const format = useFormat();
  const { settings } = useShop();
  const [why, quantity] =
    measure === 'volume'
      ? ([partVolumeExplanation, 'volume'] as const)
      : ([splitExplanation, 'mass'] as const);
  const amount = (part: 'A' | 'B', kg: number) =>
    meterOf({ measure }, part, resin.sheet, format, settings).show(kg).text;
  return (
    <>
      <Box fontSize={several ? '2xl' : '4xl'} fontWeight="600" lineHeight="1.1">
        <Explained explanation={gatherExplanation(views, plan)} quantity="volume">
          <Figure>{format.show(plan.totalM3, 'volume').text}</Figure>
        </Explained>
      </Box>
      <Box fontSize="sm" color="ink2" mb="1">
        of it <Figure>{format.show(plan.cup.volumeM3, 'volume').text}</Figure> stay in the cup,{' '}
        <Figure>{format.show(plan.reserveM3, 'volume').text}</Figure> are reserve
      </Box>
      <Box mb="2" fontWeight="600">
        A{' '}
        <Explained explanation={why(split, resin.sheet, 'A')} quantity={quantity}>
          <Figure>{amount('A', split.aKg)}</Figure>
        </Explained>{' '}
        · B{' '}
        <Explained explanation={why(split, resin.sheet, 'B')} quantity={quantity}>
          <Figure>{amount('B', split.bKg)}</Figure>
        </Explained>
      </Box>
      {temperatureK !== null && (
        <Box mb="2">
          Working time{' '}
          <Explained
            explanation={workingExplanation(resin.sheet, split.totalKg, temperatureK)}
            quantity="duration"
          >
            <Figure fontWeight="600">
              {spanText(workingTime(resin.sheet, split.totalKg, temperatureK) * 1000)}
            </Figure>
          </Explained>{' '}
          once B meets A
        </Box>
      )}
    </>
  );
}
