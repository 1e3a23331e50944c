export { RunEvent, effective } from './events';
export { tasksOf, type Task, type WeighTask } from './tasks';
export { foldRun, type RunState, type TaskState, type CupState } from './fold';
export { clocksOf, gateOpening, type Clock, type GateOpening } from './clocks';
export { factsOf, planFromRun, type Fact } from './actuals';
export { lossesOf, tookOf, usesOf } from './record';
