export {
  FOOT_M,
  GAS_CONSTANT,
  ICE_POINT_K,
  INCH_M,
  INSTANT_LIMITS_MS,
  MIL_M,
  OUNCE_KG,
  POUND_KG,
  STANDARD_GRAVITY,
  US_FLUID_OUNCE_M3,
  US_GALLON_M3,
} from './constants';
export { UNITS, fromSI, toSI, unitOf, type Quantity, type Unit } from './units';
export { parseQuantity } from './parse';
export {
  editText,
  formatIn,
  formatInchFraction,
  formatQuantity,
  type Shown,
  type UnitSystem,
} from './format';
