export { startsApart, type Start } from './apart';
export { foldedAxis, type FoldedAxis, type Stretch } from './fold-waits';
export { busyMinutes, cavitiesInHand, RESERVE } from './hands';
export { holdId, isJar, isSplitMix, jarId, jarPlace, splitMixId, turnId } from './ids';
export { COLOUR_STIR_MINUTES, scoreOf, WEIGHING_MINUTES } from './play';
export type { Block, DemouldWindow, GateWait, PourWindow, Score, Sitting } from './score';
export { sequenceOf, type SequenceItem } from './sequence';
export { fillWaits } from './fill-waits';
export {
  indexed,
  type Indexed,
  type MixMaterial,
  type TimedMix,
  type TimedPour,
  type TimedStep
} from './timing';
export {
  evenly,
  gainsOf,
  mostPerMix,
  staggered,
  type Gains,
  type MixRow,
  type Stagger,
  type Staggering
} from './stagger';
export { whenWas } from './zero';
