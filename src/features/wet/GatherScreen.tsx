'use client';
import { leastFilm } from '@/core/coat';
import { Box, chakra, Flex, Heading } from '@chakra-ui/react';
import Link from 'next/link';
import { useState } from 'react';
import { ROOM_LIMITS_K, splitMix } from '@/core/resin';
import { editText, parseQuantity } from '@/core/units';
import { useAct, useNow, useShop } from '@/data/hooks';
import { startSession } from '@/data/repos/session';
import type { Resin } from '@/records';
import { pieceViews, type CoatView } from '@/shop/coatView';
import { holdsOf } from '@/shop/prepView';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { Caution } from '@/ui/Caution';
import { Figure } from '@/ui/Figure';
import { useLot, type ChosenLot } from './LotChoice';
import { MixPanel, type BenchChoice } from './MixPanel';
import { planOfBatch, pouredOf } from './volumeOf';
import { WetScreen } from './WetScreen';

interface ChoiceProps {
  readonly view: CoatView;
  readonly chosen: boolean;
  /** Open steps of preparation that hold it back. */
  readonly held: number;
  readonly onToggle: () => void;
}

function Choice({ view, chosen, held, onToggle }: ChoiceProps) {
  const { show } = useFormat();
  return (
    <chakra.label
      display="flex"
      alignItems="center"
      gap="4"
      minH="64px"
      px="4"
      bg={chosen ? 'amberWash' : 'card'}
      borderWidth={chosen ? '2px' : '1px'}
      borderColor={chosen ? 'ink' : 'line'}
      cursor={held > 0 ? 'not-allowed' : 'pointer'}
    >
      <chakra.input
        type="checkbox"
        disabled={held > 0}
        checked={chosen}
        onChange={onToggle}
        width="24px"
        height="24px"
        accentColor="ink"
      />
      <Box flex="1">
        <Box fontWeight="600" fontSize="lg">
          {view.piece.name} · {view.coat.name}
        </Box>
        <Box fontSize="sm" color="ink2">
          {show(leastFilm(view.coat), 'film').text} on{' '}
          {view.piece.count === 1 ? 'one piece' : `${view.piece.count} pieces`}
          {held > 0 && (
            <Box as="span" color="oxide" fontWeight="600">
              {' '}
              · held: {held === 1 ? 'one step' : `${held} steps`} to prepare
            </Box>
          )}
        </Box>
      </Box>
      <Box textAlign="right">
        <Figure fontSize="xl" fontWeight="600">
          {show(pouredOf(view), 'volume').text}
        </Figure>
        <Box fontSize="xs" color="ink2">
          to pour
        </Box>
      </Box>
    </chakra.label>
  );
}

