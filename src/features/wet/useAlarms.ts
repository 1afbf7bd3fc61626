import { useEffect } from 'react';
import { keepAwake } from '@/devices/awake';
import { alarmsOf, dueAt, stirTimes, type Alarm } from '@/core/wet';
import { useShop } from '@/data/hooks';
import { notify, ring } from '@/devices/alarm';
import { alarmWords } from './alarmText';
import { freshAlarms } from './told';
import type { WetView } from './model';

/** What is due stands in the title of the page, so that it is seen from another one. */
function useTitle(due: string): void {
  useEffect(() => {
    if (due === '') return;
    const before = document.title;
    document.title = `! ${due}`;
    return () => {
      document.title = before;
    };
  }, [due]);
}

/** Everything that the batches of a session have to tell now: each is sounded once, and stands until it is done. */
export function useAlarms(view: WetView, nowMs: number): readonly Alarm[] {
  const { sound } = useShop().settings;
  const { batches, session, resin } = view;
  const { wantedS } = stirTimes(resin.sheet);
  const due = batches
    .flatMap(({ done, batch, workingEndsMs }) =>
      dueAt(alarmsOf(done, { wantedS, workingEndsMs }), nowMs).map((a) => ({
        ...a,
        id: `${batch.id.slice(0, 8)}/${a.id}`,
      })),
    )
    .sort((a, b) => a.atMs - b.atMs);
  const ids = due.map((a) => a.id.replaceAll(' ', '-')).join(' ');
  const first = due.map((a) => alarmWords(a, view).title).join(' ');
  useEffect(() => {
    if (freshAlarms(session.id, ids.split(' ')).length === 0) return;
    if (sound) ring();
    notify(first);
  }, [ids, session.id, sound, first]);
  useTitle(first);
  return due;
}

/** The screen stays on while resin is wet. */
export function useAwake(): void {
  useEffect(() => keepAwake(), []);
}
