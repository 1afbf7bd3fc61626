import type { RoomAlarm } from '@/shop/roomAlarms';
import { clockText } from './clockText';
import type { Format } from './useFormat';

/** What an alarm of the room says in one line, and what to do. */
export function alarmWords(
  alarm: RoomAlarm,
  nowMs: number,
  { show }: Format,
): { readonly title: string; readonly detail: string } {
  const of = `${alarm.piece.name}, ${alarm.coat.name}`;
  if (alarm.is === 'near dew')
    return {
      title: `Surface near the dew point: ${of}`,
      detail: `${alarm.read ? 'Its surface' : 'Its surface, taken as warm as the air,'} is ${alarm.marginK.toFixed(1)} K above it, 3 K are wanted: it may blush or cloud. Warm the room, or cover the piece.`,
    };
  const { is, temperatureK, limitK, usual, fromMs } = alarm;
  const [room, limit] = [show(temperatureK, 'temperature').text, show(limitK, 'temperature').text];
  const whose = usual ? 'what is usual for resins' : `what ${alarm.resin.name} asks for`;
  const when =
    fromMs === null ? `${room} now` : `${room} from ${clockText(fromMs, nowMs)}, by the forecast`;
  return {
    title: `${is === 'too cold' ? 'Too cold' : 'Too warm'} for ${of}`,
    detail: `${when}; ${limit} is the ${is === 'too cold' ? 'least' : 'most'}, ${whose}. ${
      is === 'too cold'
        ? 'It cures slowly and may stay soft or cloud: warm the room gently.'
        : 'It cures fast and may run or crack: air the room, move nothing that is wet.'
    }`,
  };
}

/** Alarms that say the same of several coats, as one. */
export interface AlarmGroup {
  readonly key: string;
  readonly title: string;
  readonly detail: string;
}

const KINDS: Readonly<Record<RoomAlarm['is'], string>> = {
  'too cold': 'Too cold for',
  'too warm': 'Too warm for',
  'near dew': 'Surface near the dew point:',
};
const sameness = (a: RoomAlarm): string =>
  a.is === 'near dew'
    ? a.is
    : `${a.is} ${a.limitK} ${a.usual ? '' : a.resin.id} ${a.fromMs === null}`;

/** Alarms in groups, the first in full and the other coats by their names. */
export function alarmGroups(
  alarms: readonly RoomAlarm[],
  nowMs: number,
  format: Format,
): readonly AlarmGroup[] {
  const groups = new Map<string, RoomAlarm[]>();
  for (const alarm of alarms) {
    const key = sameness(alarm);
    groups.set(key, [...(groups.get(key) ?? []), alarm]);
  }
  return [...groups].flatMap(([key, own]) => {
    const [first] = own;
    if (!first) return [];
    const { title, detail } = alarmWords(first, nowMs, format);
    if (own.length === 1) return [{ key, title, detail }];
    const names = own.map((a) => `${a.piece.name}, ${a.coat.name}`).join('; ');
    return [
      {
        key,
        title: `${KINDS[first.is]} ${own.length} coats that cure`,
        detail: `${detail} ${names}.`,
      },
    ];
  });
}
