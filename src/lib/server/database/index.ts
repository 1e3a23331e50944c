export { openStore, type Db, type Store } from './open';
export {
  CARD_KINDS,
  findCard,
  findCardPhoto,
  listCards,
  removeCard,
  saveCard,
  saveCardPhoto,
  SHELF_KINDS,
  wholeShelf
} from './cards';
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
