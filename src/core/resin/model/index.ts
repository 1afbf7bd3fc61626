export {
  calibrationOf,
  cupOutlook,
  HEAT_CLASSES,
  SHEET_FILM_M,
  TRAY_DEPTH_M,
  type CupOutlook,
  type CupQuestion,
  type HeatClass,
} from './cupOutlook';
export { cupRun, type CupRun, type Vessel } from './cup';
export { FILM_MARKS, filmRun, type FilmMark, type FilmRun } from './film';
export { calibrate, predict, type Calibration, type CurePoint } from './calibrate';
export { cureViscosity, type Kinetics } from './kinetics';
