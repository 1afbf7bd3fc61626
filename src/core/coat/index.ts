export { coatLedger, DEFAULT_REST_S, type Ledger, type LedgerLine } from './ledger';
export {
  COUNT_LIMITS,
  LEDGER_LINES,
  OVERRIDE_LIMITS_M3,
  PLAIN_AREA,
  PLAIN_INPUT,
  RESERVE_LIMITS,
  THICKNESS_LIMITS_M,
  type Cover,
  type LedgerArea,
  type LedgerEdge,
  type LedgerInput,
  type LedgerLineId,
  type LedgerOverride,
  type ReserveSchool,
} from './input';
export { BELLY_MEAN_SHARE, WALL_ANGLE_RAD } from './rimLines';
export { cupRest, CUP_DRAIN, GLOVE_AREA_M2, STICK_AREA_M2, type CupRest } from './cupFilm';
export { LEVELLED_M, SOAK_M } from './soak';
export { totalExplanation } from './totalExplanation';
export { ruleExplanation, ruleOfThumb, VOLUME_RULES, type VolumeRule } from './rulesOfThumb';
export { sectionStack, type Lamina, type SectionStack } from './sectionStack';
export {
  beneath,
  buildUp,
  filmAreas,
  isBrushed,
  liesOver,
  RAISES_FROM,
  type BuildArea,
  type BuildCoat,
  type Film,
  type OnArea,
} from './buildUp';
export {
  filmChecks,
  mixingChecks,
  type CheckArea,
  type CheckInput,
  type FilmCheck,
  type MixingCheck,
  type MixingInput,
  type Verdict,
} from './checks';
export { reliefHeights, reliefRoom, shareProud, tallestRelief, type ReliefHeights } from './relief';
export { LOCK_LIFT_M, planLifts, type Lift, type LiftsInput } from './lifts';
export { checkCoatOrder, type OrderedCoat } from './order';
export { coatCost, type CoatCost, type CostInput, type ResinPrice } from './cost';
export { leftOverPlan, type Filler, type LeftOverTake } from './leftOver';
export {
  angleFor,
  CLOSED_FORM_SIDE,
  domeOn,
  domeShape,
  domeShapeOf,
  mixLength,
  type DomeOn,
  type DomeShape,
} from './domeShape';
export {
  INTENTS,
  intentThickness,
  LEAST_COVER_M,
  RIM,
  SKIN_M,
  type Intent,
  type IntentArea,
  type IntentKind,
} from './intent';
export {
  CELL_LIMITS,
  filmField,
  filmFieldSteps,
  type FieldInput,
  type FilmField,
} from './filmField';
export { filmMap, type FilmMap, type FilmOver } from './thicknessMap';
export { READY_PLANS, type ReadyCoat, type ReadyPlan } from './readyPlans';
