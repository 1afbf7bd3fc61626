export {
  dewPoint,
  HUMIDITY_LIMITS,
  saturationPressure,
  vapourDeficit,
  type Air,
  type AirStep,
} from './air';
