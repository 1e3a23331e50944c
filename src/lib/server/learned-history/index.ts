export { lotBooks, mouldHistory, oldLotsOf, pointsOf, toolUses, type LotBook } from './books';
export { taughtByRuns } from './kept';
export { pastOf, pastsOf, stock, taught, type Taught } from './past';
export type { MouldUse } from './run-taught';
