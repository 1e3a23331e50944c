export { solveNetwork, type Link, type Solved } from './network';
export {
  latestStart,
  planDays,
  type After,
  type DayBench,
  type Days,
  type DayTask,
  type Job,
  type Placed,
  type Span,
  type Unplaced
} from './place';
export { slackOf } from './slack';
export {
  ordersOnDays,
  type OrderAsked,
  type DaysAhead,
  type OrderDays,
  type OrdersOnDays
} from './order-days';
export type { Help } from './helps';
export { workDays, type DayItem, type Standing, type WorkDay } from './week';
