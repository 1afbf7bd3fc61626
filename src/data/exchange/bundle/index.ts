export { BUNDLE_LIMITS, packBundle, readBundle, type Bundle, type Progress } from './bundleFile';
export type { BundleHead } from './bundleHead';
export { makeBundle, noteShared, readAll } from './makeBundle';
export {
  mergeBundle,
  previewMerge,
  type MergePreview,
  type MergeResult,
  type UnitPreview,
} from './mergeBundle';
export type { BundleWhat } from './scope';
export type { Choice, Choices, RowFate, Side } from './threeWay';
export type { UnitKey, UnitKind } from './units';
