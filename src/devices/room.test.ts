import { dewPoint } from '@/core/climate';
import { readMessage } from './roomSensor';
import { simulatedReading, WEATHERS } from './simulatedRoom';

const C = 273.15;

describe('a message of a sensor', () => {
  it('is JSON with three figures, of which two may be null', () => {
    expect(readMessage('{"temperatureK":293,"humidity":0.5,"surfaceK":null}')).toEqual({
      ...{ temperatureK: 293, humidity: 0.5, surfaceK: null },
    });
  });
  it.each([
    '',
    'hello',
    '{}',
    '{"temperatureK":"293","humidity":0.5,"surfaceK":null}',
    '{"temperatureK":293}',
    '{"temperatureK":293,"humidity":"wet","surfaceK":null}',
    '{"temperatureK":null,"humidity":null,"surfaceK":null}',
    'null',
  ])('%j is none', (text) => expect(readMessage(text)).toBeNull());
});

describe('the simulated workshop', () => {
  const at = (weather: (typeof WEATHERS)[number], hours: number, tick = 0) =>
    simulatedReading(weather, 18, hours, tick);
  it('says the same for the same hour, and a room in every weather but where it is broken', () => {
    for (const weather of WEATHERS.filter((w) => w !== 'faults'))
      for (let hours = 0; hours < 48; hours += 0.5) {
        const reading = at(weather, hours, hours);
        expect(reading).toEqual(at(weather, hours, hours));
        expect(reading?.temperatureK).toBeGreaterThan(4 + C);
        expect(reading?.temperatureK).toBeLessThan(24 + C);
        expect(reading?.humidity).toBeLessThanOrEqual(0.98);
      }
  });
  it('a cold night runs down to the cold outside: two thirds of the way in six hours', () => {
    const [start, later] = [at('cold night', 0)?.temperatureK, at('cold night', 6)?.temperatureK];
    const left = ((later ?? NaN) - 6 - C) / ((start ?? NaN) - 6 - C);
    expect(left).toBeCloseTo(Math.exp(-1), 1);
    // The board follows, warmer than its room on the way down.
    const falling = at('cold night', 3);
    expect(falling?.surfaceK).toBeGreaterThan(falling?.temperatureK ?? NaN);
  });
  it('rain brings the surface near the dew point, a quiet day does not', () => {
    const margin = (weather: 'rain' | 'quiet') => {
      const { surfaceK, temperatureK, humidity } = at(weather, 4) ?? {};
      const air = { temperatureK: temperatureK ?? NaN, humidity: humidity ?? NaN };
      return (surfaceK ?? NaN) - dewPoint(air);
    };
    expect(margin('rain')).toBeLessThan(3);
    expect(margin('quiet')).toBeGreaterThan(4.3);
  });
  it('faults are silence, and what no room is', () => {
    expect(at('faults', 1, 2)).toBeNull();
    expect(at('faults', 1, 3)).toMatchObject({ humidity: 1.4 });
    expect(at('faults', 1, 4)?.humidity).toBeLessThan(1);
  });
});
