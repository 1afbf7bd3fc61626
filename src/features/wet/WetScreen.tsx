'use client';
import { asId } from '@/records';
import { clockExplanation } from '@/core/resin';
import { Box, Flex } from '@chakra-ui/react';
import { go } from '@/ui/go';
import { Link } from '@/ui/Link';
import { PageHeading } from '@/ui/PageHeading';
import { useState } from 'react';
import { standing, type BubblesBy } from '@/core/wet';
import { useAct, SECOND_MS, useNow, useShop } from '@/data/hooks';
import { leaveSession } from '@/data/repos/session';
import { undoAct } from '@/data/repos/undoAct';
import { clockText } from '@/features/common/clockText';
import { clockNow, viewPiece } from '@/shop/coatView';
import { Explained } from '@/features/common/Explained';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { viewOf, wetView, type WetView } from './model';
import { AlarmBar } from './BenchBars';
import { useAlarms } from './useAlarms';
import { BatchChoice } from './BatchSwitch';
import { CupsStep } from './CupsStep';
import { Rounds } from './CoatRow';
import { WorkStep } from './WorkStep';
import { StirStep } from './StirStep';
import { Weigh } from './Weigh';

/** A coat that lies, with its windows and the rounds of its first hour. */
function DoneCoat({
  view,
  entry,
  nowMs,
}: {
  view: WetView;
  entry: WetView['coats'][number];
  nowMs: number;
}) {
  const shop = useShop();
  const [bubblesBy, setBubblesBy] = useState<BubblesBy>('warm air');
  const seen = viewPiece(shop, entry.piece, nowMs).coats.find((c) => c.coat.id === entry.coat.id);
  if (!seen) return null;
  const { coat, piece, clock } = seen;
  const recoat = clock?.windows.find((w) => w.kind === 'recoat');
  const time = (at: number | null = null, ripeS: number | null = null, title = '') => (
    <Explained
      explanation={clockExplanation(clockNow(seen, shop.room, nowMs), title, ripeS ?? 0)}
      quantity="duration"
    >
      <Figure fontWeight="600">{clockText(at ?? NaN, nowMs)}</Figure>
    </Explained>
  );
  return (
    <Flex gap="4" py="4" borderTopWidth="1px" borderColor="line" align="center" wrap="wrap">
      <Box flex="1 1 320px">
        <Box fontSize="xl" fontWeight="600">
          {piece.name} · {coat.name}
        </Box>
        <Box>
          Recoat without sanding from {time(recoat?.opensMs, recoat?.opensRipeS, 'Recoat opens')} to{' '}
          {time(recoat?.closesMs, recoat?.closesRipeS, 'Recoat shuts')}
        </Box>
      </Box>
      <Button asChild variant="ink" size="bench">
        <Link href={`/pieces/${piece.id}/cure`}>See its windows</Link>
      </Button>
      <Box width="100%">
        <Rounds
          view={view}
          entry={entry}
          bubblesBy={bubblesBy}
          onBubblesBy={setBubblesBy}
          nowMs={nowMs}
        />
      </Box>
    </Flex>
  );
}

/** How a session ended, in a line. */
function endWords({ batches }: WetView): string {
  const states = batches.map((b) => b.done);
  if (states.every((s) => s.poured.size === 0))
    return states.some((s) => s.mixedMs !== null)
      ? 'Thrown away. Nothing was poured.'
      : 'Left before mixing. Its coats are planned again.';
  const open = states.some((s) => [...s.poured.keys()].some((id) => !s.covered.has(id)));
  return open ? 'Closed. When it was covered is not known.' : 'Covered. The clocks run.';
}

function Done({ view }: { view: WetView }) {
  const act = useAct();
  const now = useNow(SECOND_MS);
  const alarms = useAlarms(view, now);
  const lasts = view.batches.flatMap(({ batch }) => {
    const last = standing(batch.events).at(-1);
    return last ? [{ batch, last }] : [];
  });
  const newest = lasts.sort((a, b) => b.last.atMs - a.last.atMs)[0] ?? null;
  const undo = () => {
    if (!newest) return;
    const { batch, last } = newest;
    void act('undo the last act', (db, c) => undoAct(db, c, batch.id, last.id), { id: last.id });
  };
  return (
    <Box maxW="900px" mx="auto" px="6" py="12">
      <AlarmBar alarms={alarms} view={view} />
      <PageHeading title={endWords(view)} fontSize="4xl" mb="4" />
      {view.batches.map((b) =>
        viewOf(view, b)
          .coats.filter(({ coat }) => b.done.poured.has(coat.id))
          .map((entry) => (
            <DoneCoat key={entry.coat.id} view={viewOf(view, b)} entry={entry} nowMs={now} />
          )),
      )}
      <Flex gap="4" mt="6">
        <Button asChild size="bench">
          <Link href="/">Today</Link>
        </Button>
        <Button size="bench" variant="quiet" disabled={!newest} onClick={undo}>
          {newest ? `Undo: ${newest.last.is}` : 'Undo'}
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
  const now = useNow(SECOND_MS);
  const [chosen, choose] = useState<string | null>(null);
  const view = wetView(shop, sessionId, now, chosen);
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
    if (outcome.ok) go('/pieces');
  };
  return (
    <BatchChoice value={choose}>
      <Step key={view.batch.id} view={view} onLeave={() => void leave()} />
    </BatchChoice>
  );
}

/** What is done now with the batch that is looked at. */
function Step({ view, onLeave }: { view: WetView; onLeave: () => void }) {
  switch (view.step) {
    case 'weigh A':
      return <Weigh key="A" view={view} onLeave={onLeave} />;
    case 'weigh B':
      return <Weigh key="B" view={view} onLeave={onLeave} />;
    case 'stir':
    case 'stirring':
      return <StirStep view={view} />;
    case 'cups':
      return <CupsStep view={view} />;
    case 'pour':
    case 'cover':
      return <WorkStep view={view} />;
    case 'done':
      return <Done view={view} />;
  }
}
