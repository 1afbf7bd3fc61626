'use client';
import { Box, Flex, Heading } from '@chakra-ui/react';
import { useState } from 'react';
import { useAct } from '@/data/hooks';
import { noteCleanLook } from '@/data/repos/findings';
import type { CoatView, PieceView } from '@/shop/coatView';
import { Button } from '@/ui/Button';
import { Panel } from '@/ui/Panel';

/** How to look, in this order. Common practice, no source. */
const LOOKS = [
  ['Along the surface, low light from one side', 'bare spots and dimples break the reflection'],
  ['Low light from the other side', 'a row of dots is often a hair'],
  ['Edges with a clean glove', 'thin places, lips at the tape line'],
  ['Back and rims', 'drips below, seep under the tape'],
] as const;

/** A finger leaves its mark in it. */
const TAKES_PRINTS: readonly CoatView['state'][] = ['mixed', 'wet', 'set'];

/** The look itself, light by light; a clean one is logged as well. */
export function LookGuide({ view }: { view: PieceView }) {
  const act = useAct();
  const [done, setDone] = useState<ReadonlySet<number>>(new Set());
  const [noted, setNoted] = useState(false);
  const toggle = (i: number) => {
    const next = new Set(done);
    if (!next.delete(i)) next.add(i);
    setDone(next);
    setNoted(false);
  };
  const clean = async () => {
    const coatId = view.top?.coat.id ?? null;
    const looks = done.size;
    const { ok } = await act(
      'note that it looks clean',
      (db, c) => noteCleanLook(db, c, view.piece.id, coatId, looks),
      { pieceId: view.piece.id, coatId, looks },
    );
    if (ok) {
      setDone(new Set());
      setNoted(true);
    }
  };
  const { top } = view;
  const all = done.size === LOOKS.length;
  return (
    <Panel as="section" aria-label="How to look">
      <Heading as="h2" fontSize="lg" mb="2">
        Look, light by light
      </Heading>
      {top && TAKES_PRINTS.includes(top.state) && (
        <Box fontSize="sm" fontWeight="600" color="oxide" mb="2">
          {top.coat.name} takes every print still: look, and touch nothing. Its edges are felt once
          it is leathery.
        </Box>
      )}
      <Flex as="ol" listStyleType="none" direction="column" gap="1">
        {LOOKS.map(([look, finds], i) => (
          <Box as="li" key={look}>
            <Button
              variant={done.has(i) ? 'ink' : 'outline'}
              width="100%"
              justifyContent="flex-start"
              textAlign="start"
              aria-pressed={done.has(i)}
              onClick={() => toggle(i)}
            >
              <span aria-hidden>{done.has(i) ? '✓' : i + 1}</span>
              <Box as="span">
                {look}
                <Box as="span" display="block" fontSize="xs" fontWeight="400">
                  {finds}
                </Box>
              </Box>
            </Button>
          </Box>
        ))}
      </Flex>
      <Button mt="2" width="100%" disabled={!all} onClick={() => void clean()}>
        {all
          ? 'Nothing found: log a clean look'
          : `Nothing found: ${LOOKS.length - done.size} looks are left`}
      </Button>
      <Box role="status" fontSize="sm" mt="1">
        {noted && '✓ A clean look is in the log.'}
      </Box>
    </Panel>
  );
}
