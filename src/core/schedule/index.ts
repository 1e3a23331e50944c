export { scoreOf, type Score, type Block, type PourWindow, type GateWait, type DemouldWindow } from './score';
export { foldedAxis, type FoldedAxis, type Stretch } from './fold';
