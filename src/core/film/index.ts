export { fluidityLeft, type DoublingLaw } from './fluidity';
export { drainedEdgeMean } from './drainedEdge';
