export { foldedAxis, type FoldedAxis, type Stretch } from './fold';
export { busyMinutes, cavitiesInHand, RESERVE } from './hands';
export { COMMON, sequenceOf, type SequenceItem } from './sequence';
export {
  COLOUR_STIR_MINUTES,
  scoreOf,
  WEIGHING_MINUTES,
  type Block,
  type DemouldWindow,
  type GateWait,
  type PourWindow,
  type Score,
  type ScoredMix
} from './score';