/** A coat that its preparation holds back. */
function Held({ view, held }: { view: CoatView; held: number }) {
  const { piece, coat } = view;
  return (
    <Box p="8" fontSize="lg" maxW="700px">
      <Heading as="h1" fontSize="3xl" mb="2">
        {coat.name} is held
      </Heading>
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

function GlovesCaution() {
  return (
    <Caution title="Gloves, sleeves, open window.">
      Uncured epoxy sensitises skin: nitrile gloves, no solvent on skin. Respirator with the
      cartridge that the resin’s safety data sheet names. No flame near alcohol or over paper and
      plastic cups; extinguisher at hand. Covers lie ready, the phone is out of the hand.
    </Caution>
  );
}

/** What a batch is measured with and mixed from, as it was done last until it is chosen. */
function useBench(resin: Resin | null): BenchChoice {
  const { batches } = useShop();
  const [lot, onLot] = useState<ChosenLot>(null);
  const [measure, onMeasure] = useState(batches.at(-1)?.measure ?? 'weight');
  const lotId = useLot(resin?.id ?? null, lot)?.lot.id ?? null;
  return { lot, onLot, lotId, measure, onMeasure };
}

/** Before the gloves: which coats one batch serves, and how warm the room is. */
export function GatherScreen({ coatId }: { coatId: string }) {
  const shop = useShop();
  const now = useNow();
  const act = useAct();
  const format = useFormat();
  const ready = pieceViews(shop, now).flatMap((v) =>
    v.upcoming && !v.upcoming.batch ? [v.upcoming] : [],
  );
  const first = ready.find((v) => v.coat.id === coatId);
  const heldOf = (v: CoatView) => holdsOf(shop, v.piece, v.coat.id, now).length;
  const [others, setOthers] = useState<readonly string[]>([]);
  const [room, setRoom] = useState(
    // What nobody read is not filled in: it would be logged as read.
    shop.room.last ? editText(shop.room.last.temperatureK, format.typed('temperature')) : '',
  );
  const [starting, setStarting] = useState(false);
  const bench = useBench(first?.resin ?? null);
  const [sessionId, setSessionId] = useState<string | null>(null);
  const parsed = parseQuantity(room, 'temperature', format.typed('temperature'), ROOM_LIMITS_K);
  if (sessionId !== null) return <WetScreen sessionId={sessionId} />;
  if (!first && starting) return null;
  if (!first)
    return (
      <Box p="8" fontSize="lg">
        This coat is not waiting to be mixed. <Link href="/pieces">Back to the pieces</Link>
      </Box>
    );
  if (heldOf(first) > 0 && !starting) return <Held view={first} held={heldOf(first)} />;
  const mates = ready.filter((v) => v.resin.id === first.resin.id);
  const chosen = mates.filter(
    (v) => v === first || (others.includes(v.coat.id) && heldOf(v) === 0),
  );
  const plan = planOfBatch(chosen);
  const targetM3 = plan?.totalM3 ?? 0;
  const split = splitMix(targetM3, first.resin.sheet);
  const toggle = ({ coat: { id } }: CoatView) => {
    if (id !== first.coat.id)
      setOthers(others.includes(id) ? others.filter((o) => o !== id) : [...others, id]);
  };
  const start = async () => {
    if (!parsed.ok || !split.ok || starting) return;
    setStarting(true);
    const session = {
      ...{ resinId: first.resin.id, lotId: bench.lotId, measure: bench.measure },
      coatIds: chosen.map((v) => v.coat.id),
      temperatureK: parsed.value,
      targetM3,
      targetAKg: split.value.aKg,
      targetBKg: split.value.bKg,
    };
    const outcome = await act(
      'start the wet session',
      (db, c) => startSession(db, c, session),
      session,
    );
    if (!outcome.ok) return setStarting(false);
    // The session goes on in place: no page to fetch while the gloves are on. Its address follows.
    setSessionId(outcome.value);
    setTimeout(() => window.history.replaceState(null, '', `/wet/${outcome.value}`), 50);
  };
  return (
    <Box maxW="1100px" mx="auto" px="6" py="6">
      <Flex justify="space-between" align="baseline" mb="4">
        <Heading as="h1" fontSize="3xl">
          Wet session: gather the coats
        </Heading>
        <Link href={`/pieces/${first.piece.id}/coats`}>Back to the coat</Link>
      </Flex>
      <Flex gap="5" align="flex-start" wrap="wrap">
        <Flex direction="column" gap="3" flex="3 1 480px">
          <Box color="ink2">One batch of {first.resin.name} serves:</Box>
          {mates.map((view) => (
            <Choice
              key={view.coat.id}
              view={view}
              chosen={chosen.includes(view)}
              held={heldOf(view)}
              onToggle={() => toggle(view)}
            />
          ))}
          <GlovesCaution />
        </Flex>
        <MixPanel
          resin={first.resin}
          chosen={chosen}
          plan={plan}
          split={split.ok ? split.value : null}
          room={room}
          onRoom={setRoom}
          temperatureK={parsed.ok ? parsed.value : null}
          issue={parsed.ok ? undefined : parsed.issues[0]}
          bench={bench}
          busy={starting}
          onStart={() => void start()}
        />
      </Flex>
    </Box>
  );
}
