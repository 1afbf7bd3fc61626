'use client';
import { asId } from '@/records';
import { clockExplanation } from '@/core/resin';
import { Box, Flex, Heading } from '@chakra-ui/react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { BubblesBy } from '@/core/wet';
import { useAct, useNow, useShop } from '@/data/hooks';
import { leaveSession } from '@/data/repos/session';
import { undoAct } from '@/data/repos/undoAct';
import { clockText } from '@/features/common/clockText';
import { pieceViews, clockNow } from '@/shop/coatView';
import { Explained } from '@/features/common/Explained';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { wetView, type WetView } from './model';
import { AlarmBar } from './BenchBars';
import { useAlarms } from './useAlarms';
import { useLastAct } from './useLastAct';
import { Rounds } from './CoatRow';
import { WorkStep } from './WorkStep';
import { StirStep } from './StirStep';
import { WeighStep } from './WeighStep';

function Done({ view: wet }: { view: WetView }) {
  const act = useAct();
  const shop = useShop();
  const now = useNow();
  const last = useLastAct(wet.batch);
  const [bubblesBy, setBubblesBy] = useState<BubblesBy>('warm air');
  const alarms = useAlarms(wet, now);
  const undo = () => {
    if (!last) return;
    const { id } = last;
    void act('undo the last act', (db, c) => undoAct(db, c, wet.batch.id, id), { id });
  };
  const coats = pieceViews(shop, now)
    .flatMap((v) => v.coats)
    .filter((c) => c.coat.batchId === wet.batch.id);
  return (
    <Box maxW="900px" mx="auto" px="6" py="12">
      <AlarmBar alarms={alarms} view={wet} />
      <Heading as="h1" fontSize="4xl" mb="4">
        {coats.length > 0 ? 'Covered. The clocks run.' : 'Thrown away. Nothing was poured.'}
      </Heading>
      {coats.map((view) => {
        const { coat, piece, clock } = view;
        const recoat = clock?.windows.find((w) => w.kind === 'recoat');
        const time = (at: number | null = null, ripeS: number | null = null, title = '') => (
          <Explained
            explanation={clockExplanation(clockNow(view, shop.room, now), title, ripeS ?? 0)}
            quantity="duration"
          >
            <Figure fontWeight="600">{clockText(at ?? NaN, now)}</Figure>
          </Explained>
        );
        return (
          <Flex
            key={coat.id}
            gap="4"
            py="4"
            borderTopWidth="1px"
            borderColor="line"
            align="center"
            wrap="wrap"
          >
            <Box flex="1 1 320px">
              <Box fontSize="xl" fontWeight="600">
                {piece.name} · {coat.name}
              </Box>
              <Box>
                Recoat without sanding from{' '}
                {time(recoat?.opensMs, recoat?.opensRipeS, 'Recoat opens')} to{' '}
                {time(recoat?.closesMs, recoat?.closesRipeS, 'Recoat shuts')}
              </Box>
            </Box>
            <Button asChild variant="ink" size="bench">
              <Link href={`/pieces/${piece.id}/cure`}>See its windows</Link>
            </Button>
            <Box width="100%">
              <Rounds
                view={wet}
                entry={{ coat, piece }}
                bubblesBy={bubblesBy}
                onBubblesBy={setBubblesBy}
                nowMs={now}
              />
            </Box>
          </Flex>
        );
      })}
      <Flex gap="4" mt="6">
        <Button asChild size="bench">
          <Link href="/">Today</Link>
        </Button>
        <Button size="bench" variant="quiet" disabled={!last} onClick={undo}>
          {last ? `Undo: ${last.is}` : 'Undo'}
        </Button>
      </Flex>
    </Box>
  );
}

/** A wet session, full screen at the bench; where it stands comes from the record alone. */
export function WetScreen({ sessionId: told }: { sessionId: string }) {
  const sessionId = asId<'session'>(told);
  const shop = useShop();
  const act = useAct();
  const router = useRouter();
  const now = useNow();
  const view = wetView(shop, sessionId, now);
  if (!view || (view.session.endedMs !== null && view.step !== 'done'))
    return (
      <Box p="8" fontSize="lg">
        This session is over. <Link href="/">Today</Link>
      </Box>
    );
  const leave = async () => {
    const outcome = await act('leave the session', (db, c) => leaveSession(db, c, sessionId), {
      sessionId,
    });
    if (outcome.ok) router.push('/pieces');
  };
  switch (view.step) {
    case 'weigh A':
      return <WeighStep key="A" view={view} onLeave={() => void leave()} />;
    case 'weigh B':
      return <WeighStep key="B" view={view} onLeave={() => void leave()} />;
    case 'stir':
    case 'stirring':
      return <StirStep view={view} />;
    case 'pour':
    case 'cover':
      return <WorkStep view={view} />;
    case 'done':
      return <Done view={view} />;
  }
}
