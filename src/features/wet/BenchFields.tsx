import { Grid } from '@chakra-ui/react';
import { splitMix } from '@/core/resin';
import type { Issue } from '@/core/result';
import { issueText } from '@/features/common/issueText';
import { ScaleSelect } from '@/features/common/ScaleSelect';
import { useFormat } from '@/features/common/useFormat';
import type { Batch, Id, Resin } from '@/records';
import type { SharedOut } from '@/shop/batches';
import { Panel } from '@/ui/Panel';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { CupField } from './CupField';
import { DensityDoubt } from './DensityDoubt';
import { LotChoice, type ChosenLot } from './LotChoice';

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

const MEASURED = [
  ['weight', 'on a scale'],
  ['volume', 'to the marks of cups'],
] as const;

const HOW: readonly (readonly [SharedOut, string])[] = [
  ['as few as fit', 'few, poured in time'],
  ['as few as are safe', 'few, safe if forgotten'],
  ['one batch', 'all in one batch'],
  ['each by itself', 'each coat by itself'],
];

interface Props {
  readonly resin: Resin;
  readonly bench: BenchChoice;
  readonly room: string;
  readonly onRoom: (text: string) => void;
  readonly issue: Issue | undefined;
  /** How many coats are chosen, and what is mixed for all of them, m³. */
  readonly coats: number;
  readonly totalM3: number;
}

/** What a session is mixed with: measure, scale, cup, room and bottles. */
export function BenchFields({ resin, bench, room, onRoom, issue, coats, totalM3 }: Props) {
  const format = useFormat();
  const { measure, onMeasure, lot, onLot, how, onHow } = bench;
  // All batches come from the same bottles.
  const total = splitMix(totalM3, resin.sheet);
  return (
    <Panel as="section" aria-label="What it is mixed with">
      <Grid templateColumns={{ base: '1fr 1fr', lg: 'repeat(3, 1fr)' }} gap="3" alignItems="start">
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
        <CupField />
        {measure === 'weight' && <ScaleSelect />}
        <LotChoice
          resin={resin}
          split={total.ok ? total.value : null}
          chosen={lot}
          onChoose={onLot}
        />
        {coats > 1 && (
          <SelectField
            label="Shared out over"
            options={HOW}
            value={how}
            onChange={(e) => onHow(e.target.value as SharedOut)}
          />
        )}
      </Grid>
      {measure === 'weight' && <DensityDoubt sheet={resin.sheet} />}
    </Panel>
  );
}
