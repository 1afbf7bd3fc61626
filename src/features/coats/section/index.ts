export { SectionDrawing } from './SectionDrawing';
export { layoutSection, scaleBarM, wallPath, type SectionLamina } from './layout';
