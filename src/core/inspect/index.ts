export { DEFECTS, FACES, GRADES, Piece, FaceReport, gradeOf, type Grade } from './piece';
export { wilson } from './wilson';
