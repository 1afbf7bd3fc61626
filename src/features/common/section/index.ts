export { SectionDrawing, type SectionLamina } from './SectionDrawing';
export { layoutSection, scaleBarM } from './layout';
