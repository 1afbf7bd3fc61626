export { cutGrid, type FieldSide } from './cutGrid';
export { domeField, domeFieldSteps, FIELD_TOLERANCE, type DomeField } from './domeField';
export { capillaryLength, puddleHeight, SURFACE_TENSION } from './puddle';
export { domeDisc, domeStrip, type Dome } from './dome';
export { cornerTerm, domeMean, maskMean, rimFactor, type DomeOutline } from './outlineDome';
