export {
  AnyEvent,
  eventsInForce,
  finishOf,
  MOST_GRAMS,
  MOST_WORDS,
  RunEvent,
  type OtherEvent
} from './log/events';
export { Task, type GateTask, type WeighTask } from './tasks/task';
export { tasksOf } from './tasks/tasks-of';
export { foldRun } from './log/fold';
export {
  inOf,
  type CupState,
  type GroupState,
  type Mishap,
  type Noted,
  type RunState,
  type TaskState
} from './log/state';
export { clocksOf, type Clock } from './times/clocks';
export { gateOpening, inState, statesIn, waitsForLayer, type GateOpening } from './tasks/gate';
export { factsOf, type Fact } from './amounts/actuals';
export {
  standingOf,
  thinners,
  overshootOptions,
  type Standing,
  type OvershootOptions
} from './correct/overshoot-options';
export { checksNow, isRoomCheck, openChecks } from './tasks/checks';
export { demouldNow, paceSoFar, pourUntilNow, refitGate, type Moved } from './times/refit';
export { booksOf, stillFrom, type MixBooks } from './amounts/ledger';
export { isPutOnScale } from './tasks/on-scale';
export { couldDo, type CouldDo } from './tasks/could-do';
export { correctionsOf, type Correction } from './correct/corrections';
export { warmthOf } from './times/warmth';
export { worthAPhoto } from './after/worth-a-photo';
export { debriefOf, type Debrief } from './after/debrief';
export { groupsOf, isReady, orderOf } from './tasks/ready';
export { planFromRun } from './after/repeat';
export { asFamily } from './after/as-family';
export { lossesOf, tookOf, usesOf } from './amounts/used';
export { freeze } from './snapshot/freeze';
export { FrozenParts, FrozenRun } from './snapshot/frozen';
export { handsOf, type Hands } from './log/who';
export { coloursOver, type ColourOver } from './correct/colour-over';
export { fewerCavities, type Fewer } from './correct/fewer-cavities';
export { planNow } from './correct/plan-now';
export { eventsFromSheet, type FilledLine } from './log/from-sheet';
export { handTimesOf, learnedHands, type HandTime } from './times/learned-hands';
export { dueOf, type Due } from './after/due';
export { dryAt, gateIdOf } from './tasks/gate';
export { scaledTo, type OtherMould } from './after/scaled';
export { moreFromPot, topUpCup, type MoreFromPot } from './correct/top-up';
export type { FigureCup, FigureGroup, RunFigures } from './snapshot/figures';
export { doubtOf, type Doubt } from './correct/doubt';
export { standsReady, type StandsReady } from './amounts/stands-ready';
