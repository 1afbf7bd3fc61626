import type { AirStep } from '@/core/climate';
import { defineRecord } from './define';
import type { Id } from './id';

/** Air of the room from an instant on. */
export interface AirReading extends AirStep {
  readonly id: Id<'air'>;
}

export const AIR = defineRecord<AirReading>()({
  name: 'air',
  live: true,
  references: [],
  defaults: {},
  order: (a, b) => a.fromMs - b.fromMs,
  schema: ({ humidity, id, instant, roomTemperature }) => ({
    id: id(),
    fromMs: instant(),
    temperatureK: roomTemperature(),
    humidity: humidity(),
  }),
});
