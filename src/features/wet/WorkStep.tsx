'use client';
import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { CUP_REST_S, flowAt, flowMarks, type BubblesBy } from '@/core/wet';
import { useAct, SECOND_MS, useNow, useShop } from '@/data/hooks';
import { coverCoat, discardMix, pourCoat } from '@/data/repos/wet';
import { clockText, minutesText } from '@/features/common/clockText';
import { learnedPace } from '@/shop/learned';
import { Figure } from '@/ui/Figure';
import { BenchFrame } from './BenchFrame';
import { BigAction } from './BigAction';
import { CoatRow } from './CoatRow';
import { CupWeight } from './CupWeight';
import type { WetView } from './model';
import { pourWords, thenWords } from './pourWords';
import { Strokes } from './Strokes';
import { UndoAction } from './UndoAction';
import { FLOW_WORDS, WorkingLevel } from './WorkingLevel';

const CAUTION = {
  pour: (
    <>
      <strong>Flame and heat:</strong> 10–15 cm away in quick passes, never over paper, plastic or
      alcohol. Extinguisher at hand. Spread left-over resin out.
    </>
  ),
  cover: (
    <>
      <strong>Cover within minutes</strong>, nothing that sags onto the piece. Never cover a cup of
      mixed resin: it heats itself.
    </>
  ),
  over: (
    <>
      <strong>Heat off. It can smoke and scorch.</strong> Spread what is left in a wide tray in the
      open, away from anything that burns; a hot cup goes outside, uncovered, and is not held.
    </>
  ),
} as const;

/** Bubbles still rise in the cup: nothing is poured yet. */
const restsStill = ({ done }: WetView, nowMs: number): boolean =>
  done.poured.size === 0 &&
  done.stirredMs !== null &&
  nowMs < done.stirredMs + CUP_REST_S.from * 1000;

/** The number that matters while there is resin to pour: how long it can still be worked. */
function TimeLeft({ view, nowMs }: { view: WetView; nowMs: number }) {
  const { done, workingEndsMs } = view;
  if (workingEndsMs === null || done.mixedMs === null) return null;
  const left = workingEndsMs - nowMs;
  const marks = flowMarks((workingEndsMs - done.mixedMs) / 1000);
  const flow = flowAt(marks, Math.max(0, nowMs - done.mixedMs) / 1000);
  const restedS = done.stirredMs === null ? 0 : (nowMs - done.stirredMs) / 1000;
  const resting = restsStill(view, nowMs);
  return (
    <Box textAlign="center">
      <Box fontSize="xl" color="ink2">
        {left < 0 ? 'past the working time, min:s' : 'working time left, min:s'}
      </Box>
      <Figure
        display="block"
        fontSize="bench"
        fontWeight="600"
        lineHeight="1"
        color={left < 5 * 60_000 ? 'oxide' : 'ink'}
        role="timer"
        aria-label="Working time"
      >
        {left < 0 ? '+' : ''}
        {minutesText(left)}
      </Figure>
      <Box fontSize="3xl" fontFamily="heading" fontWeight="600" lineHeight="1.15" mb="2">
        {resting ? 'Rest it: bubbles rise' : FLOW_WORDS[flow]}
      </Box>
      <WorkingLevel mixedMs={done.mixedMs} endsMs={workingEndsMs} nowMs={nowMs} />
      {done.poured.size === 0 && left >= 0 && (
        <Box fontSize="lg" color="ink2">
          resting since the stir: <Figure>{minutesText(restedS * 1000)}</Figure> min; 2–5 min let
          bubbles rise
        </Box>
      )}
    </Box>
  );
}

/** How long the coat that is covered next has lain open. */
function LiesOpen({ since, name, nowMs }: { since: number; name: string; nowMs: number }) {
  return (
    <Box textAlign="center">
      <Box fontSize="xl" color="ink2">
        {name} lies open for, min:s
      </Box>
      <Figure
        display="block"
        fontSize="bench"
        fontWeight="600"
        lineHeight="1"
        role="timer"
        aria-label="Lying open for"
      >
        {minutesText(Math.max(0, nowMs - since))}
      </Figure>
      <Box fontSize="lg" color="ink2">
        look for lint, bare spots and bubbles, then cover
      </Box>
      <Box color="ink2" mt="2">
        Plastic cups and sticks are left to cure, it pops off. Metal tools are wiped now.
      </Box>
    </Box>
  );
}

