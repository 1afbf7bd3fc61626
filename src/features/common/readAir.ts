import { HUMIDITY_LIMITS } from '@/core/climate';
import { ROOM_LIMITS_K } from '@/core/resin';
import { FieldReader } from './fieldReader';
import type { FormRead } from './formErrors';
import type { Format } from './useFormat';

export interface AirDraft {
  temperature: string;
  /** Empty: not read. */
  humidity: string;
  /** Of the surface; empty: not read. */
  surface: string;
}

export interface AirRead {
  readonly temperatureK: number;
  readonly humidity: number | null;
  readonly surfaceK: number | null;
}

/** Reads the air of the room. */
export function readAir(draft: AirDraft, format: Format): FormRead<AirDraft, AirRead> {
  const reader = new FieldReader<keyof AirDraft>(format);
  const optional = <T>(text: string, read: () => T): T | null =>
    text.trim() === '' ? null : read();
  const value: AirRead = {
    temperatureK: reader.quantity('temperature', draft.temperature, 'temperature', ROOM_LIMITS_K),
    humidity: optional(draft.humidity, () =>
      reader.quantity('humidity', draft.humidity, 'share', HUMIDITY_LIMITS),
    ),
    surfaceK: optional(draft.surface, () =>
      reader.quantity('surface', draft.surface, 'temperature', ROOM_LIMITS_K),
    ),
  };
  return reader.sound ? { ok: true, value } : { ok: false, errors: reader.errors };
}
