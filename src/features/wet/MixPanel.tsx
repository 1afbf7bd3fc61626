'use client';
import { Box, Grid } from '@chakra-ui/react';
import { splitMix } from '@/core/resin';
import { MOST_COATS } from '@/core/wet';
import type { Issue } from '@/core/result';
import type { Batch, Id, Resin } from '@/records';
import type { SharedOut } from '@/shop/batches';
import type { CoatView } from '@/shop/coatView';
import { issueText } from '@/features/common/issueText';
import { ScaleSelect } from '@/features/common/ScaleSelect';
import { useFormat } from '@/features/common/useFormat';
import { Panel } from '@/ui/Panel';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { BatchFigures } from './BatchFigures';
import { DensityDoubt } from './DensityDoubt';
import { LotChoice, type ChosenLot } from './LotChoice';
import { BigAction } from './BigAction';
import { GatherChecks } from './GatherChecks';
import type { GatheredSession } from './useGatherChecks';

/** What a session is measured with and mixed from, and how its coats are shared out. */
export interface BenchChoice {
  readonly measure: Batch['measure'];
  readonly onMeasure: (measure: Batch['measure']) => void;
  readonly lot: ChosenLot;
  readonly onLot: (lot: ChosenLot) => void;
  /** The bottles that this comes to. */
  readonly lotId: Id<'lot'> | null;
  readonly how: SharedOut;
  readonly onHow: (how: SharedOut) => void;
}

interface MixProps {
  readonly resin: Resin;
  readonly chosen: readonly CoatView[];
  readonly gathered: GatheredSession;
  readonly room: string;
  readonly onRoom: (text: string) => void;
  readonly temperatureK: number | null;
  readonly issue: Issue | undefined;
  readonly bench: BenchChoice;
  /** What nobody said is at hand. */
  readonly missing: number;
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
  missing,
  measure,
  disabled,
  onStart,
}: Pick<BenchChoice, 'measure'> &
  Pick<MixProps, 'onStart' | 'missing'> & { stops: boolean; disabled: boolean }) {
  const words = measure === 'weight' ? 'Start: weigh A' : 'Start: measure A';
  const label = stops
    ? 'Start all the same'
    : missing > 0
      ? `Start, ${missing} not at hand: hold`
      : words;
  return (
    <Box display="flex" mt="3" position="sticky" bottom="0">
      <BigAction
        kind="main"
        token="start"
        label={label}
        hotkey="enter"
        keyName="enter"
        hold={stops || missing > 0}
        disabled={disabled}
        onAct={onStart}
      />
    </Box>
  );
}

const HOW: readonly (readonly [SharedOut, string])[] = [
  ['as few as fit', 'as few batches as fit'],
  ['one batch', 'all in one batch'],
  ['each by itself', 'each coat by itself'],
];

/** Why nothing is proposed. */
const NoBatches = ({ coats }: { coats: number }) => (
  <Box fontWeight="600" color="oxide" my="3">
    {coats > MOST_COATS
      ? `! ${coats} coats are too many for one session: ${MOST_COATS} can be shared out.`
      : '! A coat has no volume: look at its ledger first.'}
  </Box>
);

/** What is mixed, batch by batch; how it is measured; and what speaks against it. */
export function MixPanel({
  resin,
  chosen,
  gathered: { batches, heat, pours, stops },
  room,
  onRoom,
  temperatureK,
  issue,
  bench,
  missing,
  busy,
  onStart,
}: MixProps) {
  const format = useFormat();
  const { measure, onMeasure, lot, onLot, how, onHow } = bench;
  const several = (batches?.length ?? 0) > 1;
  // All batches come from the same bottles.
  const total = splitMix(
    (batches ?? []).reduce((sum, b) => sum + b.plan.totalM3, 0),
    resin.sheet,
  );
  return (
    <Panel flex="2 1 320px" p="5">
      <Box color="ink2">Mix</Box>
      {heat && (
        <Box color="oxide" fontWeight="600" fontSize="sm" mb="1">
          ! {several ? 'Of the largest batch: ' : ''}
          {heat}
        </Box>
      )}
      {!batches && <NoBatches coats={chosen.length} />}
      {batches?.map((batch, i) => (
        <Box
          key={i}
          as="section"
          aria-label={several ? `Batch ${i + 1} of ${batches.length}` : 'The batch'}
          borderTopWidth={i > 0 ? '1px' : 0}
          borderColor="line"
          pt={i > 0 ? '2' : 0}
        >
          {several && (
            <Box fontWeight="600">
              Batch {i + 1} of {batches.length}: {batch.views.map((v) => v.piece.name).join(', ')}
            </Box>
          )}
          <BatchFigures {...{ batch, resin, measure, temperatureK, several }} />
          <GatherChecks checks={batch.checks} pours={pours} />
        </Box>
      ))}
      <Grid templateColumns="1fr 1fr" gap="3" my="2">
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
      {measure === 'weight' && <ScaleSelect />}
      {chosen.length > 1 && (
        <SelectField
          label="Shared out over"
          options={HOW}
          value={how}
          onChange={(e) => onHow(e.target.value as SharedOut)}
        />
      )}
      {measure === 'weight' && <DensityDoubt sheet={resin.sheet} />}
      <LotChoice
        resin={resin}
        split={total.ok ? total.value : null}
        chosen={lot}
        onChoose={onLot}
      />
      <StartKey
        stops={stops}
        missing={missing}
        measure={measure}
        disabled={temperatureK === null || !batches || busy}
        onStart={onStart}
      />
    </Panel>
  );
}
