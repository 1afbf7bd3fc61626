'use client';
import { edgeKindsOf } from '@/records';
import { Box, Flex, Heading, Input } from '@chakra-ui/react';
import Link from 'next/link';
import { memo, useState } from 'react';
import type { PlacedTask } from '@/core/prep';
import { useNow, useShop } from '@/data/hooks';
import { pieceViews, type PieceView } from '@/shop/coatView';
import { Outline } from '@/features/common/Outline';
import { holdsOf } from '@/shop/prepView';
import { sizeWords } from '@/features/common/PieceFrame';
import { STATE_FILL } from '@/features/common/stateWords';
import { useFormat } from '@/features/common/useFormat';
import { Welcome } from '@/features/common/Welcome';
import { Boundary } from '@/features/common/trouble';
import { MiniSection } from './MiniSection';
import { PieceGrid } from './PieceGrid';
import { pieceWords } from './model';
import { Button } from '@/ui/Button';

interface CardProps {
  readonly view: PieceView;
  readonly held: readonly PlacedTask[];
  readonly nowMs: number;
}

/** Drawn anew when its piece changed, or the minute. */
const PieceCard = memo(function PieceCard({ view, held, nowMs }: CardProps) {
  const format = useFormat();
  const { piece, areas, top } = view;
  const area = areas[0];
  const { state, waits } = pieceWords(view, nowMs, held);
  const stage =
    view.coats.length === 0 ? 'coats' : top ? 'cure' : held.length > 0 ? 'prepare' : 'coats';
  const fill = top ? STATE_FILL[top.state] : 'var(--bm-colors-card)';
  return (
    <Box
      asChild
      bg="card"
      borderWidth="1px"
      borderColor="line"
      _hover={{ borderColor: 'amber' }}
      display="block"
    >
      <Link href={`/pieces/${piece.id}/${stage}`}>
        <Flex gap="4" p="4" align="center" minH="150px">
          <Flex width="124px" height="124px" align="center" justify="center" flexShrink={0}>
            {area && (
              <Outline shape={area.shape} edgeKinds={edgeKindsOf(area)} size={120} fill={fill} />
            )}
          </Flex>
          <Box minW="0" flex="1">
            <Heading as="h2" fontSize="xl">
              {piece.name}
              {piece.count > 1 && ` × ${piece.count}`}
            </Heading>
            <Box fontSize="sm" color="ink2" mb="2">
              {piece.support}
              {area && ` · ${sizeWords(area.shape, format)}`}
            </Box>
            {area && <MiniSection view={view} area={area} />}
          </Box>
        </Flex>
        <Box borderTopWidth="1px" borderColor="line" px="4" py="2.5" fontSize="sm">
          <Box fontWeight="600">{waits}</Box>
          <Box color="ink2">{state}</Box>
        </Box>
      </Link>
    </Box>
  );
}, isSame);

const minuteOf = (ms: number): number => Math.floor(ms / 60_000);

function isSame(a: CardProps, b: CardProps): boolean {
  return a.view === b.view && a.held === b.held && minuteOf(a.nowMs) === minuteOf(b.nowMs);
}

const NOTHING: readonly PlacedTask[] = [];

/** Pieces whose name, support or note has every word of the search in it. */
const found = (views: readonly PieceView[], search: string): readonly PieceView[] => {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return views;
  return views.filter(({ piece }) => {
    const text = `${piece.name} ${piece.support} ${piece.note}`.toLowerCase();
    return words.every((word) => text.includes(word));
  });
};

/** How often the page looks anew, ms: it shows minutes. */
const BEAT_MS = 10_000;
/** From so many pieces on there is a search. */
const SEARCH_FROM = 13;

/** Every piece drawn as its own outline with a small section, its state and what it waits for. */
export function PiecesScreen() {
  const shop = useShop();
  const now = useNow(BEAT_MS);
  const [search, setSearch] = useState('');
  const all = pieceViews(shop, now);
  const views = found(all, search);
  if (shop.pieces.length === 0) return <Welcome />;
  return (
    <>
      <Flex justify="space-between" align="center" mb="4" gap="4">
        <Heading as="h1" fontSize="3xl">
          Pieces
        </Heading>
        {all.length >= SEARCH_FROM && (
          <Flex flex="1" maxW="460px" align="center" gap="3">
            <Input
              type="search"
              aria-label="Search the pieces"
              placeholder="Search: name, support, note"
              value={search}
              onChange={(e) => setSearch(e.target.value)}
            />
            <Box role="status" whiteSpace="nowrap" color="ink2">
              {views.length} of {all.length}
            </Box>
          </Flex>
        )}
        <Button asChild variant="ink">
          <Link href="/pieces/new">New piece</Link>
        </Button>
      </Flex>
      {views.length === 0 && <Box color="ink2">No piece has these words.</Box>}
      <PieceGrid items={views}>
        {(view) => (
          <Boundary key={view.piece.id} what={view.piece.name} resetKey={view.piece} small>
            <PieceCard
              view={view}
              held={view.upcoming ? holdsOf(shop, view.piece, view.upcoming.coat.id, now) : NOTHING}
              nowMs={now}
            />
          </Boundary>
        )}
      </PieceGrid>
    </>
  );
}
