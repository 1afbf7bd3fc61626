export { fluidityLeft, type DoublingLaw } from './fluidity';
export { drainedEdgeMean } from './drainedEdge';
export { tiltDifference, tiltFluidity, tolerableSlope, type Unevenness } from './tilt';
