'use client';
import { leastFilm } from '@/core/coat';
import { clockExplanation } from '@/core/resin';
import { Box, chakra, Flex, Grid, Heading } from '@chakra-ui/react';
import { useDeferredValue } from 'react';
import { useNow, useShop } from '@/data/hooks';
import { clockText, spanText } from '@/features/common/clockText';
import { type CoatView, type PieceView, clockNow } from '@/shop/coatView';
import { Explained } from '@/features/common/Explained';
import { PieceFrame } from '@/features/common/PieceFrame';
import { STATE_FILL, STATE_TERM, STATE_WORDS } from '@/features/common/stateWords';
import { useFormat } from '@/features/common/useFormat';
import { Caution } from '@/ui/Caution';
import { Figure } from '@/ui/Figure';
import { WordMark } from '@/features/common/WordMark';
import { Panel } from '@/ui/Panel';
import { Scroller } from '@/ui/Scroller';
import { CureBar } from './CureBar';
import { NextCoat } from './NextCoat';
import { SiliconeMark } from './SiliconeMark';
import { TemperatureForm } from './TemperatureForm';
import { TouchTests } from './TouchTests';
import { windowRows, type WindowRow } from './model';

function Windows({ view, nowMs }: { view: CoatView; nowMs: number }) {
  const shop = useShop();
  const { room } = shop;
  const time = (row: WindowRow, which: 'opens' | 'closes') => {
    const at = which === 'opens' ? row.opensMs : row.closesMs;
    if (at === null) return <Box color="ink2">stays open</Box>;
    const ripe = (which === 'opens' ? row.opensRipeS : row.closesRipeS) ?? 0;
    const sigma = (which === 'opens' ? row.opensSigmaMs : row.closesSigmaMs) ?? 0;
    return (
      <>
        <Explained
          explanation={clockExplanation(
            clockNow(view, room, nowMs),
            `${row.title} ${which}`,
            ripe,
            sigma,
          )}
          quantity="duration"
        >
          {/* A date and a time stand side by side on a phone as well. */}
          <Figure fontWeight="600" fontSize={{ base: 'sm', md: 'inherit' }}>
            {clockText(at, nowMs)}
          </Figure>
        </Explained>{' '}
        <Figure fontSize="xs" color="ink2">
          ± {spanText(sigma)}
        </Figure>
      </>
    );
  };
  return (
    <chakra.table width="100%">
      <chakra.caption srOnly>Windows of {view.coat.name}</chakra.caption>
      <thead>
        <chakra.tr textAlign="left" fontSize="sm" color="ink2">
          <chakra.th fontWeight="500">Window</chakra.th>
          <chakra.th fontWeight="500">Opens</chakra.th>
          <chakra.th fontWeight="500">Shuts</chakra.th>
          <chakra.th fontWeight="500">Now</chakra.th>
        </chakra.tr>
      </thead>
      <tbody>
        {windowRows(view, shop, nowMs).map((row) => (
          <chakra.tr
            key={row.kind}
            borderTopWidth="1px"
            borderColor="line"
            bg={row.status === 'open' ? 'verdigrisPale' : undefined}
          >
            <chakra.th
              scope="row"
              textAlign="left"
              py="2"
              pe={{ base: '1', md: '3' }}
              fontWeight="600"
            >
              {row.title}
            </chakra.th>
            <chakra.td pe={{ base: '1', md: '3' }}>{time(row, 'opens')}</chakra.td>
            <chakra.td pe={{ base: '1', md: '3' }}>{time(row, 'closes')}</chakra.td>
            <chakra.td
              color={row.status === 'shut' ? 'oxide' : 'ink'}
              fontWeight={row.status === 'open' ? '600' : '400'}
            >
              {row.words}
            </chakra.td>
          </chakra.tr>
        ))}
      </tbody>
    </chakra.table>
  );
}

