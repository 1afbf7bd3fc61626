import type { ExplainInput, Explanation } from '../explain';
import { SHEET_TIME_SIGMA } from './coatClock';
import type { ResinSheet } from './sheet';
import { workingTime } from './workingTime';

/** How long a mix can be worked with in its cup. Mass kg, temperature K. */
export function workingExplanation(
  sheet: ResinSheet,
  massKg: number,
  temperatureK: number,
): Explanation {
  return {
    title: 'Working time in the cup',
    formula: 'sheet time × mass factor / exp(−E/R · (1/T − 1/Tref))',
    inputs: [
      {
        label: 'sheet time',
        value: sheet.times.workingS,
        quantity: 'duration',
        source: 'data sheet',
      },
      {
        label: 'at this mass',
        value: sheet.workingMassKg,
        quantity: 'mass',
        source: 'data sheet',
      },
      { label: 'mass in the cup', value: massKg, quantity: 'mass', source: 'computed' },
      {
        label: 'room and bottles, T',
        value: temperatureK,
        quantity: 'temperature',
        source: 'measured',
      },
      {
        label: 'activation energy, E',
        value: sheet.activationEnergyJMol,
        quantity: 'molarEnergy',
        source: 'from memory',
      },
    ],
    source:
      'Equivalent age (ASTM C1074 form); mass factor (m/100 g)^−0.07, below 100 g ^−0.1, from memory.',
    sigma: SHEET_TIME_SIGMA * workingTime(sheet, massKg, temperatureK),
    note: 'A deep cup heats itself: pour it out flat, and never cover a cup that smokes.',
  };
}

/** Where a film stands: its sheet, its ripe age, s, and the room as it was read last, K. */
export interface ClockNow {
  readonly sheet: ResinSheet;
  readonly ripeNowS: number;
  readonly roomK: number;
  /** How fast the coat ripens against its sheet, by so many touches of it and batches before it. */
  readonly pace: { readonly factor: number; readonly touches: number; readonly batches: number };
}

function paceInput({ factor, touches, batches }: ClockNow['pace']): ExplainInput[] {
  if (touches + batches === 0) return [];
  const own = touches > 0 ? `by ${touches} ${touches === 1 ? 'touch' : 'touches'}` : '';
  const before =
    batches > 0 ? `learned over ${batches} ${batches === 1 ? 'batch' : 'batches'}` : '';
  return [
    {
      label: `pace ${[own, before].filter(Boolean).join(', ')}`,
      value: factor,
      quantity: 'share',
      source: touches > 0 ? 'measured' : 'learned',
    },
  ];
}

/** How a clock time of a coat is worked out. */
export function clockExplanation(
  { sheet, ripeNowS, roomK, pace }: ClockNow,
  title: string,
  ripeS: number,
  sigmaMs?: number,
): Explanation {
  return {
    title,
    formula:
      pace.touches + pace.batches > 0
        ? 'time where pace · ∫ exp(−E/R · (1/T − 1/Tref)) dt reaches the sheet’s ripe time'
        : 'time where ∫ exp(−E/R · (1/T − 1/Tref)) dt reaches the sheet’s ripe time',
    inputs: [
      { label: 'ripe time of the sheet', value: ripeS, quantity: 'duration', source: 'data sheet' },
      {
        label: 'ripe age now',
        value: ripeNowS,
        quantity: 'duration',
        source: 'computed',
      },
      ...paceInput(pace),
      {
        label: 'room, latest reading, T',
        value: roomK,
        quantity: 'temperature',
        source: 'measured',
      },
      {
        label: 'reference, Tref',
        value: sheet.referenceTemperatureK,
        quantity: 'temperature',
        source: 'data sheet',
      },
      {
        label: 'activation energy, E',
        value: sheet.activationEnergyJMol,
        quantity: 'molarEnergy',
        source: 'from memory',
      },
    ],
    source:
      'Equivalent age, ASTM C1074 (Arrhenius form), from the mix on; past the last reading the room’s forecast.',
    ...(sigmaMs === undefined ? {} : { sigma: sigmaMs / 1000 }),
    note: 'A touch test with a clean glove decides; the resin’s own sheet goes before this clock.',
  };
}
