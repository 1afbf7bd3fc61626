import type { AirStep } from '@/core/climate';
import { defineRecord } from './define';
import type { Id } from './id';

/** Air of the room from an instant on. */
export interface AirReading extends AirStep {
  readonly id: Id<'air'>;
  /** Of a surface that a coat goes on, K; null: not read. */
  readonly surfaceK: number | null;
}

export const AIR = defineRecord<AirReading>()({
  name: 'air',
  live: true,
  references: [],
  defaults: { surfaceK: null },
  order: (a, b) => a.fromMs - b.fromMs,
  schema: ({ humidity, id, instant, roomTemperature }) => ({
    id: id(),
    fromMs: instant(),
    temperatureK: roomTemperature(),
    humidity: humidity(),
    surfaceK: roomTemperature().allow(null),
  }),
});
