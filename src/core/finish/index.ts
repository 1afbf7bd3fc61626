export {
  FINISH_STEPS,
  finishSteps,
  type FinishAsk,
  type FinishFacts,
  type FinishStep,
} from './steps';
export { careNote, type CareFacts, type CareLine } from './care';
