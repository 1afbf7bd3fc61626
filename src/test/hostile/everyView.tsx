import { ChakraProvider } from '@chakra-ui/react';
import {
  AppRouterContext,
  type AppRouterInstance,
} from 'next/dist/shared/lib/app-router-context.shared-runtime';
import type { ReactElement } from 'react';
import { renderToString } from 'react-dom/server';
import { ActProvider, StillShop } from '@/data/hooks';
import { type Shop } from '@/shop/shop';
import { BookScreen } from '@/features/book';
import { CoatsScreen } from '@/features/coats';
import { CureScreen } from '@/features/cure';
import { InspectScreen } from '@/features/inspect';
import { PiecesScreen } from '@/features/pieces';
import { PrepareScreen } from '@/features/prepare';
import { ResinsScreen, SheetScreen } from '@/features/resins';
import { SettingsScreen } from '@/features/settings';
import { BenchStrip } from '@/features/shell/BenchStrip';
import { SurveyScreen } from '@/features/survey';
import { TodayScreen } from '@/features/today';
import { GatherScreen, WetScreen } from '@/features/wet';
import { system } from '@/ui/theme';

const nothing = () => undefined;
const router: AppRouterInstance = {
  back: nothing,
  forward: nothing,
  refresh: nothing,
  push: nothing,
  replace: nothing,
  prefetch: nothing,
} as unknown as AppRouterInstance;

/** Every screen of a shop, by name. */
function screensOf(shop: Shop): readonly (readonly [string, ReactElement])[] {
  const ofPiece = shop.pieces.flatMap(({ id }): [string, ReactElement][] => [
    [`survey of ${id}`, <SurveyScreen key="s" pieceId={id} />],
    [`prepare of ${id}`, <PrepareScreen key="p" pieceId={id} />],
    [`coats of ${id}`, <CoatsScreen key="c" pieceId={id} />],
    [`cure of ${id}`, <CureScreen key="u" pieceId={id} />],
    [`inspect of ${id}`, <InspectScreen key="i" pieceId={id} />],
  ]);
  return [
    ['strip', <BenchStrip key="b" />],
    ['today', <TodayScreen key="t" />],
    ['pieces', <PiecesScreen key="l" />],
    ['resins', <ResinsScreen key="r" />],
    ['book', <BookScreen key="k" />],
    ['settings', <SettingsScreen key="e" />],
    ...ofPiece,
    ...shop.resins.map(({ id }): [string, ReactElement] => [
      `sheet ${id}`,
      <SheetScreen key="h" resinId={id} />,
    ]),
    ...shop.sessions.map(({ id }): [string, ReactElement] => [
      `session ${id}`,
      <WetScreen key="w" sessionId={id} />,
    ]),
    ...shop.coats
      .filter((c) => c.batchId === null)
      .map(({ id }): [string, ReactElement] => [
        `gather ${id}`,
        <GatherScreen key="g" coatId={id} />,
      ]),
  ];
}

/** Draws every screen of a shop; the names of those that fail, with what they threw. */
export function brokenViews(shop: Shop): string[] {
  return screensOf(shop).flatMap(([name, screen]) => {
    try {
      renderToString(
        <AppRouterContext value={router}>
          <ChakraProvider value={system}>
            <StillShop shop={shop}>
              <ActProvider>{screen}</ActProvider>
            </StillShop>
          </ChakraProvider>
        </AppRouterContext>,
      );
      return [];
    } catch (error) {
      return [`${name}: ${error instanceof Error ? error.message : String(error)}`];
    }
  });
}
