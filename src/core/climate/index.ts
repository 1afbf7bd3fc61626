export {
  dewPoint,
  HUMIDITY_LIMITS,
  saturationPressure,
  vapourDeficit,
  type Air,
  type AirStep,
} from './air';
export {
  ASSUMED_AIR,
  believedHumidity,
  BELIEVED_ROOM_K,
  columnDoubts,
  columnSteps,
  readingDoubts,
  stepsOf,
  withHumidity,
  type ReadingColumns,
  type ReadingDoubt,
  type ReadStep,
  type RoomReading,
} from './reading';
export { forecastAir, forecastSpread, type Forecast } from './forecast';
