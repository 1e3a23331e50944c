export { lotBooks, mouldHistory, oldLotsOf, pointsOf, toolUses, type LotBook } from './books';
export { taughtByRuns } from './kept';
export { learnedOf, learnedOfEach, stock, taught, type Taught } from './learned-of';
export type { MouldUse } from './run-taught';
