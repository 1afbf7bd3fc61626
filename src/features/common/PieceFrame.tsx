'use client';
import { edgeHeightOf } from '@/records';
import { Box, Flex } from '@chakra-ui/react';
import { Link } from '@/ui/Link';
import { PageHeading } from '@/ui/PageHeading';
import { type ReactNode } from 'react';
import { useNow, useShop } from '@/data/hooks';
import { readViews, type PieceView } from '@/shop/coatView';
import { holdsOf, leftSteps, maskClocks } from '@/shop/prepView';
import { StageBar } from './StageBar';
import { sizeWords } from './sizeWords';
import { useFormat } from './useFormat';

export const STAGES = ['survey', 'prepare', 'coats', 'cure', 'inspect', 'finish'] as const;
export type Stage = (typeof STAGES)[number];

function stageMark(stage: Stage, view: PieceView, held: number): string {
  if (stage === 'prepare') {
    if (held > 0) return `${held} open`;
    if (!view.upcoming) return view.coats.length > 0 ? '✓' : '';
    return 'ready';
  }
  if (stage === 'survey') return view.areas.length > 0 ? '✓' : '';
  if (stage === 'coats') {
    const laid = view.coats.filter((c) => c.clock).length;
    return view.coats.length > 0 ? `${laid} of ${view.coats.length}` : '';
  }
  if (stage === 'cure') return view.top ? view.top.state : '';
  if (stage === 'finish') return view.piece.closedMs === null ? '' : '✓ gone';
  return view.openDefects > 0 ? `${view.openDefects} open` : '';
}

interface Props {
  readonly pieceId: string;
  readonly stage: Stage;
  readonly children: (view: PieceView) => ReactNode;
}

const NoPiece = () => (
  <Box>
    <PageHeading title="No such piece" mb="2" />
    It may have been removed, or this address belongs to another shop.{' '}
    <Link href="/pieces">All pieces</Link>
  </Box>
);

/** Head of a piece: name, facts, and its stages in working order. */
export function PieceFrame({ pieceId, stage, children }: Props) {
  const shop = useShop();
  const now = useNow();
  const format = useFormat();
  const { values, troubles } = readViews(shop, now);
  const view = values.find((v) => v.piece.id === pieceId);
  const trouble = troubles.find((t) => t.row.id === pieceId);
  // The boundary round the place names the piece.
  if (trouble) throw trouble;
  if (!view) return <NoPiece />;
  const { piece, drawn } = view;
  const area = drawn[0];
  const held = view.upcoming
    ? holdsOf(shop, piece, view.upcoming.coat.id, now).length
    : leftSteps(shop, piece, now).length + maskClocks(shop, piece, now).length;
  return (
    <Box maxW="1240px">
      <Flex align="baseline" gap="4" mb="3" wrap="wrap">
        <PageHeading title={`${piece.name}, ${stage}`}>
          {piece.name}
          {piece.count > 1 && ` × ${piece.count}`}
        </PageHeading>
        <Box color="ink2">
          {piece.support}
          {area &&
            ` · ${sizeWords(area.shape, format)} · edge ${format.show(edgeHeightOf(area), 'length').text}`}
        </Box>
      </Flex>
      <StageBar
        stages={STAGES.map((s) => ({
          stage: s,
          href: `/pieces/${piece.id}/${s}`,
          here: s === stage,
          mark: stageMark(s, view, held),
        }))}
      />
      {children(view)}
    </Box>
  );
}
