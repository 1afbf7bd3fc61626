'use client';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { useRef, type ReactNode } from 'react';
import { useShop } from '@/data/hooks';
import type { Coat } from '@/records';
import { mixLength } from '@/core/coat';
import { filmChecksOf, mixingChecksOf, type CoatView, type PieceView } from '@/shop/coatView';
import { useFormat } from '@/features/common/useFormat';
import { CheckCards } from './CheckCards';
import { CoatDrawings, shownGround } from './CoatDrawings';
import { CoatNumbers } from './CoatNumbers';
import { checkWords } from './checkWords';
import { TakeAlong } from './TakeAlong';
import { useCoatEdit } from './useCoatEdit';
import { useFilmField } from './useFilmField';

interface Props {
  readonly view: PieceView;
  readonly selected: CoatView;
  readonly onSelect: (coatId: string) => void;
  readonly onRemoved: (coat: Coat) => void;
  /** The coats of the piece, to choose from. */
  readonly list: ReactNode;
  /** Where the next coat is planned. */
  readonly children: ReactNode;
}

/** Section, map, ledger and checks of one coat; its surface can be dragged while it is planned. */
export function CoatDesk({ view, selected, onSelect, onRemoved, list, children }: Props) {
  const { settings, room } = useShop();
  const format = useFormat();
  const drawings = useRef<HTMLDivElement>(null);
  const edit = useCoatEdit(view, selected);
  const { resin } = selected;
  const field = useFilmField(shownGround(selected), mixLength(resin.sheet));
  return (
    <>
      <Grid
        templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 320px', xl: 'minmax(0, 1fr) 372px' }}
        gap="4"
        alignItems="start"
      >
        <Flex ref={drawings} direction="column" gap="4" minW="0">
          <CoatDrawings view={view} selected={selected} edit={edit} field={field}>
            {list}
          </CoatDrawings>
          {edit.split && (
            <CheckCards
              checks={[
                ...checkWords(mixingChecksOf(edit.edited, edit.split, settings, room), format),
                ...checkWords(
                  filmChecksOf(edit.edited, edit.ledger.ok ? edit.ledger.value : null, room),
                  format,
                ),
              ]}
            />
          )}
          {children}
        </Flex>
        <CoatNumbers {...{ view, selected, edit, onSelect, onRemoved }} />
      </Grid>
      <Box mt="4">
        <TakeAlong view={view} drawings={drawings} />
      </Box>
    </>
  );
}
