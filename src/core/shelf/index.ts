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
export { guessMapping, readTable, type Mapping, type ReadTable } from './import-table';
export { TABLE_FIELDS, TABLE_KINDS, type TableKind } from './table-fields';
export { carrierWords, PASTE_CARRIERS, pigmentsToMull, shelvedPaste, type MadePaste } from './made-paste';
export { toReorder, type Low } from './reorder';
export { Shelf } from './cards';
