import {
  FOOT_M,
  ICE_POINT_K,
  INCH_M,
  MIL_M,
  OUNCE_KG,
  POUND_KG,
  US_FLUID_OUNCE_M3,
  US_GALLON_M3,
} from './constants';

/** Kinds of number. `film` is a length shown as film thickness (µm, mm, mil). */
export type Quantity =
  | 'length'
  | 'film'
  | 'area'
  | 'volume'
  | 'mass'
  | 'temperature'
  | 'duration'
  | 'angle'
  | 'density'
  | 'viscosity'
  | 'molarEnergy'
  | 'fluidity'
  | 'share'
  | 'number';

/** A unit: SI value = number × scale + offset. */
export interface Unit {
  readonly symbol: string;
  readonly quantity: Quantity;
  readonly scale: number;
  readonly offset?: number;
  readonly aliases: readonly string[];
}

const unit = (
  quantity: Quantity,
  symbol: string,
  scale: number,
  aliases: readonly string[] = [],
  offset = 0,
): Unit => ({ quantity, symbol, scale, aliases: [symbol, ...aliases], offset });

/** Every unit that can be written or shown. SI units come first in each group. */
export const UNITS: readonly Unit[] = [
  unit('length', 'm', 1, ['meter', 'metre', 'meters', 'metres']),
  unit('length', 'mm', 1e-3, ['millimeter', 'millimetre', 'millimeters', 'millimetres']),
  unit('length', 'cm', 1e-2, ['centimeter', 'centimetre', 'centimeters', 'centimetres']),
  unit('length', 'µm', 1e-6, ['um', 'μm', 'micron', 'microns']),
  unit('length', 'km', 1e3),
  unit('length', 'in', INCH_M, ['"', 'inch', 'inches', 'ins']),
  unit('length', 'ft', FOOT_M, ["'", 'foot', 'feet']),
  unit('length', 'mil', MIL_M, ['mils', 'thou']),
  unit('area', 'm²', 1, ['m2', 'm^2', 'sq m', 'sqm']),
  unit('area', 'cm²', 1e-4, ['cm2', 'cm^2', 'sq cm']),
  unit('area', 'mm²', 1e-6, ['mm2', 'mm^2', 'sq mm']),
  unit('area', 'in²', INCH_M ** 2, ['in2', 'in^2', 'sq in']),
  unit('area', 'ft²', FOOT_M ** 2, ['ft2', 'ft^2', 'sq ft']),
  unit('volume', 'm³', 1, ['m3', 'm^3']),
  unit('volume', 'ml', 1e-6, ['millilitre', 'milliliter', 'cm3', 'cm³', 'cc']),
  unit('volume', 'l', 1e-3, ['litre', 'liter', 'litres', 'liters']),
  unit('volume', 'fl oz', US_FLUID_OUNCE_M3, ['floz', 'fl. oz', 'fl. oz.', 'fluid ounces']),
  unit('volume', 'gal', US_GALLON_M3, ['gallon', 'gallons']),
  unit('mass', 'kg', 1, ['kilogram', 'kilograms']),
  unit('mass', 'g', 1e-3, ['gram', 'grams', 'gr']),
  unit('mass', 'oz', OUNCE_KG, ['ounce', 'ounces']),
  unit('mass', 'lb', POUND_KG, ['lbs', 'pound', 'pounds']),
  unit('temperature', 'K', 1, ['kelvin']),
  unit('temperature', '°C', 1, ['c', 'degc', 'deg c', 'celsius'], ICE_POINT_K),
  unit('temperature', '°F', 5 / 9, ['f', 'degf', 'deg f', 'fahrenheit'], ICE_POINT_K - 160 / 9),
  unit('duration', 's', 1, ['sec', 'second', 'seconds']),
  unit('duration', 'min', 60, ['mins', 'minute', 'minutes']),
  unit('duration', 'h', 3600, ['hr', 'hrs', 'hour', 'hours']),
  unit('duration', 'd', 86400, ['day', 'days']),
  unit('angle', 'rad', 1, ['radian', 'radians']),
  unit('angle', '°', Math.PI / 180, ['deg', 'degree', 'degrees']),
  unit('density', 'kg/m³', 1, ['kg/m3']),
  unit('density', 'g/ml', 1000, ['g/cm3', 'g/cm³', 'g/cc', 'kg/l']),
  unit('viscosity', 'Pa·s', 1, ['pa s', 'pas', 'pa.s']),
  unit('viscosity', 'mPa·s', 1e-3, ['mpa s', 'mpas', 'mpa.s', 'cp', 'cps']),
  unit('molarEnergy', 'J/mol', 1),
  unit('molarEnergy', 'kJ/mol', 1000),
  unit('fluidity', '1/Pa', 1),
  unit('share', '%', 0.01, ['percent']),
];

const BY_SYMBOL = new Map(UNITS.map((u) => [u.symbol, u]));

/** The unit with this symbol. Throws on a symbol that is not in {@link UNITS}. */
export function unitOf(symbol: string): Unit {
  const found = BY_SYMBOL.get(symbol);
  if (!found) throw new RangeError(`unitOf: no unit ${symbol}`);
  return found;
}

/** Number in `symbol` → SI. */
export function toSI(value: number, symbol: string): number {
  const u = unitOf(symbol);
  return value * u.scale + (u.offset ?? 0);
}

/** SI → number in `symbol`. */
export function fromSI(value: number, symbol: string): number {
  const u = unitOf(symbol);
  return (value - (u.offset ?? 0)) / u.scale;
}
