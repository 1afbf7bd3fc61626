export {
  checkShape,
  maxRadiusM,
  POLYGON_SIDES,
  SHAPE_KINDS,
  SIZE_LIMITS_M,
  type Shape,
  type ShapeKind,
} from './shape';
export { ellipsePerimeter } from './ellipsePerimeter';
export { measureShape, RULE_SIGMA_M, type ShapeMeasure } from './measureShape';
export { cutShape, type Cut } from './cutShape';
export { shapeBox, shapeSides, type Point } from './shapeSides';
