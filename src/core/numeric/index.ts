export { itemAt } from './itemAt';
export { dot, gradientSteps, type GradientOptions, type LinearSystem } from './conjugateGradient';
export { drain } from './drain';
export { extent } from './extent';
export { normalQuantile } from './normalQuantile';
export { converged, type Outcome, type Solved } from './outcome';
export { rootBetween, ROOT_STEPS, type RootOptions, type Side } from './root';
export { gained, instantOf, type RecordStep } from './stepRecord';
export { seededRandom } from './seededRandom';