function MainAction({ view, over }: { view: WetView; over: boolean }) {
  const shop = useShop();
  const act = useAct();
  const { batch, coats, done, step, resin } = view;
  const next = coats.find((c) => !done.poured.has(c.coat.id));
  const open = coats.find((c) => done.poured.has(c.coat.id) && !done.covered.has(c.coat.id));
  if (step === 'pour' && next) {
    const pour = () =>
      void act(
        'pour',
        (db, c) => pourCoat(db, c, batch.id, next.coat.id, learnedPace(shop, resin)),
        { coatId: next.coat.id },
      );
    const stop = () =>
      void act('throw the rest away', (db, c) => discardMix(db, c, batch.id, 'too late'), {
        batchId: batch.id,
      });
    return (
      <>
        {over && (
          <BigAction
            kind="main"
            token="stop"
            label="Stop: pour no more"
            hotkey="s"
            keyName="S"
            onAct={stop}
          />
        )}
        <BigAction
          kind={over ? 'second' : 'main'}
          token={next.coat.id + String(over)}
          label={over ? `Poured late: ${next.piece.name}` : `Poured: ${next.piece.name}`}
          hotkey=" "
          keyName="space"
          hold={over}
          onAct={pour}
        />
      </>
    );
  }
  if (!open) return null;
  return (
    <BigAction
      kind="main"
      token={`cover ${open.coat.id}`}
      label={coats.length > 1 ? `Covered: ${open.piece.name}` : 'Covered'}
      hotkey=" "
      keyName="space"
      onAct={() =>
        void act('cover', (db, c) => coverCoat(db, c, batch.id, open.coat.id), {
          coatId: open.coat.id,
        })
      }
    />
  );
}

/** Pour each coat while it can be worked, look after what lies, cover each in its own time. */
export function WorkStep({ view }: { view: WetView }) {
  const now = useNow(SECOND_MS);
  const [bubblesBy, setBubblesBy] = useState<BubblesBy>('warm air');
  const { coats, done, step, workingEndsMs } = view;
  const next = coats.find((c) => !done.poured.has(c.coat.id));
  const open = coats.find((c) => done.poured.has(c.coat.id) && !done.covered.has(c.coat.id));
  const pouring = step === 'pour';
  const resting = pouring && restsStill(view, now);
  const over = pouring && workingEndsMs !== null && now >= workingEndsMs;
  const title = over ? 'Stop' : pouring ? 'Pour' : 'Cover';
  return (
    <BenchFrame
      view={view}
      title={title}
      caution={CAUTION[over ? 'over' : pouring ? 'pour' : 'cover']}
      clock={!pouring}
      grave={over}
      actions={
        <>
          <UndoAction view={view} />
          <MainAction view={view} over={over} />
        </>
      }
    >
      <Flex gap="8" align="center" wrap="wrap">
        <Box flex="1 1 400px">
          {pouring ? (
            <TimeLeft view={view} nowMs={now} />
          ) : (
            open && (
              <LiesOpen
                since={done.poured.get(open.coat.id) ?? now}
                name={open.piece.name}
                nowMs={now}
              />
            )
          )}
        </Box>
        <Box flex="1 1 380px" minW="0">
          <Flex as="ul" listStyleType="none" direction="column" gap="3">
            {coats.map((entry) => (
              <CoatRow
                key={entry.coat.id}
                view={view}
                entry={entry}
                words={
                  done.poured.has(entry.coat.id)
                    ? `✓ ${clockText(done.poured.get(entry.coat.id) ?? 0, now)}`
                    : entry !== next
                      ? thenWords(view, entry, now)
                      : resting
                        ? 'after its rest'
                        : over
                          ? 'not any more'
                          : pourWords(view, entry, now)
                }
                marked={entry === (pouring ? next : open)}
                bubblesBy={bubblesBy}
                onBubblesBy={setBubblesBy}
                nowMs={now}
              />
            ))}
          </Flex>
          {pouring && next && !over && <Strokes entry={next} />}
          {view.batch.measure === 'weight' &&
            done.discarded === null &&
            (pouring || done.cupKg !== null) && <CupWeight view={view} />}
        </Box>
      </Flex>
    </BenchFrame>
  );
}
