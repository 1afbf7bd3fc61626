export {
  massRatioBA,
  massRatioDoubt,
  mixDensity,
  mixPartsIssues,
  splitMix,
  volumeRatioBA,
  DENSITY_LIMITS_KG_M3,
  RESIN_DENSITY_KG_M3,
  RATIO_LIMITS,
  USUAL_DENSITY_KG_M3,
  type MixParts,
  type MixRatio,
  type MixSplit,
} from './ratio';
export {
  checkMix,
  RATIO_TOLERANCE,
  scaleRatioError,
  smallestBatchKg,
  type MixCheck,
} from './mixCheck';
export {
  DEFAULT_ACTIVATION_ENERGY,
  DEFAULT_REFERENCE_K,
  instantAtRipe,
  ripeRate,
  ripeSeconds,
  ROOM_LIMITS_K,
  type RateLaw,
  type TemperatureStep,
} from './ripeHours';
export {
  checkSheet,
  DEFAULT_STIR_S,
  STIR_LIMITS_S,
  TIME_ORDER,
  type ResinSheet,
  type SheetTimes,
} from './sheet';
export {
  coatClock,
  readAt,
  timeline,
  CURING_STATES,
  SHEET_TIME_SIGMA,
  stateAt,
  type CoatClock,
  type CoatClockInput,
  type Timeline,
  type TimelineInput,
  type CoatState,
  type CoatWindow,
  type CuringState,
  type StateSpan,
  type WindowKind,
} from './coatClock';
export { thickeningOf, workingTime } from './workingTime';
export {
  LAMP_LAYER_M,
  lampExplanation,
  lampPlan,
  lampTime,
  PENETRATION_M,
  type LampPlan,
  type LampSheet,
} from './lampTime';
export { windowsByTemperature, type WindowsAtTemperature } from './windowsByTemperature';
export {
  partVolumeExplanation,
  scaleExplanation,
  splitExplanation,
  wantedBExplanation,
  wantedVolumeBExplanation,
} from './mixExplained';
export { clockExplanation, workingExplanation, type ClockNow } from './clockExplained';
export {
  fitFaults,
  FIT_FAULTS,
  holdsFit,
  HOT_CUP_K,
  NOTHING_DECLARED,
  SERVICE_LIMITS_K,
  type Declared,
  type FitFault,
  type Use,
  COLOUR_LIMITS,
  USUAL_COLOUR,
  USUAL_ROOM_K,
} from './fitness';
export { leftInLot, lotDoubts, type LotAmount, type LotDoubt, type PartsKg } from './lot';
export { ifWarmer, recoatAdvice, type RecoatAdvice } from './recoatAdvice';
export {
  learnedOf,
  paceOf,
  TOUCH_FINDS,
  TOUCHED,
  touchSpan,
  type Learned,
  type Pace,
  type Touch,
  type Touched,
  type TouchFind,
} from './touch';
export type { ClockPace } from './coatClock';
