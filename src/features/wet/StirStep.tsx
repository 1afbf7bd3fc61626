'use client';
import { stirTimes } from '@/core/wet';
import { Box, Grid } from '@chakra-ui/react';
import { useAct, SECOND_MS, useNow } from '@/data/hooks';
import { changeCup, endStir, pauseStir, resumeStir, startStir } from '@/data/repos/wet';
import { minutesText, spanText } from '@/features/common/clockText';
import { Figure } from '@/ui/Figure';
import { BenchFrame } from './BenchFrame';
import { BigAction } from './BigAction';
import type { WetView } from './model';
import { UndoAction } from './UndoAction';

function StirRing({ share, least }: { share: number; least: number }) {
  const length = 2 * Math.PI * 150;
  return (
    <svg viewBox="0 0 340 340" width="100%" aria-hidden>
      <circle
        cx="170"
        cy="170"
        r="150"
        fill="var(--bm-colors-card)"
        stroke="var(--bm-colors-line)"
        strokeWidth="22"
      />
      <circle
        cx="170"
        cy="170"
        r="150"
        fill="none"
        stroke="var(--bm-colors-amber)"
        strokeWidth="22"
        strokeDasharray={`${length * Math.min(1, share)} ${length}`}
        transform="rotate(-90 170 170)"
      />
      <path
        d="M170 8 v26"
        stroke="var(--bm-colors-ink)"
        strokeWidth="3"
        transform={`rotate(${360 * least} 170 170)`}
      />
      <path
        d="M216 70 L158 232 Q150 252 168 256 Q182 258 188 240 L238 80 Z"
        fill="#d9b77a"
        stroke="var(--bm-colors-ink)"
        strokeWidth="2.5"
      />
      <path
        d="M92 236 Q170 276 248 236"
        fill="none"
        stroke="var(--bm-colors-ink)"
        strokeWidth="2.5"
        strokeDasharray="2 6"
      />
    </svg>
  );
}

/** What is scraped, one after the other. Common practice, no source. */
const SCRAPE = ['the walls', 'the floor', 'the stick'] as const;
const SCRAPE_MS = 20_000;

function StirActions({ view, short }: { view: WetView; short: boolean }) {
  const act = useAct();
  const { batch, done, step } = view;
  const kept = { batchId: batch.id, step };
  return (
    <>
      <UndoAction view={view} />
      {step === 'stirring' && done.pausedMs === null && (
        <BigAction
          kind="second"
          token="pause"
          label="Pause"
          hotkey="p"
          keyName="P"
          onAct={() => void act('pause the stir', (db, c) => pauseStir(db, c, batch.id), kept)}
        />
      )}
      {step === 'stirring' && done.changedCupMs === null && (
        <BigAction
          kind="second"
          token="cup"
          label="Changed cup and stick"
          hotkey="c"
          keyName="C"
          onAct={() => void act('change the cup', (db, c) => changeCup(db, c, batch.id), kept)}
        />
      )}
      {step === 'stirring' && done.pausedMs !== null ? (
        <BigAction
          kind="main"
          token="resume"
          label="Stir on"
          hotkey=" "
          keyName="space"
          onAct={() => void act('stir on', (db, c) => resumeStir(db, c, batch.id), kept)}
        />
      ) : step === 'stirring' ? (
        <BigAction
          kind="main"
          token="stirred"
          label={short ? 'Stirred short: hold' : 'Stirred, no streaks'}
          hotkey=" "
          keyName="space"
          hold={short}
          onAct={() => void act('end the stir', (db, c) => endStir(db, c, batch.id), kept)}
        />
      ) : (
        <BigAction
          kind="main"
          token="start"
          label="Start stirring"
          hotkey=" "
          keyName="space"
          onAct={() => void act('start the stir', (db, c) => startStir(db, c, batch.id), kept)}
        />
      )}
    </>
  );
}

export function StirStep({ view }: { view: WetView }) {
  const now = useNow(SECOND_MS);
  const { done, step } = view;
  const { leastS, wantedS } = stirTimes(view.resin.sheet);
  const [leastMs, wantedMs] = [leastS * 1000, wantedS * 1000];
  const stirring = step === 'stirring';
  const paused = stirring && done.pausedMs !== null;
  const until = done.pausedMs ?? now;
  const elapsed =
    stirring && done.stirStartedMs !== null
      ? Math.max(0, until - done.stirStartedMs - done.idleMs)
      : 0;
  const left = wantedMs - elapsed;
  const short = elapsed < leastMs;
  const words = paused
    ? `Paused for ${minutesText(Math.max(0, now - until))}: the working time runs on`
    : !stirring
      ? 'Slowly: walls, floor and stick'
      : short
        ? 'Not yet: streaks cure soft'
        : left > 0
          ? 'Streaks gone? A little more'
          : 'Long enough: look for streaks once more';
  return (
    <BenchFrame
      view={view}
      title={paused ? 'Paused' : stirring ? 'Stirring' : 'Stir'}
      caution={
        <>
          <strong>Under-mixed resin never cures;</strong> over-mixing only costs time. Scrape walls,
          floor and stick; no scrapings onto the piece.
        </>
      }
      actions={<StirActions view={view} short={short} />}
    >
      <Grid
        templateColumns="minmax(200px, 320px) auto"
        gap="10"
        alignItems="center"
        justifyContent="center"
      >
        <StirRing share={elapsed / wantedMs} least={leastMs / wantedMs} />
        <Box>
          <Box fontSize="xl" color="ink2">
            {stirring ? 'stirred for, min:s' : 'stir for, min:s'}
          </Box>
          <Figure
            display="block"
            fontSize="bench"
            fontWeight="600"
            lineHeight="1"
            role="timer"
            aria-label="Stirred for"
          >
            {minutesText(stirring ? elapsed : wantedMs)}
          </Figure>
          {stirring && !paused && (
            <Box fontSize="3xl" fontFamily="heading" fontWeight="600" lineHeight="1.2">
              Scrape {SCRAPE[Math.floor(elapsed / SCRAPE_MS) % SCRAPE.length]}
            </Box>
          )}
          <Box fontSize="2xl" fontWeight="600" mt="2" color={stirring && short ? 'oxide' : 'ink'}>
            {words}
          </Box>
          <Box color="ink2" mt="1">
            At least {spanText(leastMs)}, as the resin’s sheet says, until streaks vanish; then 2
            min more (common practice, no source). With two cups: change cup and stick half-way.
          </Box>
        </Box>
      </Grid>
    </BenchFrame>
  );
}
