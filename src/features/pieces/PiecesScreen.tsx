'use client';
import { edgeKindsOf } from '@/records/types';
import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import Link from 'next/link';
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
import { pieceWords } from './model';
import { Button } from '@/ui/Button';

function PieceCard({ view, nowMs }: { view: PieceView; nowMs: number }) {
  const format = useFormat();
  const { piece, areas, top } = view;
  const area = areas[0];
  const shop = useShop();
  const held = view.upcoming ? holdsOf(shop, piece, view.upcoming.coat.id, nowMs) : [];
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
}

/** Every piece drawn as its own outline with a small section, its state and what it waits for. */
export function PiecesScreen() {
  const shop = useShop();
  const now = useNow();
  const views = pieceViews(shop, now);
  if (shop.pieces.length === 0) return <Welcome />;
  return (
    <>
      <Flex justify="space-between" align="center" mb="4">
        <Heading as="h1" fontSize="3xl">
          Pieces
        </Heading>
        <Button asChild variant="ink">
          <Link href="/pieces/new">New piece</Link>
        </Button>
      </Flex>
      <Grid templateColumns="repeat(auto-fill, minmax(360px, 1fr))" gap="4">
        {views.map((view) => (
          <Boundary key={view.piece.id} what={view.piece.name} resetKey={view.piece} small>
            <PieceCard view={view} nowMs={now} />
          </Boundary>
        ))}
      </Grid>
    </>
  );
}
