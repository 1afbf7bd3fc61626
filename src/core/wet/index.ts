export { CUP_REST_S, STREAK_S, stirTimes } from './stirring';
export {
  BUBBLES_BY,
  DISCARD_REASONS,
  standing,
  WEIGHED_BY,
  WET_ACTS,
  type BubblesBy,
  type DiscardReason,
  type DoneAct,
  type WeighedBy,
  type WetAct,
  type WetActKind,
  type WetEvent,
} from './event';
export {
  BATCH_STEPS,
  cupKey,
  firstWrong,
  follows,
  wetState,
  type BatchStep,
  type Used,
  type WetJob,
  type WetState,
} from './state';
export { ALARMS, alarmsOf, COVER_MS, dueAt, nextRound, ROUND_MS, type Alarm } from './alarms';
export { flowAt, flowMarks, FLOWS, type Flow, type FlowMarks } from './marks';
export {
  gatherChecks,
  learnedPour,
  USUAL_POUR_S,
  type GatherCheck,
  type GatherInput,
} from './gatherChecks';
export {
  colourCups,
  colourLoad,
  contrastRatio,
  HIDES,
  PIGMENT_FORMS,
  whiteLast,
  type ColourCup,
  type ColourLoad,
  type Pigment,
  type PigmentForm,
  type PlannedColour,
} from './cups';
export { patchLuminance } from './opacity';
export { MOST_COATS, shareOut, type Judged } from './split';
export { strokesOf, type Stroke, type StrokeCoat } from './strokes';
