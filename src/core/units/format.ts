import { INCH_M } from './constants';
import { fromSI, type Quantity } from './units';

export type UnitSystem = 'metric' | 'us';

export interface Shown {
  readonly number: string;
  readonly unit: string;
  /** Number and unit with a no-break space between. */
  readonly text: string;
}

const MINUS = '\u2212';
const NBSP = '\u00a0';

function shown(number: string, unit: string): Shown {
  const tidyNumber = number.replace(/^-(?=[0.]*$)/, '').replace('-', MINUS);
  return { number: tidyNumber, unit, text: unit ? `${tidyNumber}${NBSP}${unit}` : tidyNumber };
}

/** Decimals that keep about three significant digits, between 0 and `most`. */
function sensibleDecimals(value: number, most: number): number {
  const size = Math.abs(value);
  const wanted = size >= 99.95 ? 0 : size >= 9.995 ? 1 : size >= 0.9995 ? 2 : 3;
  return Math.min(wanted, most);
}

/** Unit in which a value of this size is shown, with the most decimals it deserves. */
function pick(value: number, quantity: Quantity, system: UnitSystem): [string, number] {
  const size = Math.abs(value);
  const us = system === 'us';
  switch (quantity) {
    case 'length':
      if (us) return ['in', 2];
      return size >= 10 ? ['m', 2] : ['mm', 1];
    case 'film':
      if (us) return ['mil', 1];
      return size < 0.9995e-4 && size > 0 ? ['µm', 1] : ['mm', 2];
    case 'area':
      if (us) return size >= 0.92 ? ['ft²', 2] : ['in²', 1];
      return size >= 1 ? ['m²', 2] : ['cm²', 1];
    case 'volume':
      if (us) return ['fl oz', 2];
      return size >= 10e-3 ? ['l', 2] : ['ml', 1];
    case 'mass':
      if (us) return size >= 1 ? ['lb', 2] : ['oz', 2];
      return size >= 10 ? ['kg', 2] : ['g', 1];
    case 'temperature':
      return us ? ['°F', 1] : ['°C', 1];
    case 'duration':
      if (size >= 3 * 86400) return ['d', 1];
      if (size >= 7200) return ['h', 1];
      return size >= 120 ? ['min', 1] : ['s', 1];
    case 'angle':
      return ['°', 2];
    case 'density':
      return ['g/ml', 3];
    case 'viscosity':
      return ['Pa·s', 2];
    case 'molarEnergy':
      return ['kJ/mol', 1];
    case 'fluidity':
      return ['1/Pa', 1];
    case 'share':
      return ['%', 1];
    case 'number':
      return ['', 3];
  }
}

/**
 * Shows an SI value in the user's units with sensible digits (about three significant).
 * @param value SI @param quantity kind of number @param system metric or US
 * @param decimals fixed number of decimals instead of the sensible one
 */
export function formatQuantity(
  value: number,
  quantity: Quantity,
  system: UnitSystem,
  decimals?: number,
): Shown {
  if (!Number.isFinite(value)) return shown('–', '');
  const [unit, most] = pick(value, quantity, system);
  const inUnit = unit === '' ? value : fromSI(value, unit);
  const fixed = inUnit.toFixed(decimals ?? sensibleDecimals(inUnit, most));
  // Sizes and counts are mostly whole; 18.0 mm would claim a reading nobody took.
  const counted = quantity === 'length' || quantity === 'number';
  const whole = decimals === undefined && counted && /\.0+$/.test(fixed);
  return shown(whole ? fixed.replace(/\.0+$/, '') : fixed, unit);
}

/** Shows an SI value in one given unit with fixed decimals, as a scale or a cup does. */
export function formatIn(value: number, symbol: string, decimals: number): Shown {
  if (!Number.isFinite(value)) return shown('–', '');
  return shown(fromSI(value, symbol).toFixed(decimals), symbol);
}

/**
 * Shows a length as whole inches and the nearest fraction, reduced: 0.0381 m → `1 1/2 in`.
 * @param lengthM length, m @param denominator finest fraction, a power of two
 */
export function formatInchFraction(lengthM: number, denominator = 16): Shown {
  let parts = Math.round((Math.abs(lengthM) / INCH_M) * denominator);
  const whole = Math.floor(parts / denominator);
  parts -= whole * denominator;
  let den = denominator;
  while (parts > 0 && parts % 2 === 0) {
    parts /= 2;
    den /= 2;
  }
  const fraction = parts === 0 ? '' : `${parts}/${den}`;
  const words = [whole > 0 || fraction === '' ? String(whole) : '', fraction].filter(Boolean);
  return shown((lengthM < 0 ? '-' : '') + words.join(' '), 'in');
}

/** Figures that a person writes into a field, and those that are left of a number that only a conversion made. */
const WRITTEN_DIGITS = 6;
const CONVERTED_DIGITS = 5;

/**
 * Text for editing in a field. {@link parseQuantity} reads it back within 1e-9 where the number is one that a person
 * would write (up to six figures in this unit), else within 5e-5: 0.1 g are `0.0035274 oz`.
 * @param value SI @param symbol unit that is written
 */
export function editText(value: number, symbol: string): string {
  const told = fromSI(value, symbol);
  const written = Number(told.toPrecision(WRITTEN_DIGITS));
  const exact = Math.abs(written - told) <= 1e-9 * Math.abs(told);
  return `${exact ? written : Number(told.toPrecision(CONVERTED_DIGITS))} ${symbol}`;
}