function CoatCure({
  view,
  covered,
  nowMs,
}: {
  view: CoatView;
  /** Another coat lies on it. */
  covered: boolean;
  nowMs: number;
}) {
  const { room } = useShop();
  const { show } = useFormat();
  const { clock, coat, state } = view;
  if (!clock) return null;
  return (
    <Panel as="section" aria-label={`Cure of ${coat.name}`}>
      <Flex align="center" gap="4" mb="3" wrap="wrap">
        <svg width="46" height="30" aria-hidden>
          <rect
            x="1"
            y="1"
            width="44"
            height="28"
            fill={STATE_FILL[state]}
            stroke="var(--bm-colors-amber-deep)"
          />
        </svg>
        <Box flex="1" minW="220px">
          <Heading as="h2" fontSize="xl" display="inline">
            {coat.name}: {STATE_WORDS[state]}
          </Heading>
          {STATE_TERM[state] && <WordMark word={STATE_TERM[state]} />}
          <Box color="ink2" fontSize="sm">
            poured {clockText(coat.pouredMs ?? 0, nowMs)}
            {coat.coveredMs !== null && `, covered ${clockText(coat.coveredMs, nowMs)}`} ·{' '}
            {view.resin.name} · {show(leastFilm(coat), 'film').text}
          </Box>
        </Box>
        <Box textAlign="right">
          <Box fontSize="2xl" fontWeight="600" lineHeight="1.1">
            <Explained
              explanation={clockExplanation(
                clockNow(view, room, nowMs),
                'Ripe age of the film',
                clock.ripeS,
              )}
              quantity="duration"
            >
              <Figure>{show(clock.ripeS, 'duration').text}</Figure>
            </Explained>
          </Box>
          <Box fontSize="sm" color="ink2">
            ripe age
          </Box>
        </Box>
      </Flex>
      {!covered && <NextCoat view={view} nowMs={nowMs} />}
      <Scroller label="States of the coat" least={500}>
        <CureBar clock={clock} touches={coat.touches} nowMs={nowMs} />
      </Scroller>
      <Box fontSize="xs" color="ink2" textAlign="end" mt="1">
        Not to scale: every state is drawn equally wide.
        {coat.touches.length > 0 && ' Pins: touches.'}
      </Box>
      <Windows view={view} nowMs={nowMs} />
      {state !== 'fully cured' && <TouchTests coat={coat} resin={view.resin} nowMs={nowMs} />}
      <SiliconeMark coat={coat} />
    </Panel>
  );
}

/** One date for all that is hot: that of the window for warm load. */
function nothingHot({ clock }: CoatView, nowMs: number): string {
  const warm = clock?.windows.find((w) => w.kind === 'warm load');
  if (!warm) return 'Nothing hot before it is fully cured.';
  return warm.opensMs > nowMs
    ? `Nothing hot before ${clockText(warm.opensMs, nowMs)}.`
    : `It bears warm things since ${clockText(warm.opensMs, nowMs)}.`;
}

function Cure({ view }: { view: PieceView }) {
  const now = useNow();
  const poured = view.coats.filter((c) => c.clock).reverse();
  const top = view.top;
  // What lies under the newest stands further down the page, and is drawn right after it.
  const whole = useDeferredValue(true, false);
  if (!top) return <Panel>Nothing is poured yet. The clock starts with the first coat.</Panel>;
  return (
    <Grid templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 340px' }} gap="4" alignItems="start">
      <Flex direction="column" gap="4">
        {(whole ? poured : poured.slice(0, 1)).map((c) => (
          <CoatCure key={c.coat.id} view={c} covered={c !== top} nowMs={now} />
        ))}
      </Flex>
      <Flex direction="column" gap="4">
        <TemperatureForm key={top.coat.id} view={top} nowMs={now} />
        <Caution title={nothingHot(top, now)}>
          Hot cups then on a heat-rated resin only. Food surfaces: what the maker declares, fully
          cured, and local food-contact rules.
        </Caution>
      </Flex>
    </Grid>
  );
}

export function CureScreen({ pieceId }: { pieceId: string }) {
  return (
    <PieceFrame pieceId={pieceId} stage="cure">
      {(view) => <Cure view={view} />}
    </PieceFrame>
  );
}
