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
