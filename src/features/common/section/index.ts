export { SectionDrawing, type SectionLamina } from './SectionDrawing';
export { layoutSection, scaleBarM, wallPath } from './layout';
