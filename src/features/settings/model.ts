import type { PrepSchools } from '@/core/prep';
import { editText, type UnitSystem } from '@/core/units';
import type { BenchSettings } from '@/data/repos/bench';
import type { Settings } from '@/records';
import { FieldReader } from '@/features/common/fieldReader';
import type { FormRead } from '@/features/common/formErrors';
import { reserveId, reserveSchool } from '@/features/common/reserves';
import type { Format } from '@/features/common/useFormat';

export interface SettingsDraft {
  units: UnitSystem;
  scaleUnit: 'g' | 'oz';
  scaleDigit: string;
  opens: string;
  closes: string;
  person: string;
  reserve: string;
  rule: 'five' | 'six';
  currency: string;
  consumables: string;
  prep: PrepSchools;
}

const hhmm = (minutes: number): string =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;

/** Minutes after midnight of `7:30`, `07.30` or `7`; null when it is no time of day. */
export function parseTimeOfDay(text: string): number | null {
  const found = /^\s*(\d{1,2})(?:[:.](\d{2}))?\s*$/.exec(text);
  if (!found) return null;
  const minutes = Number(found[1]) * 60 + Number(found[2] ?? 0);
  return Number(found[2] ?? 0) < 60 && minutes <= 1440 ? minutes : null;
}

export function draftOfSettings(settings: Settings): SettingsDraft {
  return {
    units: settings.units,
    scaleUnit: settings.scaleUnit,
    scaleDigit: editText(settings.scaleDigitKg, settings.scaleUnit),
    opens: hhmm(settings.opensMin),
    closes: hhmm(settings.closesMin),
    person: settings.person,
    reserve: reserveId(settings.reserve),
    rule: settings.rule,
    currency: settings.currency,
    consumables: String(settings.consumables),
    prep: settings.prep,
  };
}

/** What the form tells; the rest of the settings is noted by what is done. */
export type SettingsTold = Omit<Settings, 'lastBackupMs' | 'sensor' | keyof BenchSettings>;

/** Reads the settings form. */
export function readSettings(
  draft: SettingsDraft,
  format: Format,
): FormRead<SettingsDraft, SettingsTold> {
  const reader = new FieldReader<keyof SettingsDraft>(format);
  const opensMin = parseTimeOfDay(draft.opens);
  const closesMin = parseTimeOfDay(draft.closes);
  if (opensMin === null || opensMin >= 1440)
    reader.errors.opens = 'A time of day, for example 07:00.';
  if (closesMin === null) reader.errors.closes = 'A time of day, for example 18:30.';
  else if (opensMin !== null && closesMin <= opensMin)
    reader.errors.closes = 'Must be later than it opens.';
  if (draft.person.trim().length > 60) reader.errors.person = 'At most 60 characters.';
  const currency = reader.text('currency', draft.currency, 4);
  const consumables = reader.plain('consumables', draft.consumables, 0, 10_000);
  const scaleDigitKg = reader.quantity('scaleDigit', draft.scaleDigit, 'mass', {
    min: 1e-6,
    max: 0.1,
  });
  if (!reader.sound || opensMin === null || closesMin === null)
    return { ok: false, errors: reader.errors };
  const { units, scaleUnit, rule } = draft;
  return {
    ok: true,
    value: {
      id: 'shop',
      units,
      scaleUnit,
      scaleDigitKg,
      opensMin,
      closesMin,
      person: draft.person.trim(),
      reserve: reserveSchool(draft.reserve),
      rule,
      currency,
      consumables,
      prep: draft.prep,
    },
  };
}
