export { planLetDowns, type PlannedLetDown } from './letdowns';
export {
  weighOutCup,
  type CupBalance,
  type CupDose,
  type CupOrder,
  type Filler,
  type WeighedCup
} from './cup';
export { PORTION, type Weighing } from './weighing';
export { heldParts, offFormula, type HeldPart } from './held';
export { castFor, poursNeeded } from './yield';
export { dealCavities, dealPours, portions, type Allotment } from './turns';
export { placeSurplus, type Spare, type Surplus } from './surplus';
export { learnedCling, type CupLoss } from './losses';
export { chipsByVolume, MOST_CHIPS, mostChips } from './chips';
