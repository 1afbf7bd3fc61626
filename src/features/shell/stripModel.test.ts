import { asId, DEFAULT_SETTINGS } from '@/records';
import { HOUR, NOW, plain } from '../test/shop';
import { roomWords } from './stripModel';

describe('the room on the strip', () => {
  const { roomTemperatureK } = DEFAULT_SETTINGS;
  const read = (hoursAgo: number, temperatureK: number) => ({
    ...{
      id: asId<'air'>(`${hoursAgo}`),
      fromMs: NOW - hoursAgo * HOUR,
      temperatureK,
      humidity: 0.5,
      surfaceK: null,
    },
  });
  const words = (air: ReturnType<typeof read>[]) =>
    plain(roomWords({ air, settings: DEFAULT_SETTINGS }, NOW));
  it('says when it was read, and only that it was set where nothing was read', () => {
    expect(words([])).toBe('room, as set');
    expect(words([read(5, 290), read(2, roomTemperatureK)])).toBe('room, read 11:30');
    // A shop of before readings were one act: the newest reading is not what the shop says.
    expect(words([read(2, 290)])).toBe('room, as set');
  });
});
