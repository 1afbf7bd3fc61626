export {
  coatLedger,
  COUNT_LIMITS,
  DEFAULT_REST_S,
  RESERVE_LIMITS,
  THICKNESS_LIMITS_M,
  type Ledger,
  type LedgerArea,
  type LedgerEdge,
  type LedgerInput,
  type LedgerLine,
  type LedgerLineId,
  type ReserveSchool,
} from './ledger';
export { cupFilmVolume, CUP_FILM } from './cupFilm';
export { ruleOfThumb, VOLUME_RULES, type VolumeRule } from './rulesOfThumb';
export { sectionStack, type Lamina, type SectionCoat, type SectionStack } from './sectionStack';
