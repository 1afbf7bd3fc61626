'use client';
import { dayMonth } from '@/features/common/dates';
import { edgeKindsOf } from '@/records';
import { Box, Flex, Heading, Input } from '@chakra-ui/react';
import { format as formatDay } from 'date-fns';
import { Link } from '@/ui/Link';
import { PageHeading } from '@/ui/PageHeading';
import { memo, useState } from 'react';
import { useNow, useShop } from '@/data/hooks';
import type { PieceView } from '@/shop/coatView';
import { atInstant, type PieceAt } from '@/shop/instant';
import { Outline } from '@/features/common/Outline';
import { sizeWords } from '@/features/common/sizeWords';
import { STATE_FILL } from '@/features/common/stateWords';
import { useFormat } from '@/features/common/useFormat';
import { Welcome } from '@/features/common/Welcome';
import { Boundary } from '@/features/common/trouble';
import { MiniSection } from './MiniSection';
import { PieceGrid } from './PieceGrid';
import { pieceWords } from './model';
import { Button } from '@/ui/Button';

type CardProps = ReturnType<typeof pieceWords> & { readonly view: PieceView };

/** Drawn anew when its piece changed, or what is said of it. */
const PieceCard = memo(function PieceCard({ view, state, waits, stage }: CardProps) {
  const format = useFormat();
  const { piece, drawn, top } = view;
  const area = drawn[0];
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
              {(piece.job || piece.dueMs !== null) && (
                <Box>
                  {[piece.job, piece.dueMs !== null && `due ${formatDay(piece.dueMs, dayMonth())}`]
                    .filter(Boolean)
                    .join(' · ')}
                </Box>
              )}
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
});

/** Pieces whose name, support or note has every word of the search in it. */
const found = (all: readonly PieceAt[], search: string): readonly PieceAt[] => {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return all;
  return all.filter(({ view: { piece } }) => {
    const text = `${piece.name} ${piece.support} ${piece.note} ${piece.job}`.toLowerCase();
    return words.every((word) => text.includes(word));
  });
};

/** From so many pieces on there is a search. */
const SEARCH_FROM = 13;

/** Every piece drawn as its own outline with a small section, its state and what it waits for. */
export function PiecesScreen() {
  const shop = useShop();
  const now = useNow();
  const [search, setSearch] = useState('');
  const [job, setJob] = useState('');
  const all = atInstant(shop, now).pieces;
  const jobs = [...new Set(all.map(({ view }) => view.piece.job).filter(Boolean))].sort();
  const pieces = found(all, search)
    .filter(({ view }) => job === '' || view.piece.job === job)
    // What is due first stands first; what is due on no day stays in the order it came.
    .sort((a, b) => (a.view.piece.dueMs ?? Infinity) - (b.view.piece.dueMs ?? Infinity) || 0);
  if (shop.pieces.length === 0) return <Welcome />;
  return (
    <>
      <Flex justify="space-between" align="center" mb="4" gap="4">
        <PageHeading title="Pieces" />
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
              {pieces.length} of {all.length}
            </Box>
          </Flex>
        )}
        <Button asChild variant="ink">
          <Link href="/pieces/new">New piece</Link>
        </Button>
      </Flex>
      {jobs.length > 0 && (
        <Flex role="group" aria-label="Jobs" gap="2" wrap="wrap" mb="4">
          {['', ...jobs].map((name) => (
            <Button
              key={name}
              size="sm"
              variant={name === job ? 'ink' : 'outline'}
              aria-pressed={name === job}
              onClick={() => setJob(name)}
            >
              {name || 'All jobs'}
            </Button>
          ))}
        </Flex>
      )}
      {pieces.length === 0 && <Box color="ink2">No piece has these words.</Box>}
      <PieceGrid items={pieces}>
        {(here) => {
          const { piece } = here.view;
          return (
            <Boundary key={piece.id} what={piece.name} resetKey={piece} small>
              <PieceCard view={here.view} {...pieceWords(here, now)} />
            </Boundary>
          );
        }}
      </PieceGrid>
    </>
  );
}
