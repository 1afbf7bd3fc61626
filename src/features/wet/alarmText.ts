import type { Alarm } from '@/core/wet';
import type { WetView } from './model';

/** What an alarm says; urgent ones turn the bar red. */
export function alarmWords(
  { is, coatId }: Alarm,
  { all }: Pick<WetView, 'all'>,
): { readonly title: string; readonly urgent: boolean } {
  const name = all.find((c) => c.coat.id === coatId)?.piece.name ?? 'the piece';
  switch (is) {
    case 'stirred enough':
      return { title: 'Stirred long enough: look for streaks.', urgent: false };
    case 'rested':
      return { title: 'Bubbles had two minutes to rise: pour.', urgent: false };
    case 'soon over':
      return { title: 'Five minutes of working time left.', urgent: true };
    case 'time over':
      return { title: 'The working time is over: stop.', urgent: true };
    case 'bubble round':
      return { title: `Look ${name} over for bubbles.`, urgent: false };
    case 'cover':
      return { title: `Cover ${name}: it lies open for ten minutes.`, urgent: true };
  }
}
