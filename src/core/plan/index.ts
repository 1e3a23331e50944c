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
  type LayStep
} from './document';
export {
  computePlan,
  type Computed,
  type ComputedCup,
  type ComputedGroup,
  type ComputedLayer
} from './compute';
export { applyEdit } from './edit';
export { newPlan } from './new';
export { freshId } from './rules';
