export { SectionDrawing } from './SectionDrawing';
export { scaleBarM } from './labels';
export { layoutSection, wallPath, type SectionLamina, type Stretch } from './layout';
export type { FaceCutView, SectionBead } from './cutView';
