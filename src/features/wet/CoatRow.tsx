'use client';
import { Box, Flex } from '@chakra-ui/react';
import { leastFilm } from '@/core/coat';
import { BUBBLES_BY, nextRound, ROUND_MS, type BubblesBy } from '@/core/wet';
import { useAct, useShop } from '@/data/hooks';
import { bubbleRound, coverCoat, lookOver } from '@/data/repos/wet';
import { clockText } from '@/features/common/clockText';
import { Outline } from '@/features/common/Outline';
import { useFormat } from '@/features/common/useFormat';
import { mixDensity } from '@/core/resin';
import { edgeKindsOf } from '@/records';
import { viewPiece } from '@/shop/coatView';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { FoundWet } from './FoundWet';
import type { WetView } from './model';
import { RanShort } from './RanShort';
import { pouredOf } from './volumeOf';

interface Props {
  readonly view: WetView;
  readonly entry: WetView['coats'][number];
  readonly words: string;
  /** It is the one that the large key is about. */
  readonly marked: boolean;
  readonly bubblesBy: BubblesBy;
  readonly onBubblesBy: (by: BubblesBy) => void;
  readonly nowMs: number;
}

/** Bubbles are looked for again and again: one key, and by what. */
export function Rounds({
  view,
  entry: { coat, piece },
  bubblesBy,
  onBubblesBy,
  nowMs,
}: Omit<Props, 'words' | 'marked'>) {
  const act = useAct();
  const { batch, done } = view;
  const round = nextRound(done, coat.id);
  if (!round || nowMs >= round.fromMs + ROUND_MS.last) return null;
  const due = nowMs >= round.fromMs;
  const late = nowMs >= round.toMs;
  const by = BUBBLES_BY[(BUBBLES_BY.indexOf(bubblesBy) + 1) % BUBBLES_BY.length] ?? bubblesBy;
  return (
    <Flex gap="2" mt="2" align="center" wrap="wrap">
      <Button
        minH="64px"
        fontSize="lg"
        variant={due ? 'amber' : 'outline'}
        aria-label={`${piece.name}: gone over for bubbles by ${bubblesBy}`}
        onClick={() =>
          void act('note a round for bubbles', (db, c) =>
            bubbleRound(db, c, batch.id, coat.id, bubblesBy),
          )
        }
      >
        Bubbles gone over
      </Button>
      <Button
        minH="64px"
        fontSize="md"
        variant="quiet"
        aria-label={`By ${bubblesBy}; change to ${by}`}
        onClick={() => onBubblesBy(by)}
      >
        by {bubblesBy}
      </Button>
      <FoundWet
        coat={coat}
        piece={piece}
        onClean={() => void act('note a clean look', (db, c) => lookOver(db, c, batch.id, coat.id))}
      />
      <Box fontSize="md" fontWeight={due ? '600' : '400'} color={late ? 'oxide' : 'ink'}>
        {late ? '! bubbles overdue' : due ? 'look now' : `again ${clockText(round.fromMs, nowMs)}`}
      </Box>
    </Flex>
  );
}

/** One that lies open while others are still poured is covered by itself. */
function CoverNow({ view: { batch }, entry: { coat, piece } }: Pick<Props, 'view' | 'entry'>) {
  const act = useAct();
  return (
    <Button
      minH="64px"
      fontSize="lg"
      aria-label={`Cover ${piece.name} now`}
      onClick={() => void act('cover', (db, c) => coverCoat(db, c, batch.id, coat.id))}
    >
      Cover
    </Button>
  );
}

/** A coat of the session: what it waits for, and once it lies what keeps it good. */
export function CoatRow({ words, marked, ...row }: Props) {
  const shop = useShop();
  const { areas } = shop;
  const { show, scale } = useFormat();
  const { coat, piece } = row.entry;
  const seen = viewPiece(shop, piece, row.nowMs).coats.find((c) => c.coat.id === coat.id);
  const pourM3 = seen ? pouredOf(seen) : 0;
  const pourKg = pourM3 * mixDensity(row.view.resin.sheet);
  const area = areas.find((a) => a.id === coat.areaIds[0]);
  const poured = row.view.done.poured.has(coat.id);
  const covered = row.view.done.covered.get(coat.id);
  const used = row.view.done.used.filter((u) => u.coatIds.includes(coat.id));
  // What left the cup for several coats is told for none of them.
  const usedKg =
    used.length > 0 && used.every((u) => u.coatIds.length === 1)
      ? used.reduce((sum, u) => sum + u.kg, 0)
      : null;
  return (
    <Box
      as="li"
      bg={marked ? 'card' : 'transparent'}
      borderWidth={marked ? '2px' : '1px'}
      borderColor={marked ? 'ink' : 'line'}
      px="5"
      py="3"
    >
      <Flex align="center" gap="5">
        {area && (
          <Outline
            shape={area.shape}
            edgeKinds={edgeKindsOf(area)}
            size={64}
            fill={poured ? 'var(--bm-colors-amber)' : 'var(--bm-colors-card)'}
          />
        )}
        <Box flex="1">
          <Box fontSize="2xl" fontWeight="600" fontFamily="heading" lineHeight="1.15">
            {piece.name}
          </Box>
          <Box fontSize="lg">
            {coat.name}, {show(leastFilm(coat), 'film').text}
            {pourM3 > 0 && (
              <>
                {' '}
                · <Figure>{show(pourM3, 'volume').text}</Figure>
                {row.view.batch.measure === 'weight' && (
                  <>
                    {' '}
                    or <Figure>{scale(pourKg).text}</Figure>
                  </>
                )}
              </>
            )}
          </Box>
        </Box>
        <Box textAlign="end">
          <Figure fontSize="xl" fontWeight="600">
            {words}
          </Figure>
          {usedKg !== null && (
            <Box fontSize="md">
              <Figure>{scale(usedKg).text}</Figure> used
            </Box>
          )}
          {covered !== undefined && (
            <Box fontSize="md" color="verdigris" fontWeight="600">
              covered {clockText(covered, row.nowMs)}
            </Box>
          )}
        </Box>
      </Flex>
      {(poured || marked) && (
        <Flex gap="2" align="end" wrap="wrap" mt="1">
          {poured && <Rounds {...row} />}
          {poured && covered === undefined && !marked && <CoverNow {...row} />}
          {covered === undefined && <RanShort {...row} pourM3={pourM3} />}
        </Flex>
      )}
    </Box>
  );
}
