'use client';
import { Box, chakra, Flex, Heading } from '@chakra-ui/react';
import Link from 'next/link';
import { useState } from 'react';
import { useAct } from '@/data/hooks';
import { doTasks } from '@/data/repos/prep';
import { Button } from '@/ui/Button';
import { focusRing } from '@/ui/touch';
import type { Gathered } from './gathered';

/** One step on several pieces: which of them it was done on, noted in one act. */
function Round({ round }: { round: Gathered }) {
  const act = useAct();
  const [asked, setAsked] = useState(false);
  const [taken, setTaken] = useState<readonly string[]>([]);
  const pieces = [...new Map(round.steps.map((s) => [s.piece.id, s.piece])).values()];
  const chosen = pieces.filter((p) => taken.includes(p.id));
  const all = chosen.length === pieces.length;
  const note = async () => {
    const told = round.steps
      .filter((s) => taken.includes(s.piece.id))
      .map(({ piece, placed: { task, record } }) => ({
        ref: { pieceId: piece.id, task },
        doing: { method: task.mask, seenMs: record?.doneMs ?? null },
      }));
    const done = await act(
      `${round.title} on ${chosen.length} pieces`,
      (db, c) => doTasks(db, c, told),
      told,
    );
    if (done.ok) setAsked(false);
  };
  return (
    <Box as="li" bg="card" borderWidth="1px" borderColor="line" px="4" py="2">
      <Flex gap="3" align="center">
        <Box flex="1" minW="0">
          <Box fontWeight="600" lineHeight="1.25">
            {round.title}: {pieces.length} pieces
          </Box>
          {!asked && (
            <Box fontSize="sm" color="ink2">
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
            onClick={() => {
              setTaken([]);
              setAsked(true);
            }}
          >
            Done…
          </Button>
        )}
      </Flex>
      {asked && (
        <Box role="group" aria-label={`${round.title}, done just now on`}>
          {pieces.map((p) => (
            <chakra.label key={p.id} display="flex" alignItems="center" gap="3" minH="40px">
              <chakra.input
                type="checkbox"
                checked={taken.includes(p.id)}
                onChange={() =>
                  setTaken(
                    taken.includes(p.id) ? taken.filter((id) => id !== p.id) : [...taken, p.id],
                  )
                }
                width="22px"
                height="22px"
                flexShrink={0}
                accentColor="ink"
                _focusVisible={focusRing}
              />
              {p.name}
            </chakra.label>
          ))}
          <Flex gap="2" my="1" wrap="wrap">
            <Button
              variant="ink"
              size="sm"
              disabled={chosen.length === 0}
              onClick={() => void note()}
            >
              Done just now on {chosen.length}
            </Button>
            <Button size="sm" onClick={() => setTaken(all ? [] : pieces.map((p) => p.id))}>
              {all ? 'None of them' : 'All of them'}
            </Button>
            <Button size="sm" onClick={() => setAsked(false)}>
              Not yet
            </Button>
          </Flex>
        </Box>
      )}
    </Box>
  );
}

/** Steps that several pieces wait for alike. */
export function Rounds({ rounds }: { rounds: readonly Gathered[] }) {
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
