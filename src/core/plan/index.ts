export { Amount, parseAmount, formatAmount } from './amount';
export {
  HATCHES,
  Plan,
  PlanFile,
  Shelf,
  shelfOf,
  type Cup,
  type Step,
  type Group,
  type GateStep,
  type LayStep,
  type Past
} from './document';
export { computePlan, commonId, type Computed, type ComputedCup } from './compute';
export type { CommonMix, CupMix } from './cups';
export type { ComputedGroup, ComputedLayer } from './piece';
export { applyEdit } from './edit';
export { newPlan } from './new';
export { mouldMakingPlan } from './mould-making';
export { freshId } from './fresh-id';
export { topUpCup } from './shortfall';
