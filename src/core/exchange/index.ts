export {
  DRAWING_LIMITS,
  MOST_SEGMENTS,
  DRAWING_UNITS,
  type DrawingRead,
  type FoundShape,
  type LeftOut,
} from './drawing';
export { readSvg } from './readSvg';
export { readDxf } from './readDxf';
export { writeSvg } from './writeSvg';
export { outlineFromDrawing, type DrawnOutline } from './outlineFromDrawing';
export { splinePoints } from './splinePoints';
