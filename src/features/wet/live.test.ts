import type { ScaleState } from '@/devices/scaleLink';
import { liveReading, tareFor } from './liveReading';
import { padAfter } from './padAfter';

const live = (kg: number, steady = true): ScaleState => ({
  ...{ is: 'live', kg, steady, stepKg: 0.0001 },
});

describe('what a scale tells of the part that is poured in', () => {
  it('the part alone: neither cup nor what was in it', () => {
    expect(liveReading(live(0.1324), 0.0124, 0)).toMatchObject({
      is: 'weight',
      kg: expect.closeTo(0.12, 9),
    });
    expect(liveReading(live(0.1324), 0.0124, 0.1)).toMatchObject({ kg: expect.closeTo(0.02, 9) });
  });
  it('nothing before the cup is tared, and nothing less than nothing', () => {
    expect(liveReading(live(0.0124, false), null, 0)).toEqual({
      ...{ is: 'untared', grossKg: 0.0124, steady: false },
    });
    // A step or two below zero is drift; more is a cup that was taken off.
    expect(liveReading(live(0.0123), 0.0124, 0)).toMatchObject({ is: 'weight', kg: 0 });
    expect(liveReading(live(0), 0.0124, 0)).toMatchObject({ is: 'too light', grossKg: 0 });
    expect(liveReading(live(-0.0124), 0, 0.1)).toMatchObject({ is: 'too light' });
  });
  it('what it showed last is told when it is lost, as far as that is known', () => {
    const lost = (lastKg: number | null, asleep = false): ScaleState => ({
      ...{ is: 'lost', asleep, lastKg },
    });
    expect(liveReading(lost(0.0924), 0.0124, 0)).toMatchObject({
      ...{ is: 'away', why: 'lost', lastKg: expect.closeTo(0.08, 9) },
    });
    expect(liveReading(lost(0.0924, true), null, 0)).toEqual({
      ...{ is: 'away', why: 'asleep', lastKg: null },
    });
    expect(liveReading({ is: 'over' }, 0, 0)).toMatchObject({ why: 'overloaded' });
    expect(liveReading({ is: 'reaching' }, 0, 0)).toMatchObject({ why: 'reaching' });
  });
  it('after a new zero it goes on from what is in the cup', () => {
    const tareKg = tareFor(0.002, 0.12);
    expect(liveReading(live(0.002), tareKg, 0.12)).toMatchObject({ is: 'weight', kg: 0 });
    expect(liveReading(live(0.012), tareKg, 0.12)).toMatchObject({ kg: expect.closeTo(0.01, 9) });
  });
});

it('a number is told key by key', () => {
  const typed = (keys: string) =>
    [...keys].reduce((text, key) => padAfter(text, key as Parameters<typeof padAfter>[1]), '');
  expect(typed('412.3')).toBe('412.3');
  expect(typed('.5.2')).toBe('0.52');
  expect(typed('12⌫3')).toBe('13');
  expect(typed('123456789')).toBe('1234567');
  expect(typed('⌫')).toBe('');
});
