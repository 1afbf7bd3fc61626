export { coatLedger, type Ledger } from './ledger';
export { DEFAULT_REST_S } from './rest';
export type { LedgerLine } from './ledgerLine';
export { learnedLoss, LEAST_POURS, LOSS_LIMITS, type LearnedLoss, type LossSample } from './losses';
export { combineBatch, planBatch, type BatchCoat, type BatchPlan } from './batch';
export {
  BAND_M,
  bandFilm,
  beadSection,
  FLOOD_OVER_M2,
  FLOOD_OVER_LIMITS_M2,
  type EdgeWetting,
} from './edgeWetting';
export { edgeKinds, ledgerArea, measureArea, wallsOf, type PlanArea } from './planArea';
export {
  beneathPlan,
  intentAreas,
  ledgerInput,
  plannedGrounds,
  plannedFilm,
  staysOfFilm,
  type PlanCoat,
  type PlanInput,
  type PlannedFilm,
  type PlanPiece,
} from './coatPlan';
export { planCoat, checkInput, type CoatPlan } from './planCoat';
export { usualIntent, type Usual, type UsualWhy } from './usualIntent';
export { bellyShare } from './belly';
export { filmShape } from './filmShape';
export {
  COUNT_LIMITS,
  LEDGER_LINES,
  MIX_LIMITS_M3,
  OVERRIDE_LIMITS_M3,
  PLAIN_AREA,
  PLAIN_INPUT,
  RESERVE_LIMITS,
  THICKNESS_LIMITS_M,
  type Cover,
  type LedgerArea,
  type LedgerEdge,
  type LedgerWedge,
  type LedgerInput,
  type LedgerLineId,
  type LedgerOverride,
  type ReserveSchool,
} from './input';
export { WALL_ANGLE_RAD } from './rimLines';
export { cupRest, CUP_DRAIN, GLOVE_AREA_M2, STICK_AREA_M2, type CupRest } from './cupFilm';
export { SOAK_M } from './soak';
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
  leastFilm,
  staysOn,
  type BuildArea,
  type BuildCoat,
  type Film,
  type OnArea,
} from './buildUp';
export {
  filmChecks,
  mixingChecks,
  restOutlasts,
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
export { domeShape, domeShapeOf, type DomeShape } from './domeShape';
export { angleFor, CLOSED_FORM_SIDE, domeOn, mixLength, type DomeOn } from './domeOn';
export {
  INTENTS,
  intentThickness,
  LEAST_COVER_M,
  heldOn,
  RIM,
  SKIN_M,
  SPREAD_M,
  wettingOf,
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
export { filmMap, filmOver, type FilmMap, type FilmOver } from './thicknessMap';
export { liftsOf } from './liftsOf';
export { READY_PLANS, type ReadyCoat, type ReadyPlan } from './readyPlans';
export { groundsOf, LEVEL_STEP_M, type Ground, type GroundPart } from './ground';
export { LAYER_FACTS, LAYER_LIMITS, type BuildLayer, type LayerFacts } from './layer';
export {
  joinPlaces,
  placeOf,
  placesOf,
  type Joined,
  type PlanWhole,
  type WholeCut,
} from './wholes';
export {
  beadOf,
  LINE_LIMITS,
  LINE_USES,
  pathLength,
  type Bead,
  type LinePath,
  type LineUse,
} from './bead';
