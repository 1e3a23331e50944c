export { openStore, type Db, type Store } from './open';
export { CARD_KINDS, findCard, listCards, removeCard, saveCard, wholeShelf, type CardKind } from './cards';
export { findPlan, importPlanFile, listPlans, removePlan, savePlan } from './plans';
export { addEvents, eventsOf, findRun, listRuns, startRun, type RunRow } from './runs';
export {
  allPieces,
  findPhoto,
  listLessons,
  pieceExists,
  piecesOf,
  recentPieces,
  saveLesson,
  savePhoto,
  savePiece,
  type InspectedPiece
} from './record';
