/** What a sensor of the room says. */
export interface SensorReading {
  readonly temperatureK: number;
  /** 0…1; null: it has no such sensor. */
  readonly humidity: number | null;
  readonly surfaceK: number | null;
}

export type SensorWeather = 'quiet' | 'cold night' | 'rain' | 'window open' | 'faults';

/** Told while a sensor is followed. */
export interface SensorWatch {
  readonly onReading: (reading: SensorReading) => void;
  /** It was reached, or it is not reached any more. */
  readonly onReached: (reached: boolean) => void;
}

/** A device that reads the room again and again. */
export interface RoomSensor {
  readonly name: string;
  /** Shown wherever its readings are shown. */
  readonly simulated: boolean;
  /** @returns ends it */
  readonly follow: (watch: SensorWatch) => () => void;
}

const figure = (value: unknown): value is number =>
  typeof value === 'number' && Number.isFinite(value);
const maybe = (value: unknown): number | null | undefined =>
  value === null ? null : figure(value) ? value : undefined;

/** A message of a sensor: JSON with temperatureK, humidity and surfaceK; null where it is none. */
export function readMessage(text: string): SensorReading | null {
  try {
    const told = JSON.parse(text) as Readonly<Record<string, unknown>>;
    const { temperatureK } = told;
    const [humidity, surfaceK] = [maybe(told['humidity']), maybe(told['surfaceK'])];
    if (!figure(temperatureK) || humidity === undefined || surfaceK === undefined) return null;
    return { temperatureK, humidity, surfaceK };
  } catch {
    return null;
  }
}

/** A sensor that speaks in server-sent events, each a JSON message. */
export const eventSensor = (name: string, simulated: boolean, address: string): RoomSensor => ({
  ...{ name, simulated },
  follow: ({ onReading, onReached }) => {
    const source = new EventSource(address);
    source.onopen = () => onReached(true);
    source.onerror = () => onReached(false);
    source.onmessage = ({ data }: MessageEvent<string>) => {
      const reading = readMessage(data);
      if (reading) onReading(reading);
    };
    return () => source.close();
  },
});

/** Stands in for a sensor: an invented workshop that this server plays. */
export const simulatedSensor = (
  weather: SensorWeather,
  atHour: number,
  hoursPerMinute: number,
): RoomSensor => {
  const asked = new URLSearchParams({
    weather,
    hour: atHour.toFixed(2),
    pace: String(hoursPerMinute),
  });
  return eventSensor(`simulated sensor, ${weather}`, true, `/api/room-sensor?${asked.toString()}`);
};
