export { fillGroup, type FilledGroup, type Layer } from './fill';
export { weighOutCup, type CupBalance, type CupOrder, type WeighedCup, type Weighing } from './cup';
