'use client';
import { Box, Heading } from '@chakra-ui/react';
import { useState } from 'react';
import { useAct } from '@/data/hooks';
import { closePiece, openPieceAgain } from '@/data/repos/leave';
import { stampText } from '@/features/common/clockText';
import type { PieceView } from '@/shop/coatView';
import type { Unfinished } from '@/shop/leaving';
import { Button } from '@/ui/Button';
import { Panel } from '@/ui/Panel';
import { TextField } from '@/ui/TextField';

interface Props {
  readonly view: PieceView;
  readonly left: readonly Unfinished[];
  /** Last steps that nobody ticked, or that are not on the list: they do not hold it, and are said. */
  readonly open: number;
}

/** The piece goes: its record is closed, and can be opened again with a reason. */
export function Leaving({ view: { piece }, left, open }: Props) {
  const act = useAct();
  const [reason, setReason] = useState('');
  const [asked, setAsked] = useState(false);
  if (piece.closedMs !== null) {
    const again = async () => {
      setAsked(true);
      if (reason.trim() === '') return;
      const { ok } = await act(
        'open the piece again',
        (db, c) => openPieceAgain(db, c, piece.id, reason),
        { pieceId: piece.id, reason },
      );
      if (ok) setReason('');
    };
    return (
      <Panel as="section" aria-label="Closed">
        <Heading as="h2" fontSize="xl" mb="1">
          ✓ It has left
        </Heading>
        <Box mb="3">
          Closed {stampText(piece.closedMs)}. Its record is read-only; a correction is an entry of
          its own in Book.
        </Box>
        <TextField
          label="Why it is opened again"
          value={reason}
          error={asked && reason.trim() === '' ? 'Needed.' : undefined}
          onChange={(e) => setReason(e.target.value)}
        />
        <Button mt="2" onClick={() => void again()}>
          Open it again
        </Button>
      </Panel>
    );
  }
  return (
    <Panel as="section" aria-label="Close it">
      <Heading as="h2" fontSize="xl" mb="1">
        Close the book on it
      </Heading>
      <Box fontSize="sm" color="ink2" mb="2">
        {left.length > 0
          ? 'Something keeps it here still: see the list.'
          : open > 0
            ? `${open === 1 ? 'One last step is' : `${open} last steps are`} not ticked: it can go all the same, and the record claims nothing.`
            : 'Everything is done.'}
      </Box>
      <Button
        variant="ink"
        disabled={left.length > 0}
        onClick={() =>
          void act('close the piece', (db, c) => closePiece(db, c, piece.id), { pieceId: piece.id })
        }
      >
        It leaves: close its record
      </Button>
    </Panel>
  );
}
