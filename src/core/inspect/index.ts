export { DEFECT_GUIDE, type DefectGuide } from './guide';
