export { DEFECTS, GRADES, Piece, gradeOf, type Grade } from './piece';
export { wilson } from './wilson';
