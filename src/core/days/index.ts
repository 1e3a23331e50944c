export { solveNetwork, type Link, type Solved } from './network';
export {
  latestStart,
  planDays,
  type After,
  type Bench,
  type Days,
  type DayTask,
  type Job,
  type Placed,
  type Span,
  type Unplaced
} from './place';
export { slackOf } from './slack';
