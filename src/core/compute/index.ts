export { computeSteps, runCompute, type ComputeResponse, type Fault } from './compute';
export { COMPUTATIONS, type ComputeInput, type ComputeName, type ComputeOutput } from './registry';
