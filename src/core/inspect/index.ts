export {
  DEFECTS,
  DESTINATIONS,
  faultsOf,
  GRADES,
  gradeOf,
  Piece,
  usualDestination,
  type Defect,
  type Destination,
  type Grade
} from './piece';
export { caseOf, causesOf, CAUSES, changed, type Found, type Likely } from './causes';
export { wilson } from './wilson';
