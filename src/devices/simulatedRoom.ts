import { saturationPressure } from '@/core/climate';
import type { SensorReading, SensorWeather } from './roomSensor';

/** What it can play. */
export const WEATHERS: readonly SensorWeather[] = [
  ...(['quiet', 'cold night', 'rain', 'window open', 'faults'] as const),
];

const C = 273.15;
/** The invented workshop: vapour pressure of its air at 20 °C and 50 %, Pa, and the cold outside, K. */
const VAPOUR_PA = 0.5 * saturationPressure(20 + C);
const OUTSIDE_K = 6 + C;

const swing = (hour: number): number => 20 + C + 1.6 * Math.sin(((hour - 9) / 24) * 2 * Math.PI);
/** A walk that is the same for the same tick, −½…½. */
const noise = (tick: number): number => {
  const x = Math.sin(tick * 12.9898) * 43758.5453;
  return x - Math.floor(x) - 0.5;
};

/** Room temperature so many hours after the sensor was switched on at an hour of the day, K. */
function temperatureOf(weather: SensorWeather, atHour: number, hours: number): number {
  const plain = swing(atHour + hours);
  if (weather === 'cold night') {
    // The heater is off: the room runs down to the cold outside within a night.
    const start = swing(atHour);
    return OUTSIDE_K + (start - OUTSIDE_K) * Math.exp(-hours / 6);
  }
  if (weather === 'window open')
    return plain - (hours % 3 < 1 ? 6 * Math.sin((hours % 3) * Math.PI) : 0);
  return plain;
}

/** What the air holds against what it could, 0…1: less water in winter, more in rain. */
const humidityOf = (weather: SensorWeather, temperatureK: number): number => {
  const vapour = VAPOUR_PA * (weather === 'rain' ? 1.75 : 1);
  return Math.min(0.98, vapour / saturationPressure(Math.max(C, temperatureK)));
};

/**
 * What the simulated sensor says: the same for the same weather, hour and tick.
 * @param atHour hour of the day when it was switched on, 0…24 @param hours since then @param tick count of readings
 * @returns null where it says nothing
 */
export function simulatedReading(
  weather: SensorWeather,
  atHour: number,
  hours: number,
  tick: number,
): SensorReading | null {
  const temperatureK = temperatureOf(weather, atHour, hours) + 0.1 * noise(tick);
  // A board follows its room by an hour and a half.
  const surfaceK =
    temperatureOf(weather, atHour, Math.max(0, hours - 1.5)) - (weather === 'rain' ? 3 : 0.3);
  const humidity = humidityOf(weather, temperatureK);
  if (weather === 'faults') {
    if (tick % 5 === 2) return null;
    if (tick % 5 === 3) return { temperatureK: -60 + C, humidity: 1.4, surfaceK: null };
  }
  return { temperatureK, humidity, surfaceK };
}
