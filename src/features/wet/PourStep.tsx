'use client';
import { leastFilm } from '@/core/coat';
import { edgeKindsOf } from '@/records';
import { Box, Flex } from '@chakra-ui/react';
import { useAct, useNow } from '@/data/hooks';
import { coverBatch, pourCoat } from '@/data/repos/wet';
import { clockText, minutesText } from '@/features/common/clockText';
import { Outline } from '@/features/common/Outline';
import { useFormat } from '@/features/common/useFormat';
import { useShop } from '@/data/hooks';
import { learnedPace } from '@/shop/learned';
import { Figure } from '@/ui/Figure';
import { BenchFrame } from './BenchFrame';
import { BigAction } from './BigAction';
import type { WetView } from './model';
import { UndoAction } from './UndoAction';

function CoatRow({
  entry,
  next,
  nowMs,
}: {
  entry: WetView['coats'][number];
  next: boolean;
  nowMs: number;
}) {
  const { areas } = useShop();
  const { show } = useFormat();
  const { coat, piece } = entry;
  const area = areas.find((a) => a.id === coat.areaIds[0]);
  const poured = coat.pouredMs !== null;
  return (
    <Flex
      as="li"
      align="center"
      gap="5"
      bg={next ? 'card' : 'transparent'}
      borderWidth={next ? '2px' : '1px'}
      borderColor={next ? 'ink' : 'line'}
      px="5"
      py="3"
      minH="96px"
    >
      {area && (
        <Outline
          shape={area.shape}
          edgeKinds={edgeKindsOf(area)}
          size={76}
          fill={poured ? 'var(--bm-colors-amber)' : 'var(--bm-colors-card)'}
        />
      )}
      <Box flex="1">
        <Box fontSize="2xl" fontWeight="600" fontFamily="heading">
          {piece.name}
        </Box>
        <Box fontSize="lg">
          {coat.name}, {show(leastFilm(coat), 'film').text}
        </Box>
      </Box>
      <Figure fontSize="xl" fontWeight="600">
        {poured ? `✓ ${clockText(coat.pouredMs ?? 0, nowMs)}` : next ? 'pour now' : 'then this'}
      </Figure>
    </Flex>
  );
}

/** Pour each coat, then cover all of them. */
export function PourStep({ view }: { view: WetView }) {
  const shop = useShop();
  const act = useAct();
  const now = useNow();
  const { batch, coats, step } = view;
  const next = coats.find((c) => c.coat.pouredMs === null);
  const covering = step === 'cover';
  const since = covering ? batch.pouredMs : batch.stirredMs;
  return (
    <BenchFrame
      view={view}
      title={covering ? 'Cover' : 'Pour'}
      caution={
        covering ? (
          <>
            <strong>Cover within minutes</strong>, nothing that sags onto the piece. Never cover a
            cup of mixed resin: it heats itself.
          </>
        ) : (
          <>
            <strong>Flame and heat:</strong> 10–15 cm away in quick passes, never over paper,
            plastic or alcohol. Extinguisher at hand. Spread left-over resin out.
          </>
        )
      }
      actions={
        <>
          <UndoAction view={view} />
          {next && !covering && (
            <BigAction
              kind="main"
              token={next.coat.id}
              label={`Poured: ${next.piece.name}`}
              hotkey=" "
              keyName="space"
              onAct={() =>
                void act(
                  'pour',
                  (db, c) => pourCoat(db, c, batch.id, next.coat.id, learnedPace(shop, view.resin)),
                  { coatId: next.coat.id },
                )
              }
            />
          )}
          {covering && (
            <BigAction
              kind="main"
              token="cover"
              label="Covered"
              hotkey=" "
              keyName="space"
              onAct={() =>
                void act('cover', (db, c) => coverBatch(db, c, batch.id), { batchId: batch.id })
              }
            />
          )}
        </>
      }
    >
      <Flex gap="8" align="center" wrap="wrap">
        <Box flex="1 1 300px" textAlign="center">
          <Box fontSize="xl" color="ink2">
            {covering ? 'lying open for, min:s' : 'resting since the stir, min:s'}
          </Box>
          <Figure
            display="block"
            fontSize="bench"
            fontWeight="600"
            lineHeight="1"
            role="timer"
            aria-label={covering ? 'Lying open for' : 'Resting for'}
          >
            {minutesText(since === null ? 0 : Math.max(0, now - since))}
          </Figure>
          <Box fontSize="lg" color="ink2">
            {covering
              ? 'look for lint and bare spots, then cover'
              : '2–5 min in the cup lets bubbles rise'}
          </Box>
        </Box>
        <Flex as="ul" listStyleType="none" direction="column" gap="3" flex="1 1 460px">
          {coats.map((entry) => (
            <CoatRow key={entry.coat.id} entry={entry} next={entry === next} nowMs={now} />
          ))}
        </Flex>
      </Flex>
    </BenchFrame>
  );
}
