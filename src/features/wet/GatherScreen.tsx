'use client';
import { Box, Flex } from '@chakra-ui/react';
import { go } from '@/ui/go';
import { Link } from '@/ui/Link';
import { PageHeading } from '@/ui/PageHeading';
import { useState } from 'react';
import { ROOM_LIMITS_K } from '@/core/resin';
import { editText, parseQuantity } from '@/core/units';
import { useAct, SECOND_MS, useNow, useShop } from '@/data/hooks';
import { startSession, type NewSession } from '@/data/repos/session';
import type { Resin } from '@/records';
import { cupsOf, fillersOf, type SharedOut } from '@/shop/batches';
import { pieceViews, type CoatView } from '@/shop/coatView';
import { holdsOf } from '@/shop/prepView';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { AT_HAND, AtHandList, type AtHand } from './AtHandList';
import { useLot, type ChosenLot } from './LotChoice';
import { BenchFields, type BenchChoice } from './BenchFields';
import { Choice, HeldCoats } from './CoatChoice';
import { MixPanel } from './MixPanel';
import { useGathered } from './useGatherChecks';

/** A coat that its preparation holds back. */
function Held({ view, held }: { view: CoatView; held: number }) {
  const { piece, coat } = view;
  return (
    <Box p="8" fontSize="lg" maxW="700px">
      <PageHeading title={`${coat.name} is held`} mb="2">
        {coat.name} is held
      </PageHeading>
      <Box mb="4">
        {held === 1 ? 'One needed step is open' : `${held} needed steps are open`} on {piece.name}.
        Do them, or leave them out with a reason.
      </Box>
      <Button asChild variant="ink">
        <Link href={`/pieces/${piece.id}/prepare`}>Prepare {piece.name}</Link>
      </Button>
    </Box>
  );
}

/** What a batch is measured with and mixed from, as it was done last until it is chosen. */
function useBench(resin: Resin | null): BenchChoice {
  const { batches } = useShop();
  const [lot, onLot] = useState<ChosenLot>(null);
  const [measure, onMeasure] = useState(batches.at(-1)?.measure ?? 'weight');
  const [how, onHow] = useState<SharedOut>('as few as fit');
  const lotId = useLot(resin?.id ?? null, lot)?.lot.id ?? null;
  return { lot, onLot, lotId, measure, onMeasure, how, onHow };
}

/** Which coats are chosen: the one that was asked for, and others that are ready and share its resin. */
function useChosen(coatId: string) {
  const shop = useShop();
  const now = useNow(SECOND_MS);
  const [others, setOthers] = useState<readonly string[]>([]);
  const ready = pieceViews(shop, now).flatMap((v) =>
    v.upcoming && !v.upcoming.batch ? [v.upcoming] : [],
  );
  const first = ready.find((v) => v.coat.id === coatId);
  const heldOf = (v: CoatView) => holdsOf(shop, v.piece, v.coat.id, now).length;
  const mates = ready.filter((v) => v.resin.id === first?.resin.id);
  const chosen = mates.filter(
    (v) => v === first || (others.includes(v.coat.id) && heldOf(v) === 0),
  );
  const toggle = ({ coat: { id } }: CoatView) => {
    if (id !== coatId)
      setOthers(others.includes(id) ? others.filter((o) => o !== id) : [...others, id]);
  };
  return { first, mates, chosen, heldOf, toggle };
}

/** Before the gloves: which coats a session serves, in which batches, and what must be at hand. */
function Gather({
  first,
  ...choice
}: ReturnType<typeof useChosen> & {
  first: CoatView;
}) {
  const { mates, chosen, heldOf, toggle } = choice;
  const shop = useShop();
  const act = useAct();
  const format = useFormat();
  const { resin } = first;
  const [room, setRoom] = useState(
    // What nobody read is not filled in: it would be logged as read.
    shop.room.last ? editText(shop.room.last.temperatureK, format.typed('temperature')) : '',
  );
  const [there, setThere] = useState<readonly AtHand[]>([]);
  const bench = useBench(resin);
  const parsed = parseQuantity(room, 'temperature', format.typed('temperature'), ROOM_LIMITS_K);
  const temperatureK = parsed.ok ? parsed.value : null;
  const { how, measure, lotId } = bench;
  const gathered = useGathered({ ...{ resin, chosen, how, temperatureK, measure } });
  const ready = mates.filter((v) => heldOf(v) === 0);
  const held = mates.filter((v) => heldOf(v) > 0);
  const restM3 = (gathered.batches ?? []).reduce((sum, b) => sum + b.plan.reserveM3, 0);
  const missing = AT_HAND.filter((what) => !there.includes(what));
  const start = async () => {
    const { batches } = gathered;
    if (temperatureK === null || !batches) return false;
    const plan: NewSession = {
      ...{ resinId: resin.id, lotId, measure, temperatureK, atHand: { there, missing } },
      batches: batches.map(({ views, plan: { totalM3 }, split }) => ({
        coatIds: views.map((v) => v.coat.id),
        ...{ targetM3: totalM3, targetAKg: split.aKg, targetBKg: split.bKg },
        cups: cupsOf(views, resin, shop.swatches),
      })),
    };
    const outcome = await act('start the wet session', (db, c) => startSession(db, c, plan), plan);
    if (outcome.ok) go(`/wet/${outcome.value}`, 'replace');
    return outcome.ok;
  };
  return (
    <Box maxW="1100px" mx="auto" px="6" py="6">
      <Flex justify="space-between" align="baseline" mb="4">
        <PageHeading title="Wet session: gather the coats" />
        <Link href={`/pieces/${first.piece.id}/coats`}>Back to the coat</Link>
      </Flex>
      <Flex gap="5" align="flex-start" wrap="wrap">
        <Flex direction="column" gap="3" flex="3 1 480px">
          <Box color="ink2">This session of {resin.name} serves:</Box>
          {ready.map((view) => (
            <Choice
              key={view.coat.id}
              view={view}
              chosen={chosen.includes(view)}
              held={0}
              onToggle={() => toggle(view)}
            />
          ))}
          <BenchFields
            resin={resin}
            bench={bench}
            room={room}
            onRoom={setRoom}
            issue={parsed.ok ? undefined : parsed.issues[0]}
            coats={chosen.length}
            totalM3={(gathered.batches ?? []).reduce((sum, b) => sum + b.plan.totalM3, 0)}
          />
          <AtHandList there={there} onChange={setThere} />
          <HeldCoats views={held} heldOf={heldOf} />
        </Flex>
        <MixPanel
          resin={resin}
          chosen={chosen}
          gathered={gathered}
          temperatureK={temperatureK}
          bench={bench}
          fillers={fillersOf(ready, chosen, restM3)}
          missing={missing.length}
          onStart={start}
        />
      </Flex>
    </Box>
  );
}

/** Gathers coats for a session, and leads on to it once it is started. */
export function GatherScreen({ coatId }: { coatId: string }) {
  const choice = useChosen(coatId);
  const { first } = choice;
  if (!first)
    return (
      <Box p="8" fontSize="lg">
        This coat is not waiting to be mixed. <Link href="/pieces">Back to the pieces</Link>
      </Box>
    );
  if (choice.heldOf(first) > 0) return <Held view={first} held={choice.heldOf(first)} />;
  return <Gather {...choice} first={first} />;
}
