import { readTemperature } from './model';
import { HOUR, METRIC, NOW } from '../test/shop';

describe('room temperature form', () => {
  const read = (temperature: string, ago: string) =>
    readTemperature({ temperature, ago, of: 'room' }, NOW - 5 * HOUR, NOW, METRIC);
  it('takes a reading since the pour, in either scale', () => {
    expect(read('64 F', '2 h')).toEqual({
      ok: true,
      value: { temperatureK: expect.closeTo(290.928, 3), fromMs: NOW - 2 * HOUR, apart: false },
    });
  });
  it('refuses before the pour, the future, and no room', () => {
    expect(read('18', '6 h')).toMatchObject({
      ok: false,
      errors: { ago: expect.stringContaining('Between') },
    });
    expect(read('18', '-1 h')).toMatchObject({ ok: false });
    expect(read('90 C', '0')).toMatchObject({
      ok: false,
      errors: { temperature: expect.stringContaining('Between') },
    });
  });
});
