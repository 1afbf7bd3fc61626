import type { ReserveSchool } from '@/core/coat';
import { COAT_KINDS, SUPPORTS, type CoatKind, type Support } from '@/core/piece';
import { DEFAULT_SCHOOLS, type PrepSchools } from '@/core/prep';
import type { UnitSystem } from '@/core/units';
import { defineRecord } from './define';

/** Rooms that the simulated sensor can play. */
export const ROOM_WEATHERS = ['quiet', 'cold night', 'rain', 'window open', 'faults'] as const;

/** A device that reads the room. */
export interface RoomSensorChoice {
  readonly kind: 'simulated';
  readonly weather: (typeof ROOM_WEATHERS)[number];
  /** How fast its weather goes by. */
  readonly hoursPerMinute: number;
}

/** A scale that is followed at the bench: the simulated one, or one on a serial port. */
export type ScaleChoice =
  | { readonly kind: 'simulated'; readonly stepKg: number }
  | { readonly kind: 'serial'; readonly baud: number };
/** Looks of the bench: paper by day, dark in a dim room. */
export const BENCH_LOOKS = ['paper', 'dark'] as const;
/** Looks of the whole application. */
export const LOOKS = ['system', ...BENCH_LOOKS] as const;
/** Ways of telling the hours of a day. */
export const HOURS = ['auto', '24', '12'] as const;
/** Cups that resin is mixed in, m³. Judgement, no source. */
export const CUP_LIMITS_M3 = { min: 1e-5, max: 0.05 } as const;
/** Rates that a scale on a serial port may speak at. */
export const BAUDS = [1200, 2400, 4800, 9600, 19_200, 38_400, 57_600, 115_200] as const;

/** What coats of a kind on a support took of the mix against what was planned for them, learned and accepted. */
export interface LossFactor {
  readonly support: Support;
  readonly kind: CoatKind;
  /** What was used for each that was planned. */
  readonly factor: number;
  /** From how many pours, and how far apart they lay (standard deviation of the factor). */
  readonly count: number;
  readonly spread: number;
  readonly acceptedMs: number;
}

/** What the whole shop has chosen. */
export interface Settings {
  readonly id: 'shop';
  readonly units: UnitSystem;
  readonly scaleUnit: 'g' | 'oz';
  /** Smallest step of the scale, kg. */
  readonly scaleDigitKg: number;
  readonly person: string;
  /** Opening hours, minutes after midnight. */
  readonly opensMin: number;
  readonly closesMin: number;
  /** The device that reads the room, followed while the shop is open; null: none. */
  readonly sensor: RoomSensorChoice | null;
  /** Alarms of a wet session are sounded. */
  readonly sound: boolean;
  /** Null: readings are told by hand. */
  readonly scale: ScaleChoice | null;
  /** Look of the application: as the system says, or one of the two. */
  readonly look: (typeof LOOKS)[number];
  /** Hours of the day: as the language of the browser has them, or by 24 or 12. */
  readonly hours: (typeof HOURS)[number];
  readonly benchLook: (typeof BENCH_LOOKS)[number];
  /** What the largest cup takes, m³; null: nobody said. */
  readonly cupM3: number | null;
  readonly losses: readonly LossFactor[];
  readonly reserve: ReserveSchool;
  readonly rule: 'five' | 'six';
  /** Sign of the shop’s own currency, and what cup, stick and gloves of a batch cost in it. */
  readonly currency: string;
  readonly consumables: number;
  /** What an hour of hands costs in it; null: not told. */
  readonly hourly: number | null;
  readonly prep: PrepSchools;
  /** When the whole shop was last saved to a file; null before the first time. */
  readonly lastBackupMs: number | null;
}

export const DEFAULT_SETTINGS: Settings = {
  id: 'shop',
  units: 'metric',
  scaleUnit: 'g',
  scaleDigitKg: 0.0001,
  person: '',
  opensMin: 7 * 60,
  closesMin: 18 * 60 + 30,
  sensor: null,
  sound: true,
  scale: null,
  look: 'system',
  hours: 'auto',
  benchLook: 'paper',
  cupM3: null,
  losses: [],
  reserve: { by: 'risk', confidence: 0.95 },
  rule: 'five',
  currency: '£',
  consumables: 1.2,
  hourly: null,
  prep: DEFAULT_SCHOOLS,
  lastBackupMs: null,
};

export const SETTINGS = defineRecord<Settings>()({
  name: 'settings',
  live: true,
  references: [],
  defaults: DEFAULT_SETTINGS,
  schema: (parts) => {
    const { Joi, instant, listOf, maybeInstant, number, oneOf, schools, text } = parts;
    return {
      id: oneOf(['shop']),
      units: oneOf(['metric', 'us']),
      scaleUnit: oneOf(['g', 'oz']),
      scaleDigitKg: number().min(1e-6).max(0.1),
      person: text(60),
      opensMin: number().integer().min(0).max(1439),
      closesMin: number().integer().greater(Joi.ref('opensMin')).max(1440),
      sound: parts.flag(),
      scale: Joi.alternatives()
        .conditional('.kind', {
          is: 'serial',
          then: Joi.object({ kind: oneOf(['serial']), baud: oneOf(BAUDS) }),
          otherwise: Joi.object({
            kind: oneOf(['simulated']),
            stepKg: oneOf([0.0001, 0.001]),
          }),
        })
        .allow(null)
        .required(),
      look: oneOf(LOOKS),
      hours: oneOf(HOURS),
      benchLook: oneOf(BENCH_LOOKS),
      cupM3: number().min(CUP_LIMITS_M3.min).max(CUP_LIMITS_M3.max).allow(null),
      losses: listOf(
        Joi.object({
          support: oneOf(SUPPORTS),
          kind: oneOf(COAT_KINDS),
          factor: number().min(0.2).max(5),
          count: number().integer().min(1).max(1e6),
          spread: number().min(0).max(5),
          acceptedMs: instant(),
        }),
        200,
      ),
      reserve: parts.reserveSchema,
      rule: oneOf(['five', 'six']),
      currency: Joi.string().trim().min(1).max(4).required(),
      consumables: number().min(0).max(10_000),
      hourly: number().min(0).max(100_000).allow(null),
      sensor: Joi.object({
        kind: oneOf(['simulated']),
        weather: oneOf(ROOM_WEATHERS),
        hoursPerMinute: number()
          .min(1 / 60)
          .max(600),
      })
        .allow(null)
        .required(),
      prep: schools().options({ presence: 'required' }),
      lastBackupMs: maybeInstant(),
    };
  },
});
