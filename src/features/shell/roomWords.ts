import type { Room } from '@/shop/room';
import { clockText } from '../common/clockText';

/** How the room's temperature became known: read at an instant, or only taken as usual. */
export const roomWords = ({ last }: Pick<Room, 'last'>, nowMs: number): string =>
  last ? `room, read ${clockText(last.atMs, nowMs)}` : 'room, taken as usual';
