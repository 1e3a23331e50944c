export { DEFECTS, GRADES, Piece, gradeOf, type Defect, type Grade } from './piece';
export { caseOf, causesOf, CAUSES, changed, type Found, type Likely } from './causes';
export { wilson } from './wilson';
