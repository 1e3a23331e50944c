export { startingLibrary } from './library';
export { tableOf } from './export-table';
export { FORMULA } from './formula';
export { landed, Lot } from './lot';
export {
  entriesOf,
  mergedUses,
  needsOf,
  useRateOf,
  stockOf,
  type Entry,
  type LotLeft,
  type Need,
  type UseRate,
  type Use
} from './stock';
export { HEADROOM, Vessel, vesselFor } from './vessel';
export {
  guessMapping,
  readTable,
  TABLE_FIELDS,
  TABLE_KINDS,
  type Mapping,
  type ReadTable,
  type TableKind
} from './import-table';
export { carrierWords, PASTE_CARRIERS, pigmentsToMull, shelvedPaste, type MadePaste } from './made-paste';
export { toReorder, type Low } from './reorder';
export { Shelf } from './cards';
