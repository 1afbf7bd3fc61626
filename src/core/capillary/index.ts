export { domeField, type DomeField, type FieldSide } from './domeField';
export { capillaryLength, puddleHeight, SURFACE_TENSION } from './puddle';
export { domeDisc, domeStrip, type Dome } from './dome';
export { cornerTerm, domeMean, type DomeOutline } from './outlineDome';
