export {
  maxRadiusM,
  POLYGON_SIDES,
  SHAPE_KINDS,
  SIZE_LIMITS_M,
  type Outline,
  type Shape,
  type ShapeKind,
} from './shape';
export { checkShape } from './checkShape';
export { ellipsePerimeter } from './ellipsePerimeter';
export { measureShape, RULE_SIGMA_M, type ShapeMeasure } from './measureShape';
export { cutIntervals, type CutInterval } from './cutIntervals';
export { CENTRE_CUT, cutShape, type Cut, type CutLine } from './cutShape';
export { shapeBox, shapeSides } from './shapeSides';
export type { Point } from './point';
export {
  controlPoints,
  flattenPath,
  flattenSegment,
  mapPath,
  measurePath,
  pathArea,
  reversePath,
  segmentLength,
  walk,
  type Path,
  type Segment,
} from './path';
export { arcPoint, arcSegments, bulgeSegments, endpointArc, type CentreArc } from './arc';
export {
  bareIssues,
  outlineArea,
  outlineSides,
  pathBox,
  sharedArea,
  sideOfSegments,
  type OutlineSide,
} from './outline';
export { shapePath } from './shapePath';
export { insideRing, ringArea, ringCentroid, selfCrossings } from './ring';
export { sideTurns, type TurnPiece } from './sideTurns';
export { reachOf, type Reach } from './reach';
export { leastCurvature } from './leastCurvature';
export {
  edgeBand,
  EASED_RADIUS_M,
  PROFILE_KINDS,
  type EdgeBand,
  type EdgeProfile,
} from './edgeProfile';
export { measureFace, type FaceEdge, type FaceMeasure } from './measureFace';
export {
  bendSegment,
  centrePath,
  corners,
  deleteCorner,
  insertCorner,
  moveCorner,
  moveHandle,
  setSegmentLength,
  shiftPath,
  stretchPath,
  untangle,
} from './editPath';
export { snap, type Snapped, type SnapRules } from './snap';
export { propLifts, propsCarry, steepest, type Tilt } from './level';
export {
  HALF_PLANE_SIDES,
  workRegion,
  type HalfPlane,
  type Placed,
  type Region,
} from './workRegion';
export { nearestOnSegment } from './nearestOnSegment';
export { spacedRing, thinRing } from './thinRing';
