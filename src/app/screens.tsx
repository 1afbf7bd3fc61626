'use client';
import dynamic from 'next/dynamic';
import { useEffect, type ComponentType, type ReactNode } from 'react';
import { go } from '@/ui/go';
import type { PlacePath } from './paths';

const loads: (() => Promise<unknown>)[] = [];

/** A screen that is fetched when it is first visited, or before, when nothing else is to be done. */
function screen<P extends object>(load: () => Promise<ComponentType<P>>): ComponentType<P> {
  loads.push(load);
  return dynamic(load, { ssr: false, loading: () => <p className="opening">Opening …</p> });
}

const Today = screen(() => import('@/features/today').then((m) => m.TodayScreen));
const Start = screen(() => import('@/features/start').then((m) => m.StartScreen));
const Pieces = screen(() => import('@/features/pieces').then((m) => m.PiecesScreen));
const Gather = screen(() => import('@/features/wet').then((m) => m.GatherScreen));
const Wet = screen(() => import('@/features/wet').then((m) => m.WetScreen));
const NewPiece = screen(() => import('@/features/survey').then((m) => m.NewPieceScreen));
const Survey = screen(() => import('@/features/survey').then((m) => m.SurveyScreen));
const Prepare = screen(() => import('@/features/prepare').then((m) => m.PrepareScreen));
const Coats = screen(() => import('@/features/coats').then((m) => m.CoatsScreen));
const Cure = screen(() => import('@/features/cure').then((m) => m.CureScreen));
const Inspect = screen(() => import('@/features/inspect').then((m) => m.InspectScreen));
const Finish = screen(() => import('@/features/finish').then((m) => m.FinishScreen));
const Resins = screen(() => import('@/features/resins').then((m) => m.ResinsScreen));
const Sheet = screen(() => import('@/features/resins').then((m) => m.SheetScreen));
const Room = screen(() => import('@/features/room').then((m) => m.RoomScreen));
const Book = screen(() => import('@/features/book').then((m) => m.BookScreen));
const Settings = screen(() => import('@/features/settings').then((m) => m.SettingsScreen));

/** Leads on, and leaves no step back to where nothing is. */
function Onward({ href }: { href: string }) {
  useEffect(() => go(href, 'replace'), [href]);
  return null;
}

type Draw = (id: string, search: URLSearchParams) => ReactNode;

/** What is drawn at each address. */
export const SCREENS: Readonly<Record<PlacePath, Draw>> = {
  '/': () => <Today />,
  '/start': () => <Start />,
  '/pieces': () => <Pieces />,
  '/pieces/new': () => <NewPiece />,
  '/pieces/:id': (id) => <Onward href={`/pieces/${id}/coats`} />,
  '/pieces/:id/survey': (id) => <Survey pieceId={id} />,
  '/pieces/:id/prepare': (id) => <Prepare pieceId={id} />,
  '/pieces/:id/coats': (id) => <Coats pieceId={id} />,
  '/pieces/:id/cure': (id) => <Cure pieceId={id} />,
  '/pieces/:id/inspect': (id) => <Inspect pieceId={id} />,
  '/pieces/:id/finish': (id) => <Finish pieceId={id} />,
  '/resins': () => <Resins />,
  '/resins/:id': (id, search) => <Sheet resinId={id} justSaved={search.has('saved')} />,
  '/room': () => <Room />,
  '/book': () => <Book />,
  '/settings': () => <Settings />,
  '/wet/new': (_, search) => <Gather coatId={search.get('coat') ?? ''} />,
  '/wet/:id': (id) => <Wet sessionId={id} />,
};

/** Fetches every screen, one after the other; one that does not come is asked for again when it is visited. */
export async function preloadScreens(): Promise<void> {
  for (const load of loads) await load().catch(() => undefined);
}
