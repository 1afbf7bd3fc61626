export {
  project,
  homographyOf,
  compose,
  inverse,
  isConvex,
  type Corners,
  type Homography,
} from './homography';
export { REFERENCES, type Reference, type ReferenceName } from './reference';
export { cameraPose, type CameraPose, type PictureSize } from './camera';
export {
  correctHeight,
  markedSides,
  referenceCorners,
  SHORTEST_SIDE_PX,
  sortCorners,
  STEEPEST_RAD,
  turnToFit,
  viewOf,
  type Marks,
  type View,
} from './marks';
export { rectify, sample, type Picture, type PlaneBox, type Raster } from './raster';
export { fitOutline } from './fitOutline';
export {
  MARK_SIGMA_PX,
  measureTraced,
  MEASURE_DEFAULTS,
  type AreaPart,
  type TracedMeasure,
} from './uncertainty';
export {
  FINE_PX,
  runTrace,
  tracePiece,
  type TraceInput,
  type Traced,
  type TraceWarning,
} from './tracePiece';
