'use client';
import { Box, Flex, Heading } from '@chakra-ui/react';
import { Link } from '@/ui/Link';
import { useState } from 'react';
import { useAct } from '@/data/hooks';
import { doTasks } from '@/data/repos/prep';
import { TickTogether } from '@/features/common/TickTogether';
import { Button } from '@/ui/Button';
import { FINGER_LINES } from '@/ui/touch';
import type { PieceAt } from '@/shop/instant';
import { gathered, type Gathered } from './gathered';

/** One step on several pieces: which of them it was done on, noted in one act. */
function Round({ round }: { round: Gathered }) {
  const act = useAct();
  const [asked, setAsked] = useState(false);
  const pieces = [...new Map(round.steps.map((s) => [s.piece.id, s.piece])).values()];
  const note = async (ids: readonly string[]) => {
    const told = round.steps
      .filter((s) => ids.includes(s.piece.id))
      .map(({ piece, placed: { task, record } }) => ({
        ref: { pieceId: piece.id, task },
        doing: { method: task.mask, seenMs: record?.doneMs ?? null },
      }));
    const what = `${round.title} on ${ids.length} pieces`;
    return (await act(what, (db, c) => doTasks(db, c, told), told)).ok;
  };
  return (
    <Box as="li" bg="card" borderWidth="1px" borderColor="line" px="4" py="2">
      <Flex gap="3" align="center">
        <Box flex="1" minW="0">
          <Box fontWeight="600" lineHeight="1.25">
            {round.title}: {pieces.length} pieces
          </Box>
          {!asked && (
            <Box fontSize="sm" color="ink2" css={FINGER_LINES}>
              {pieces.map((p, i) => (
                <span key={p.id}>
                  {i > 0 && ' · '}
                  <Link href={`/pieces/${p.id}/prepare`}>{p.name}</Link>
                </span>
              ))}
              {round.makesWait && '. It has to dry, so it comes first.'}
            </Box>
          )}
        </Box>
        {!asked && (
          <Button
            size="sm"
            flexShrink={0}
            aria-label={`Done just now: ${round.title}…`}
            onClick={() => setAsked(true)}
          >
            Done…
          </Button>
        )}
      </Flex>
      {asked && (
        <TickTogether
          label={`${round.title}, done just now on`}
          items={pieces.map((p) => ({ key: p.id, label: p.name }))}
          words={(n) => `Done just now on ${n}`}
          size="sm"
          onNote={note}
          onLeave={() => setAsked(false)}
        />
      )}
    </Box>
  );
}

/** Steps that several pieces wait for alike. */
export function Rounds({ pieces }: { pieces: readonly PieceAt[] }) {
  const rounds = gathered(pieces);
  if (rounds.length === 0) return null;
  return (
    <Box as="section" aria-label="The same on several pieces" mt="4">
      <Heading as="h2" fontSize="lg" mb="2">
        The same on several pieces
      </Heading>
      <Box as="ul" listStyleType="none" display="flex" flexDirection="column" gap="2">
        {rounds.map((round) => (
          <Round key={round.key} round={round} />
        ))}
      </Box>
    </Box>
  );
}
