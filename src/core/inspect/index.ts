export {
  DEFECTS,
  DESTINATIONS,
  faultsOf,
  GRADES,
  gradeOf,
  UNGRADED,
  Piece,
  usualDestination,
  type Defect,
  type Destination,
  type Grade,
  MeasuredShares
} from './piece';
export {
  ownSpread,
  plannedAndMeasured,
  sharesBy,
  shownOtherwise,
  spreadOfShares,
  type MeasuredPiece,
  type ShareSpread
} from './measured-shares';
export { caseOf, causesOf, nextTime, type CausesFound, type Likely, type NextTime } from './causes';
export { wilson } from './wilson';
export { changesIn, differences, type Difference } from './compare';
export {
  goodByMonth,
  rejectsByAct,
  rejectsByDemould,
  costByMonth,
  colourByDose,
  gelByRoom,
  secondsByAct,
  type Rate,
  type RunPoint
} from './charts';
export { lessonsAt, lessonsFor, LessonAbout, type Lesson } from './lesson';
export { buyerSheet, USUAL_TOLERANCE, type BuyerSheet, type Tolerance } from './buyer';
export { traceOf, type PieceTrace, type TracedPour } from './trace';
export { defectsOf } from './defects';
export type { PlanDifference } from './plan-differences';
