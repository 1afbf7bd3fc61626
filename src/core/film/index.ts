export type { Liquid } from './liquid';
export { CLINGS, fluidityLeft, LINES_STAY, viscosityAfter, type Thickening } from './thickening';
export { drainedEdgeMean, restForEdge } from './drainedEdge';
export {
  LEVEL_SHARE,
  SPIRIT_LEVEL,
  tiltDifference,
  tiltFluidity,
  tolerableSlope,
  type Unevenness,
} from './tilt';
export { levellingRate, waveLeft } from './waves';
export { trappedBubble, type BubbleSurface } from './bubbles';
