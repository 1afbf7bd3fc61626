import psychrolib from 'psychrolib';
import { dewPoint, saturationPressure, vapourDeficit } from '.';

psychrolib.SetUnitSystem(psychrolib.SI);
const K = 273.15;

describe('air of the room', () => {
  // Dew points of psychrolib (ASHRAE Handbook 2017 equations), table of eight rooms.
  it.each([
    [10, 80],
    [16, 70],
    [20, 50],
    [22, 65],
    [25, 60],
    [28, 85],
    [30, 40],
    [35, 95],
  ])('%d °C, %d %%: dew point within 0.04 K of psychrolib', (t, rh) => {
    const ours = dewPoint({ temperatureK: t + K, humidity: rh / 100 }) - K;
    expect(Math.abs(ours - psychrolib.GetTDewPointFromRelHum(t, rh / 100))).toBeLessThan(0.04);
  });

  it('saturation pressure: 23.33 hPa at 20 °C (WMO guide), within 0.2 % of psychrolib from 5 to 40 °C', () => {
    expect(saturationPressure(20 + K) / 100).toBeCloseTo(23.33, 2);
    for (let t = 5; t <= 40; t += 2.5)
      expect(saturationPressure(t + K) / psychrolib.GetSatVapPres(t)).toBeCloseTo(1, 2);
  });

  it('the deficit is the pressure that is left over the air’s, at the surface’s own temperature', () => {
    const air = { temperatureK: 22 + K, humidity: 0.5 };
    expect(vapourDeficit(air) / 100).toBeCloseTo(13.19, 1);
    // A surface at the dew point neither dries nor gathers water; a colder one gathers.
    expect(vapourDeficit(air, dewPoint(air))).toBeCloseTo(0, 6);
    expect(vapourDeficit(air, dewPoint(air) - 1)).toBeLessThan(0);
  });

  it('holds at the very ends of its intervals', () => {
    // 6.112 hPa at the ice point by definition of the form; saturated air is at its dew point; dry air gives all.
    expect(saturationPressure(273.15)).toBeCloseTo(611.2, 6);
    expect(saturationPressure(333.15) / psychrolib.GetSatVapPres(60)).toBeCloseTo(1, 1);
    expect(dewPoint({ temperatureK: 20 + K, humidity: 1 })).toBeCloseTo(20 + K, 9);
    const dry = { temperatureK: 20 + K, humidity: 0 };
    expect(vapourDeficit(dry)).toBe(saturationPressure(20 + K));
  });

  it('refuses what is no air', () => {
    for (const bad of [NaN, -0.1, 1.1]) {
      expect(() => vapourDeficit({ temperatureK: 295, humidity: bad })).toThrow(RangeError);
      expect(() => dewPoint({ temperatureK: 295, humidity: bad })).toThrow(RangeError);
    }
    for (const bad of [200, 273.14, 333.16, NaN])
      expect(() => saturationPressure(bad)).toThrow(RangeError);
    expect(() => dewPoint({ temperatureK: 295, humidity: 0 })).toThrow(RangeError);
  });
});
