export { DEFECT_GUIDE, type DefectGuide } from './guide';
export { CAUSES, PRIORS, type Cause } from './causes';
export {
  EVIDENCE,
  EVIDENCE_CODES,
  likelihood,
  TESTS,
  type Evidence,
  type EvidenceCode,
} from './evidence';
export {
  diagnose,
  type Diagnosis,
  type RankedCause,
  type Settling,
  type Weighed,
} from './diagnose';
export {
  evidenceOf,
  NO_HISTORY,
  NO_LOOK,
  type Answers,
  type CoatHistory,
  type FaultLook,
} from './history';
export {
  FILM_NOW,
  hollowVolume,
  pitVolume,
  refused,
  RESCUE_KINDS,
  RESCUES,
  rescuesFor,
  STEP_TIMES,
  type FilmNow,
  type Refused,
  type Rescue,
  type RescueFacts,
  type RescueKind,
  type RescueStep,
  type RescueWhere,
  type Shows,
} from './rescue';
export { byChance, MORE_THAN_CHANCE, proportion, type Counts, type Proportion } from './chance';
