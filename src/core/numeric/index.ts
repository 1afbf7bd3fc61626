export { conjugateGradient, type GradientOptions, type LinearSystem } from './conjugateGradient';
export { extent } from './extent';
export { normalQuantile } from './normalQuantile';
export { converged, type Outcome, type Solved } from './outcome';
export { rootBetween, ROOT_STEPS, type RootOptions, type Side } from './root';
export { seededRandom } from './seededRandom';
