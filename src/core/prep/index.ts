export {
  DRYING_BAND,
  dryingRate,
  dryingRateExplanation,
  dryTime,
  LABEL_AIR,
  labelTime,
  THIN_LAYER_M,
  type Drying,
  type DryTime,
} from './drying';
export {
  DEFAULT_SCHOOLS,
  MASK_METHODS,
  RECOAT_SCHOOLS,
  SEAL_SCHOOLS,
  SPRAY_SCHOOLS,
  TOOTH_SCHOOLS,
  type CoatInstants,
  type LaidMask,
  type MaskMethod,
  type OwnPlace,
  type OwnTask,
  type PrepArea,
  type PrepCoat,
  type PrepCover,
  type PrepFacts,
  type PrepLayer,
  type PrepSchools,
  type RubResult,
} from './facts';
export {
  grainSize,
  gritSequence,
  grits,
  LARGEST_STEP,
  nearestGrit,
  scratchOf,
  type GritScale,
  type Scratch,
} from './grit';
export { MASK_FACTS, maskMaterials, removal, unmaskAges } from './masks';
export { soldAs, sumMaterials, type MaterialNeed, type MaterialSum } from './materials';
export { coatOrder, planPrep, PREP_RULES } from './planPrep';
export { allNow } from './allNow';
export { READY_STEPS, type ReadyStep } from './ready';
export { DEW_MARGIN_K, dewExplanation, dewMargin, METER_K, type DewMargin } from './rules/damp';
export { dependsOn, mustPrecede } from './order';
export { HOLDS_MS, type Again } from './again';
export { earliestPour, type EarliestPour } from './earliest';
export {
  HIDING_SHARE,
  sandingPlan,
  type SandingInput,
  type SandingPlan,
  type SandingStep,
} from './sanding';
export { sandRegion } from './rules/sandWork';
export {
  holdsBack,
  isSettled,
  placeTasks,
  type PlacedTask,
  type PrepState,
  type TaskRecord,
  type TaskState,
} from './taskStates';
export { isByTick } from './task';
export type { CautionName, EdgeRef, PrepTask, ProblemName, Removal } from './task';
