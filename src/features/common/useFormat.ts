'use client';
import {
  formatIn,
  formatQuantity,
  type Quantity,
  type Shown,
  type UnitSystem,
  OUNCE_KG,
} from '@/core/units';
import { useShop } from '@/data/hooks';
import { inUnits } from './inUnits';
import type { Settings } from '@/records';

export interface Format {
  readonly units: UnitSystem;
  /** SI value in the user's units. */
  readonly show: (value: number, quantity: Quantity, decimals?: number) => Shown;
  /** A mass as the shop's scale shows it. */
  readonly scale: (massKg: number) => Shown;
  /** Unit meant when the user types only a number. */
  readonly typed: (quantity: Quantity) => string;
  /** What is written as an example, or is a round number, in these units. */
  readonly either: <T>(metric: T, us: T) => T;
  /** Running words with figures in them, in these units. */
  readonly words: (text: string) => string;
  /** A difference of temperatures, K, in the degrees of these units. */
  readonly degrees: (differenceK: number) => string;
}

const TYPED: Readonly<Record<UnitSystem, Partial<Record<Quantity, string>>>> = {
  metric: {
    length: 'mm',
    film: 'mm',
    volume: 'ml',
    temperature: '°C',
    duration: 'h',
    density: 'g/ml',
    viscosity: 'Pa·s',
    share: '%',
    molarEnergy: 'kJ/mol',
  },
  us: {
    length: 'in',
    film: 'in',
    volume: 'fl oz',
    temperature: '°F',
    duration: 'h',
    density: 'g/ml',
    viscosity: 'Pa·s',
    share: '%',
    molarEnergy: 'kJ/mol',
  },
};

/** How numbers are written in a shop with these settings. */
export function formatOf({ units, scaleUnit, scaleDigitKg }: Settings): Format {
  const massSystem = scaleUnit === 'oz' ? 'us' : 'metric';
  const digit = scaleUnit === 'g' ? scaleDigitKg * 1000 : scaleDigitKg / OUNCE_KG;
  const decimals = Math.min(3, Math.max(0, Math.ceil(-Math.log10(digit) - 1e-9)));
  return {
    units,
    // Masses are read off the scale, so they follow it and not the system of units.
    show: (value, quantity, fixed) =>
      formatQuantity(value, quantity, quantity === 'mass' ? massSystem : units, fixed),
    scale: (massKg) => formatIn(massKg, scaleUnit, decimals),
    typed: (quantity) => (quantity === 'mass' ? scaleUnit : (TYPED[units][quantity] ?? '')),
    words: (text) => inUnits(text, units),
    either: (metric, us) => (units === 'us' ? us : metric),
    degrees: (k) =>
      units === 'us' ? `${(k * 1.8).toFixed(1)}\u00a0°F` : `${k.toFixed(1)}\u00a0°C`,
  };
}

export function useFormat(): Format {
  return formatOf(useShop().settings);
}
