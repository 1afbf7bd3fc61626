'use client';
import { Box, Grid } from '@chakra-ui/react';
import type { BatchPlan } from '@/core/coat';
import type { ExplainInput, Explanation } from '@/core/explain';
import {
  workingTime,
  type MixSplit,
  partVolumeExplanation,
  splitExplanation,
  workingExplanation,
} from '@/core/resin';
import type { Issue } from '@/core/result';
import type { Batch, Id, Resin } from '@/records';
import { useShop } from '@/data/hooks';
import { spanText } from '@/features/common/clockText';
import type { CoatView } from '@/shop/coatView';
import { Explained } from '@/features/common/Explained';
import { issueText } from '@/features/common/issueText';
import { useFormat } from '@/features/common/useFormat';
import { Figure } from '@/ui/Figure';
import { Panel } from '@/ui/Panel';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { DensityDoubt } from './DensityDoubt';
import { LotChoice, type ChosenLot } from './LotChoice';
import { meterOf } from './meter';
import { BigAction } from './BigAction';
import { GatherChecks } from './GatherChecks';
import { useGatherChecks } from './useGatherChecks';
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

/** What a batch is measured with and mixed from. */
export interface BenchChoice {
  readonly measure: Batch['measure'];
  readonly onMeasure: (measure: Batch['measure']) => void;
  readonly lot: ChosenLot;
  readonly onLot: (lot: ChosenLot) => void;
  /** The bottles that this comes to. */
  readonly lotId: Id<'lot'> | null;
}

interface MixProps {
  readonly resin: Resin;
  readonly chosen: readonly CoatView[];
  readonly plan: BatchPlan | null;
  readonly split: MixSplit | null;
  readonly room: string;
  readonly onRoom: (text: string) => void;
  readonly temperatureK: number | null;
  readonly issue: Issue | undefined;
  readonly bench: BenchChoice;
  readonly busy: boolean;
  readonly onStart: () => void;
}

const MEASURED = [
  ['weight', 'on a scale'],
  ['volume', 'to the marks of cups'],
] as const;

/** The start; held down where something stops it. */
function StartKey({
  stops,
  measure,
  disabled,
  onStart,
}: Pick<BenchChoice, 'measure'> &
  Pick<MixProps, 'onStart'> & { stops: boolean; disabled: boolean }) {
  const words = measure === 'weight' ? 'Start: weigh A' : 'Start: measure A';
  return (
    <Box display="flex" mt="3">
      <BigAction
        kind="main"
        token="start"
        label={stops ? 'Start all the same' : words}
        hotkey="enter"
        keyName="enter"
        hold={stops}
        disabled={disabled}
        onAct={onStart}
      />
    </Box>
  );
}

/** What one batch takes, how warm it is, and the start. */
export function MixPanel({
  resin,
  chosen,
  plan,
  split,
  room,
  onRoom,
  temperatureK,
  issue,
  bench,
  busy,
  onStart,
}: MixProps) {
  const format = useFormat();
  const { measure, onMeasure, lot, onLot } = bench;
  const { settings } = useShop();
  const { checks, heat, pours, stops } = useGatherChecks({
    ...{ resin, split, temperatureK, measure, coats: chosen.length },
  });
  const [why, quantity] =
    measure === 'volume'
      ? ([partVolumeExplanation, 'volume'] as const)
      : ([splitExplanation, 'mass'] as const);
  const amount = (part: 'A' | 'B', kg: number) =>
    meterOf({ measure }, part, resin.sheet, format, settings).show(kg).text;
  return (
    <Panel flex="2 1 320px" p="5">
      <Box color="ink2">Mix</Box>
      <Box fontSize="4xl" fontWeight="600" lineHeight="1.1">
        <Explained explanation={gatherExplanation(chosen, plan)} quantity="volume">
          <Figure>{format.show(plan?.totalM3 ?? 0, 'volume').text}</Figure>
        </Explained>
      </Box>
      {plan && (
        <Box fontSize="sm" color="ink2" mb="1">
          of it <Figure>{format.show(plan.cup.volumeM3, 'volume').text}</Figure> stay in the cup,{' '}
          <Figure>{format.show(plan.reserveM3, 'volume').text}</Figure> are reserve
        </Box>
      )}
      {split && (
        <Box mb="3" fontWeight="600">
          A{' '}
          <Explained explanation={why(split, resin.sheet, 'A')} quantity={quantity}>
            <Figure>{amount('A', split.aKg)}</Figure>
          </Explained>{' '}
          · B{' '}
          <Explained explanation={why(split, resin.sheet, 'B')} quantity={quantity}>
            <Figure>{amount('B', split.bKg)}</Figure>
          </Explained>
        </Box>
      )}
      <Grid templateColumns="1fr 1fr" gap="3" mb="2">
        <SelectField
          label="Measured out"
          options={MEASURED}
          value={measure}
          onChange={(e) => onMeasure(e.target.value as Batch['measure'])}
        />
        <TextField
          label="Room and bottles"
          value={room}
          onChange={(e) => onRoom(e.target.value)}
          error={issue ? issueText(issue, 'temperature', format) : undefined}
        />
      </Grid>
      {measure === 'weight' && <DensityDoubt sheet={resin.sheet} />}
      <LotChoice resin={resin} split={split} chosen={lot} onChoose={onLot} />
      {temperatureK !== null && split && (
        <Box mt="2">
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
      <GatherChecks checks={checks} heat={heat} pours={pours} />
      <StartKey
        stops={stops}
        measure={measure}
        disabled={temperatureK === null || !split || busy}
        onStart={onStart}
      />
    </Panel>
  );
}
