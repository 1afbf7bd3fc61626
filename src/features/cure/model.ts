import { ROOM_LIMITS_K, type CoatWindow, type WindowKind } from '@/core/resin';
import { spanText } from '@/features/common/clockText';
import type { CoatView } from '@/shop/coatView';
import { FieldReader } from '@/features/common/fieldReader';
import type { FormRead } from '@/features/common/formErrors';
import type { Format } from '@/features/common/useFormat';

const TITLES: Readonly<Record<WindowKind, string>> = {
  unmask: 'Take masks off',
  recoat: 'Recoat without sanding',
  handle: 'Handle, demould',
  'warm load': 'Warm load',
};

export interface WindowRow extends CoatWindow {
  readonly title: string;
  readonly words: string;
}

/** The windows of a coat with what each says now. */
export function windowRows(view: CoatView, nowMs: number): WindowRow[] {
  return (view.clock?.windows ?? []).map((w) => {
    const words =
      w.status === 'before'
        ? `in ${spanText(w.opensMs - nowMs)}`
        : w.status === 'shut'
          ? 'shut'
          : w.closesMs === null
            ? '✓ open'
            : `✓ open, ${spanText(w.closesMs - nowMs)} left`;
    return { ...w, title: TITLES[w.kind], words };
  });
}

export interface TemperatureDraft {
  temperature: string;
  ago: string;
}
export interface TemperatureStepRead {
  readonly temperatureK: number;
  readonly fromMs: number;
}

/** Reads a room temperature and since when it holds; not before the pour, not in the future. */
export function readTemperature(
  draft: TemperatureDraft,
  pouredMs: number,
  nowMs: number,
  format: Format,
): FormRead<TemperatureDraft, TemperatureStepRead> {
  const reader = new FieldReader<keyof TemperatureDraft>(format);
  const temperatureK = reader.quantity(
    'temperature',
    draft.temperature,
    'temperature',
    ROOM_LIMITS_K,
  );
  const agoS = reader.quantity('ago', draft.ago, 'duration', {
    min: 0,
    max: (nowMs - pouredMs) / 1000,
  });
  if (!reader.sound) return { ok: false, errors: reader.errors };
  return {
    ok: true,
    value: { temperatureK, fromMs: Math.max(pouredMs, Math.round(nowMs - agoS * 1000)) },
  };
}
