'use client';
import { Box, Grid } from '@chakra-ui/react';
import { useAct, useNow } from '@/data/hooks';
import { endStir, startStir, undoLast } from '@/data/repos/wet';
import { minutesText } from '@/features/common/clockText';
import { Figure } from '@/ui/Figure';
import { BenchFrame } from './BenchFrame';
import { BigAction } from './BigAction';
import { STIR_MS, type WetView } from './model';

function StirRing({ share }: { share: number }) {
  const length = 2 * Math.PI * 150;
  return (
    <svg viewBox="0 0 340 340" width="100%" aria-hidden>
      <circle
        cx="170"
        cy="170"
        r="150"
        fill="var(--bm-colors-card)"
        stroke="#e9dfcc"
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
        transform={`rotate(${(360 * STIR_MS.least) / STIR_MS.wanted} 170 170)`}
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

export function StirStep({ view }: { view: WetView }) {
  const act = useAct();
  const now = useNow();
  const { batch, step } = view;
  const stirring = step === 'stirring';
  const elapsed =
    stirring && batch.stirStartedMs !== null ? Math.max(0, now - batch.stirStartedMs) : 0;
  const left = STIR_MS.wanted - elapsed;
  const words = !stirring
    ? 'Slowly: walls, floor and stick'
    : elapsed < STIR_MS.least
      ? 'Not yet: streaks cure soft'
      : left > 0
        ? 'Streaks gone? A little more'
        : 'Long enough: look for streaks once more';
  return (
    <BenchFrame
      view={view}
      title={stirring ? 'Stirring' : 'Stir'}
      caution={
        <>
          <strong>Under-mixed resin never cures;</strong> over-mixing only costs time. Scrape walls,
          floor and stick; no scrapings onto the piece.
        </>
      }
      actions={
        <>
          <BigAction
            kind="second"
            label="Undo"
            hotkey="u"
            keyName="U"
            onAct={() => void act('undo', (db, c) => undoLast(db, c, batch.id))}
          />
          {stirring ? (
            <BigAction
              kind="main"
              label="Stirred, no streaks"
              hotkey=" "
              keyName="space"
              onAct={() => void act('end the stir', (db, c) => endStir(db, c, batch.id))}
            />
          ) : (
            <BigAction
              kind="main"
              label="Start stirring"
              hotkey=" "
              keyName="space"
              onAct={() => void act('start the stir', (db, c) => startStir(db, c, batch.id))}
            />
          )}
        </>
      }
    >
      <Grid
        templateColumns="minmax(200px, 320px) auto"
        gap="10"
        alignItems="center"
        justifyContent="center"
      >
        <StirRing share={elapsed / STIR_MS.wanted} />
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
            {minutesText(stirring ? elapsed : STIR_MS.wanted)}
          </Figure>
          <Box
            fontSize="2xl"
            fontWeight="600"
            mt="2"
            color={stirring && elapsed < STIR_MS.least ? 'oxide' : 'ink'}
          >
            {words}
          </Box>
          <Box color="ink2" mt="1">
            2 min until streaks vanish, then 2 min more. Common practice, no source; the resin’s
            sheet goes first.
          </Box>
        </Box>
      </Grid>
    </BenchFrame>
  );
}
