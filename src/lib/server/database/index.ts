export type { Db, Store } from './connection';
export { placeOf } from './opening/address';
export { clientOf, openStore } from './opening/open';
export { Fault, faultOfRead } from './fault';
export type { Broken, StoredKind } from './stored';
export { brokenAt, brokenCards, storedText } from './broken';
export {
  CARD_SCHEMAS,
  findCard,
  findCardPhoto,
  findCardRow,
  listCards,
  patchCard,
  removeCard,
  saveCard,
  saveCardPhoto,
  SHELF_KINDS,
  wholeShelf
} from './cards';
export {
  deleteDocument,
  findRow,
  isDocumentKind,
  mendDocument,
  type BasedOn,
  type DocumentKind,
  type Written
} from './documents';
export { findPlan, importPlanFile, listPlans, readPlans, removePlan, savePlan } from './plans';
export {
  addEvents,
  brokenRuns,
  eventsOf,
  eventsSince,
  findRun,
  freezeOldRuns,
  listRuns,
  openRuns,
  readEvents,
  readRun,
  readRuns,
  removeRun,
  runExists,
  startRun,
  type Run,
  type RunRow
} from './runs';
export {
  allPieces,
  findPhoto,
  latestLessons,
  listLessons,
  pieceExists,
  measuredPieces,
  piecesOf,
  recentPieces,
  saveLesson,
  savePhoto,
  savePlanPhoto,
  saveRunPhoto,
  savePiece,
  type InspectedPiece
} from './record';
export { archiveOf, countsOf, readArchive, restoreArchive, type Archive } from './copies/archive';
export {
  forgetSummary,
  gradesByPlan,
  gradesByRun,
  keepSummaries,
  keptSummaries,
  measuredByRun,
  runsNow,
  runsWithoutSummary
} from './run-summaries';
export { inspectedCounts, RECORD_PAGE, recordPage, type RecordAsked } from './record-list';
export { findAll, type Hit } from './find';
export { copiesOf, copyBeforeRestore, copyOfToday, folderBeside } from './copies/backup';
export { contentsOf, keepSecrets, previewOf, putInPlace, secretsOf, type Contents } from './copies/restore';
export { piecesOf as piecesOfFile, seal } from './copies/sealed';
export {
  beginSession,
  endSession,
  endSessions,
  findSession,
  findSetting,
  saveSetting,
  touchSession
} from './settings';
export { familyOf } from './family';
export { notePresent, presentElsewhere } from './present';
export { WrittenElsewhere } from './written-elsewhere';
export { FACETS, facetValues, noteMissingFacets, type Facet } from './run-facets';
