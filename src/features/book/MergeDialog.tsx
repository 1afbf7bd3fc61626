'use client';
import { stampText } from '@/features/common/clockText';
import { Box, Flex } from '@chakra-ui/react';
import { useRef, useState } from 'react';
import type { BundleHead, MergePreview, Side, UnitKey, UnitPreview } from '@/data/exchange/bundle';
import { Button } from '@/ui/Button';
import { DialogFrame } from '@/ui/DialogFrame';
import { mergeSummary, unitWords } from './mergeWords';

/** What was read of a bundle. */
export interface OpenBundle {
  readonly head: BundleHead;
  readonly preview: MergePreview;
}

interface UnitProps {
  readonly preview: UnitPreview;
  readonly side: Side | undefined;
  readonly onChoose: (side: Side) => void;
}

function UnitRow({ preview, side, onChoose }: UnitProps) {
  const { title, fate, details } = unitWords(preview);
  const asks = preview.fate === 'both';
  return (
    <Box as="li" py="2" borderTopWidth="1px" borderColor="line">
      <Flex justify="space-between" gap="3" wrap="wrap">
        <Box fontWeight="600">{title}</Box>
        <Box color={asks ? 'oxide' : 'ink2'} fontWeight={asks ? '600' : '400'}>
          {asks && '▲ '}
          {fate}
        </Box>
      </Flex>
      {details && <Box color="ink2">{details}</Box>}
      {asks && (
        <Flex role="group" aria-label={title} gap="2" mt="2">
          {(['mine', 'theirs'] as const).map((s) => (
            <Button
              key={s}
              size="sm"
              minH="44px"
              variant={side === s ? 'ink' : 'outline'}
              aria-pressed={side === s}
              onClick={() => onChoose(s)}
            >
              {s === 'mine' ? 'Keep what is here' : 'Take what comes'}
            </Button>
          ))}
        </Flex>
      )}
    </Box>
  );
}

/** So many are told at once: what has to be decided stands before them. */
const TOLD = 40;

interface Props {
  readonly bundle: OpenBundle;
  readonly onTake: (sides: ReadonlyMap<UnitKey, Side>) => void;
  readonly onCancel: () => void;
}

/** What a bundle would do, piece by piece, before it does it; what both sides changed is decided here. */
export function MergeDialog({ bundle: { head, preview }, onTake, onCancel }: Props) {
  const [sides, setSides] = useState<ReadonlyMap<UnitKey, Side>>(new Map());
  const [all, setAll] = useState(false);
  const asks = preview.units.filter((u) => u.fate === 'both');
  const others = preview.units.filter((u) => !['both', 'same', 'mine'].includes(u.fate));
  const told = [...asks, ...(all ? others : others.slice(0, TOLD))];
  const more = asks.length + others.length - told.length;
  const nothing = told.length === 0 && preview.entries === 0;
  const open = asks.filter((u) => !sides.has(u.unit)).length;
  const list = useRef<HTMLUListElement>(null);
  const showAll = () => {
    setAll(true);
    // The key goes: the list that it was in has the focus.
    list.current?.focus();
  };
  return (
    <DialogFrame
      title={`Take in “${head.name}”?`}
      width="720px"
      onClose={onCancel}
      footer={
        <>
          <Button onClick={onCancel}>{nothing ? 'Close' : 'Leave it'}</Button>
          {!nothing && (
            <Button variant="ink" disabled={open > 0} onClick={() => onTake(sides)}>
              {open > 0 ? `${open} to decide first` : 'Take it in'}
            </Button>
          )}
        </>
      }
    >
      <Box mb="2">
        Made {stampText(head.madeMs)}
        {head.by && ` by ${head.by}`}.{' '}
        {nothing
          ? 'All that is in it is here already.'
          : mergeSummary(preview.units, preview.entries)}
      </Box>
      {told.length > 0 && (
        <Box
          ref={list}
          as="ul"
          listStyleType="none"
          maxH="50vh"
          overflowY="auto"
          tabIndex={0}
          aria-label="What comes in"
        >
          {told.map((u) => (
            <UnitRow
              key={u.unit}
              preview={u}
              side={sides.get(u.unit)}
              onChoose={(side) => setSides(new Map(sides).set(u.unit, side))}
            />
          ))}
          {more > 0 && (
            <Box as="li" py="2" borderTopWidth="1px" borderColor="line">
              <Button onClick={showAll}>Show {more} more</Button>
            </Box>
          )}
        </Box>
      )}
    </DialogFrame>
  );
}
