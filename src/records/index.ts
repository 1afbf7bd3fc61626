export { asId, newId, type Id } from './id';
export { defineRecord, type Parts, type RecordDefinition, type Reference } from './define';
export {
  LIVE_TABLES,
  RECORDS,
  TABLE_NAMES,
  type LiveTable,
  type TableName,
  type Tables,
} from './tables';
export { ROOM_SOURCES, type RoomDay, type RoomSource, type RoomSourceKind } from './room';
export {
  edgeHeightOf,
  edgeKindsOf,
  type Area,
  type AreaCut,
  type Edge,
  type Measured,
} from './area';
export { plainArea } from './plainArea';
export type { Draft } from './draft';
export { BATCHES, MEASURES, stateOf, type Batch } from './batch';
export {
  COATS,
  plainCoat,
  type Coat,
  type CoatColour,
  type CoatTouch,
  type DrawnLine,
} from './coat';
export {
  DEFECTS,
  LATER_LOOKS,
  LOOK_LIMITS,
  NOT_LOOKED,
  type ChosenRescue,
  type Defect,
  type DefectLook,
  type LaterLook,
} from './defect';
export { LAYERS, type Layer, type LayerState } from './layer';
export { LOTS, type Lot } from './lot';
export { LOG, LOG_KINDS, type LogEntry, type LogKind } from './logEntry';
export type { Photo } from './photo';
export { PIECES, type HardwareMark, type LevelReading, type Piece } from './piece';
export { RESINS, type Resin } from './resin';
export type { WetSession } from './session';
export { SHARES, type Share } from './share';
export {
  BAUDS,
  BENCH_LOOKS,
  CUP_LIMITS_M3,
  DEFAULT_SETTINGS,
  HOURS,
  LOOKS,
  ROOM_WEATHERS,
  type LossFactor,
  type RoomSensorChoice,
  type ScaleChoice,
  type Settings,
} from './settings';
export { SWATCHES, type Swatch, type SwatchTrial } from './swatch';
export { TASKS, type PrepRecord } from './task';
export { TEMPLATES, type Template, type TemplateStep } from './template';
export { readingsOf, roomDayId, roomDays, withReadings, type SourcedReading } from './roomDays';
