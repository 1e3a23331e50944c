export { fillGroup, type FilledGroup, type Layer } from './fill';
export { planLetDowns, type PlannedLetDown } from './letdowns';
export { weighOutCup, type CupBalance, type CupOrder, type WeighedCup, type Weighing } from './cup';
