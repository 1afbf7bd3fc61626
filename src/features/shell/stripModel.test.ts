import { roomDays } from '@/records';
import { roomOf } from '@/shop/room';
import { HOUR, NOW, plain } from '../test/shop';
import { roomWords } from './stripModel';

describe('the room on the strip', () => {
  const source = { how: 'typed', by: 'Ines', coatId: null, out: false } as const;
  const read = (hoursAgo: number) => ({
    ...{ atMs: NOW - hoursAgo * HOUR, temperatureK: 290, humidity: 0.5, surfaceK: null, source },
  });
  const words = (hoursAgo: readonly number[]) =>
    plain(roomWords(roomOf(roomDays(hoursAgo.map(read))), NOW));
  it('says when it was read, and that it is taken as usual where nobody read it', () => {
    expect(words([])).toBe('room, taken as usual');
    expect(words([5, 2])).toBe('room, read 11:30');
  });
});
