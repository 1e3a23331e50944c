export {
  AnyEvent,
  effective,
  finishOf,
  isKnown,
  MOST_GRAMS,
  MOST_WORDS,
  RunEvent,
  type OtherEvent
} from './events';
export { Task, type GateTask, type WeighTask } from './task';
export { tasksOf } from './tasks';
export { foldRun } from './fold';
export type { CupState, GroupState, Noted, RunState, TaskState } from './state';
export { clocksOf, type Clock } from './clocks';
export { gateOpening, type GateOpening } from './gate';
export { factsOf, type Fact } from './actuals';
export { planFromRun } from './repeat';
export { lossesOf, tookOf, usesOf } from './record';
export { freeze, RULES } from './freeze';
export { FrozenRun } from './frozen';
