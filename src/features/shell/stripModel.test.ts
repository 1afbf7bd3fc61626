import { roomDays } from '@/records';
import { roomOf } from '@/shop/room';
import { pieceViews } from '@/shop/coatView';
import { demoView, HOUR, NOW, plain } from '../test/shop';
import { roomWords } from './roomWords';
import { stripItems } from './stripModel';

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

describe('a coat that lies for its first hour, its session over', () => {
  const shop = demoView();
  const tops = pieceViews(shop, NOW).flatMap((v) => (v.top?.batch ? [v.top] : []));
  const newest = tops.sort((a, b) => (b.coat.pouredMs ?? 0) - (a.coat.pouredMs ?? 0))[0];
  if (!newest?.coat.pouredMs || !newest.batch) throw new Error('nothing poured');
  const { coat, batch } = newest;
  const at = (minutes: number) =>
    stripItems(shop, (coat.pouredMs ?? NaN) + minutes * 60_000).find((i) => i.key === coat.id);
  it('is to be looked over for bubbles from five minutes on, urgently from ten, and not after an hour', () => {
    expect(at(4)?.text).not.toContain('bubbles');
    expect(at(6)).toMatchObject({
      ...{ text: 'look it over for bubbles', href: `/wet/${batch.sessionId}`, urgent: false },
    });
    expect(at(11)).toMatchObject({ text: 'look it over for bubbles', urgent: true });
    expect(at(61)?.text).not.toContain('bubbles');
  });
});
