'use client';
import { useShop } from '@/data/hooks';
import { Welcome } from '@/features/common/Welcome';
import { later, OPENING } from '@/ui/later';

/** An empty shop needs none of the rules of the work: they come with the first piece. */
const Board = later(() => import('./TodayBoard').then((m) => m.TodayBoard), OPENING);

/** The day at the bench; a welcome where nothing lies on it yet. */
export function TodayScreen() {
  const { pieces, resins } = useShop();
  return pieces.length === 0 && resins.length === 0 ? <Welcome /> : <Board.Part />;
}
