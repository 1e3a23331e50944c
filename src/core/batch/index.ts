export { planLetDowns, type PlannedLetDown } from './letdowns';
export {
  PORTION,
  weighOutCup,
  type CupBalance,
  type CupDose,
  type CupOrder,
  type Filler,
  type WeighedCup,
  type Weighing
} from './cup';
export { castFor, turnsFor } from './yield';
export { dealCavities, dealPours, portions, type Allotment } from './turns';
export { placeSurplus, type Spare, type Surplus } from './surplus';
export { learnedCling, type CupLoss } from './losses';
