'use client';
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { splitMix } from '@/core/resin';
import { useAct, useShop } from '@/data/hooks';
import { runShort } from '@/data/repos/wet';
import { clockText } from '@/features/common/clockText';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { ChoiceDialog } from '@/ui/ChoiceDialog';
import { meterOf } from './meter';
import type { WetView } from './model';

/** How much is missing, as an eye tells it. */
const MISSING = [
  ['0.1', 'A tenth'],
  ['0.25', 'A quarter'],
  ['0.5', 'Half'],
] as const;

/** What more has to be mixed for a coat that the mix did not reach, and until when it can join what lies. */
export function shortWords(
  { batch, resin, workingEndsMs }: Pick<WetView, 'batch' | 'resin' | 'workingEndsMs'>,
  wantedM3: number,
  nowMs: number,
  show: (part: 'A' | 'B', kg: number) => string,
): string {
  const split = splitMix(wantedM3, resin.sheet);
  if (!split.ok) return '';
  const amounts = `A ${show('A', split.value.aKg)}, B ${show('B', split.value.bKg)}`;
  const how = batch.measure === 'weight' ? 'Weigh' : 'Measure';
  const joins =
    workingEndsMs !== null && nowMs < workingEndsMs
      ? `It joins what lies while that still flows, until ${clockText(workingEndsMs, nowMs)}: pour it along the wet edge.`
      : 'What lies flows no more: it would leave a seam. Let it cure to its recoat window and flood over all of it.';
  return `${how} ${amounts} in a fresh cup. ${joins}`;
}

/** The mix does not reach: how much more, and whether it can still join. */
export function RanShort({
  view,
  entry: { coat, piece },
  pourM3,
  nowMs,
}: {
  view: WetView;
  entry: WetView['coats'][number];
  /** What the coat was to get. */
  pourM3: number;
  nowMs: number;
}) {
  const act = useAct();
  const { settings } = useShop();
  const format = useFormat();
  const [open, setOpen] = useState(false);
  const { batch, done, resin } = view;
  const share = done.short.get(coat.id);
  const show = (part: 'A' | 'B', kg: number) =>
    meterOf(batch, part, resin.sheet, format, settings).show(kg).text;
  return (
    <>
      <Button
        minH="64px"
        fontSize="lg"
        variant="quiet"
        aria-label={`Ran short on ${piece.name}`}
        onClick={() => setOpen(true)}
      >
        Ran short …
      </Button>
      {share !== undefined && pourM3 > 0 && (
        <Box width="100%" fontSize="lg" fontWeight="600" color="oxide">
          ! {shortWords(view, share * pourM3, nowMs, show)}
        </Box>
      )}
      <ChoiceDialog
        open={open}
        title={`How much is missing on ${piece.name}?`}
        choices={MISSING}
        onChoose={(told) => {
          setOpen(false);
          void act('note what is missing', (db, c) =>
            runShort(db, c, batch.id, coat.id, Number(told)),
          );
        }}
        onCancel={() => setOpen(false)}
      >
        Spread what there is thin and even first; a bare edge is worse than a thin film.
      </ChoiceDialog>
    </>
  );
}
