export { AnyEvent, effective, finishOf, MOST_GRAMS, MOST_WORDS, RunEvent, type OtherEvent } from './events';
export { Task, type GateTask, type WeighTask } from './task';
export { tasksOf } from './tasks';
export { foldRun } from './fold';
export {
  inOf,
  type CupState,
  type GroupState,
  type Mishap,
  type Noted,
  type RunState,
  type TaskState
} from './state';
export { clocksOf, type Clock } from './clocks';
export { gateOpening, waitsForLayer, type GateOpening } from './gate';
export { factsOf, type Fact } from './actuals';
export { standingOf, thinners, waysOut, type Standing, type WaysOut } from './ways';
export { checksNow, openChecks, ROOM_CHECK } from './preflight';
export { demouldFromNow, paceOf, pourUntilNow, refitGate, type Moved } from './refit';
export { booksOf, stillFrom, type MixBooks } from './books';
export { couldDo, type CouldDo } from './could-do';
export { correctionsOf, type Correction } from './corrections';
export { warmthOf } from './warmth';
export { worthAPhoto } from './worth-a-photo';
export { debriefOf, withMeasured, type Debrief } from './debrief';
export { groupsOf, isReady, orderOf } from './ready';
export { planFromRun } from './repeat';
export { asFamily } from './as-family';
export { lossesOf, tookOf, usesOf } from './record';
export { freeze } from './freeze';
export { FrozenRun } from './frozen';
export { handsOf, type Hands } from './who';
export { coloursOver, type ColourOver } from './colour-over';
export { fewerCavities, type Fewer } from './fewer';
export { planNow } from './plan-now';
export { eventsFromSheet, type SheetLine } from './from-sheet';
export { handTimesOf, learnedHands, type HandTime } from './learned-hands';
export { dueOf, type Due } from './due';
export { dryAt, gateIdOf } from './gate';
export { scaledTo, type OtherMould } from './scaled';
export { topUpCup } from './top-up';
