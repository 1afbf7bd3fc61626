'use client';
import { useEffect, type ComponentType, type ReactNode } from 'react';
import { go } from '@/ui/go';
import { later, OPENING } from '@/ui/later';
import { placeAt, type PlacePath } from './paths';

/** What stands at an address: fetched once, then drawn. */
interface Part {
  readonly load: () => Promise<void>;
  readonly draw: (id: string, search: URLSearchParams) => ReactNode;
}

/** A screen that is fetched when it is first visited, or before, when nothing else is to be done. */
function screen<P extends object>(
  fetchIt: () => Promise<ComponentType<P>>,
  props: (id: string, search: URLSearchParams) => P,
): Part {
  const { load, Part: Screen } = later(fetchIt, OPENING);
  return { load, draw: (id, search) => <Screen {...props(id, search)} /> };
}

/** Leads on, and leaves no step back to where nothing is. */
function Onward({ href }: { href: string }) {
  useEffect(() => go(href, 'replace'), [href]);
  return null;
}

const nothing = () => ({});
const ofPiece = (pieceId: string) => ({ pieceId });

/** What stands at each address, in the order in which it is fetched ahead. */
export const SCREENS: Readonly<Record<PlacePath, Part>> = {
  '/': screen(() => import('@/features/today').then((m) => m.TodayScreen), nothing),
  '/start': screen(() => import('@/features/start').then((m) => m.StartScreen), nothing),
  '/pieces': screen(() => import('@/features/pieces').then((m) => m.PiecesScreen), nothing),
  '/wet/new': screen(
    () => import('@/features/wet').then((m) => m.GatherScreen),
    (_, search) => ({ coatId: search.get('coat') ?? '' }),
  ),
  '/wet/:id': screen(
    () => import('@/features/wet').then((m) => m.WetScreen),
    (sessionId) => ({ sessionId }),
  ),
  '/pieces/new': screen(() => import('@/features/survey').then((m) => m.NewPieceScreen), nothing),
  '/pieces/:id': {
    load: async () => undefined,
    draw: (id) => <Onward href={`/pieces/${id}/coats`} />,
  },
  '/pieces/:id/survey': screen(
    () => import('@/features/survey').then((m) => m.SurveyScreen),
    ofPiece,
  ),
  '/pieces/:id/prepare': screen(
    () => import('@/features/prepare').then((m) => m.PrepareScreen),
    ofPiece,
  ),
  '/pieces/:id/coats': screen(() => import('@/features/coats').then((m) => m.CoatsScreen), ofPiece),
  '/pieces/:id/cure': screen(() => import('@/features/cure').then((m) => m.CureScreen), ofPiece),
  '/pieces/:id/inspect': screen(
    () => import('@/features/inspect').then((m) => m.InspectScreen),
    ofPiece,
  ),
  '/pieces/:id/finish': screen(
    () => import('@/features/finish').then((m) => m.FinishScreen),
    ofPiece,
  ),
  '/resins': screen(() => import('@/features/resins').then((m) => m.ResinsScreen), nothing),
  '/resins/:id': screen(
    () => import('@/features/resins').then((m) => m.SheetScreen),
    (resinId, search) => ({ resinId, justSaved: search.has('saved') }),
  ),
  '/room': screen(() => import('@/features/room').then((m) => m.RoomScreen), nothing),
  '/book': screen(() => import('@/features/book').then((m) => m.BookScreen), nothing),
  '/settings': screen(() => import('@/features/settings').then((m) => m.SettingsScreen), nothing),
};

/** Fetches the screen of an address while the shop is still being opened; when it does not come, its place tells. */
export async function preloadScreen(pathname: string): Promise<void> {
  const place = placeAt(pathname);
  if (place) await SCREENS[place.path].load().catch(() => undefined);
}

/** Fetches every screen, one after the other; one that does not come is asked for again when it is visited. */
export async function preloadScreens(): Promise<void> {
  for (const { load } of Object.values(SCREENS)) await load().catch(() => undefined);
}
