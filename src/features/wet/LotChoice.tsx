'use client';
import { Box } from '@chakra-ui/react';
import { lotDoubts, type LotDoubt, type MixSplit } from '@/core/resin';
import { SECOND_MS, useNow, useShop } from '@/data/hooks';
import { writeDay } from '@/features/common/day';
import { useFormat, type Format } from '@/features/common/useFormat';
import type { Id, Resin } from '@/records';
import { lotInUse, lotsOf } from '@/shop/lots';
import { SelectField } from '@/ui/SelectField';

/** What is chosen: bottles, none told, or still what the shop makes of it. */
export type ChosenLot = Id<'lot'> | 'not told' | null;

/** The lot that a batch of a resin takes while nothing else was chosen: the one that is open. */
export function useLot(resinId: Id<'resin'> | null, chosen: ChosenLot) {
  const shop = useShop();
  if (resinId === null || chosen === 'not told') return null;
  if (chosen === null) return lotInUse(shop, resinId);
  return lotsOf(shop, resinId).find(({ lot }) => lot.id === chosen) ?? null;
}

export function doubtWords(doubt: LotDoubt, format: Format): string {
  if (doubt.is === 'past its date')
    return `Past its date since ${writeDay(doubt.sinceMs)}: try a little first, or take other bottles.`;
  const { text } = format.show(Math.max(0, doubt.leftKg), 'mass');
  return doubt.leftKg > 0
    ? `Only ${text} of ${doubt.part} should be left: have the next bottle at hand, of the same lot where you can.`
    : `No ${doubt.part} should be left by what was weighed.`;
}

interface Props {
  readonly resin: Resin;
  readonly split: MixSplit | null;
  readonly chosen: ChosenLot;
  readonly onChoose: (lot: ChosenLot) => void;
}

/** From which bottles it is mixed, and what speaks against them. Shown where the shop keeps bottles of the resin. */
export function LotChoice({ resin, split, chosen, onChoose }: Props) {
  const shop = useShop();
  const now = useNow(SECOND_MS);
  const format = useFormat();
  const taken = useLot(resin.id, chosen);
  const lots = lotsOf(shop, resin.id).filter(({ lot }) => lot.emptyMs === null);
  if (lots.length === 0) return null;
  const options = lots.map(
    ({ lot }) => [lot.id, lot.openedMs === null ? `${lot.name}, sealed` : lot.name] as const,
  );
  const doubts = taken && split ? lotDoubts(taken.lot, taken.left, split, now) : [];
  return (
    <Box>
      <SelectField
        label="From the bottles"
        options={[...options, ['not told', 'not told']]}
        value={taken?.lot.id ?? 'not told'}
        onChange={(e) => onChoose(e.target.value as ChosenLot)}
      />
      {doubts.map((doubt) => (
        <Box key={doubt.is + ('part' in doubt ? doubt.part : '')} color="oxide" fontWeight="600">
          ! {doubtWords(doubt, format)}
        </Box>
      ))}
    </Box>
  );
}
