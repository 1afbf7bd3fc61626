'use client';
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { MOST_COATS } from '@/core/wet';
import type { Resin } from '@/records';
import type { CoatView } from '@/shop/coatView';
import { Panel } from '@/ui/Panel';
import { BatchFigures } from './BatchFigures';
import type { BenchChoice } from './BenchFields';
import { BigAction } from './BigAction';
import { GatherChecks } from './GatherChecks';
import type { GatheredSession } from './useGatherChecks';

interface MixProps {
  readonly resin: Resin;
  readonly chosen: readonly CoatView[];
  readonly gathered: GatheredSession;
  readonly temperatureK: number | null;
  readonly bench: BenchChoice;
  /** Coats that could take what is left over. */
  readonly fillers: readonly CoatView[];
  /** What nobody said is at hand. */
  readonly missing: number;
  /** Whether the session was started. */
  readonly onStart: () => Promise<boolean>;
}

/** The start; held down where something stops it, and dead while it is under way. */
function StartKey({
  stops,
  missing,
  measure,
  disabled,
  roomSaid,
  onStart,
}: Pick<BenchChoice, 'measure'> &
  Pick<MixProps, 'onStart' | 'missing'> & {
    stops: boolean;
    disabled: boolean;
    roomSaid: boolean;
  }) {
  const [busy, setBusy] = useState(false);
  const start = async () => {
    if (busy) return;
    setBusy(true);
    if (!(await onStart())) setBusy(false);
  };
  const words = measure === 'weight' ? 'Start: weigh A' : 'Start: measure A';
  const label = !roomSaid
    ? 'Say first how warm the room is'
    : stops
      ? 'Start all the same'
      : missing > 0
        ? `Start, ${missing} not at hand: hold`
        : words;
  return (
    <Box display="flex" mt="3">
      <BigAction
        kind="main"
        token="start"
        label={label}
        hotkey="enter"
        keyName="enter"
        hold={stops || missing > 0}
        disabled={disabled || busy}
        onAct={() => void start()}
      />
    </Box>
  );
}

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
  temperatureK,
  bench,
  fillers,
  missing,
  onStart,
}: MixProps) {
  const { measure } = bench;
  const several = (batches?.length ?? 0) > 1;
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
      {fillers.length > 0 && (
        <Box fontSize="sm" mb="2">
          What is left over could go onto{' '}
          {fillers.map((v) => `${v.piece.name}, ${v.coat.name}`).join('; ')}: small enough for the
          reserve.
        </Box>
      )}
      <StartKey
        stops={stops}
        missing={missing}
        measure={measure}
        disabled={temperatureK === null || !batches}
        roomSaid={temperatureK !== null}
        onStart={onStart}
      />
    </Panel>
  );
}
