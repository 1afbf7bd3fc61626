'use client';
import { Box, Grid } from '@chakra-ui/react';
import { useState } from 'react';
import { DEFECT_GUIDE } from '@/core/inspect';
import type { DefectKind } from '@/core/piece';
import { useAct, useShop } from '@/data/hooks';
import { noteDefect } from '@/data/repos/findings';
import type { Coat, Defect, Piece } from '@/records';
import { Button } from '@/ui/Button';
import { DialogFrame } from '@/ui/DialogFrame';
import { PlacePick } from './PlacePick';

/** What raking light shows while it is wet, and what is done at once. Common practice, no source. */
const WHILE_WET: readonly (readonly [kind: DefectKind, words: string, remedy: string])[] = [
  ['fish eye', 'Bare spot, draw-back', 'Tap it with a wet glove, feed a drop, tap again.'],
  [
    'bubbles',
    'Bubbles',
    'Warm air from 10–15 cm in quick passes, or a pick. No flame near alcohol, paper or plastic.',
  ],
  ['dust nib', 'Hair, lint, dots in a row', 'Lift it with tweezers or a pick, then let it close.'],
  ['scorch', 'Smoke, browning', 'Heat off at once. Nothing more while it is wet.'],
  ['drips', 'Drips below', 'Scrape them with a stick, and again until nothing runs.'],
  ['soft spot', 'Streaks, scrapings', 'Wipe or scoop it off while it is wet: it will not cure.'],
];

/** What raking light may show, a key each; clean is the first. */
function WhatIsSeen({
  onClean,
  onSeen,
}: {
  onClean: () => void;
  onSeen: (what: (typeof WHILE_WET)[number]) => void;
}) {
  return (
    <Grid templateColumns="1fr 1fr" gap="3">
      <Button minH="84px" fontSize="xl" gridColumn="1 / -1" variant="ink" onClick={onClean}>
        Nothing: it looks clean
      </Button>
      {WHILE_WET.map((what) => (
        <Button key={what[0]} minH="84px" fontSize="xl" onClick={() => onSeen(what)}>
          {what[1]}
        </Button>
      ))}
    </Grid>
  );
}

/** A tap for what is wrong and one for where make a finding; then it says what helps while it is wet. */
export function FoundWet({
  coat,
  piece,
  onClean,
}: {
  coat: Coat;
  piece: Piece;
  /** It was looked over, and nothing is wrong. */
  onClean: () => void;
}) {
  const act = useAct();
  const [open, setOpen] = useState(false);
  const { areas } = useShop();
  const [asked, setAsked] = useState<(typeof WHILE_WET)[number] | null>(null);
  const [found, setFound] = useState<(typeof WHILE_WET)[number] | null>(null);
  const note = async (what: (typeof WHILE_WET)[number], at: Defect['at']) => {
    const told = { pieceId: piece.id, coatId: coat.id, kind: what[0], at };
    const outcome = await act(
      `note ${DEFECT_GUIDE[what[0]].label}`,
      (db, c) => noteDefect(db, c, { ...told, note: 'Seen while wet.', photo: null }),
      told,
    );
    if (outcome.ok) setFound(what);
  };
  const close = () => {
    setOpen(false);
    setFound(null);
    setAsked(null);
  };
  return (
    <>
      <Button
        minH="64px"
        fontSize="lg"
        aria-label={`Found something on ${piece.name}`}
        onClick={() => setOpen(true)}
      >
        Look over …
      </Button>
      <DialogFrame
        open={open}
        title={
          <Box as="span" fontSize="2xl">
            {found ? found[1] : asked ? `${asked[1]}: where?` : `What is on ${piece.name}?`}
          </Box>
        }
        onClose={close}
        footer={
          <Button minH="64px" fontSize="lg" variant={found ? 'ink' : 'outline'} onClick={close}>
            {found ? 'Done' : 'Not now'}
          </Button>
        }
      >
        {found ? (
          <Box fontSize="3xl" lineHeight="1.2" fontFamily="heading" fontWeight="600">
            {found[2]}
            <Box fontSize="md" fontWeight="400" color="ink2" mt="3">
              Noted as a finding of {coat.name}; it stands under Inspect until it is put right.
            </Box>
          </Box>
        ) : asked ? (
          <PlacePick
            areas={areas.filter((a) => coat.areaIds.includes(a.id))}
            onPicked={(at) => void note(asked, at)}
          />
        ) : (
          <WhatIsSeen
            onClean={() => {
              close();
              onClean();
            }}
            onSeen={setAsked}
          />
        )}
      </DialogFrame>
    </>
  );
}
