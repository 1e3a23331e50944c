export { mouldMakingPlan } from './mould-making';
export { applyTechnique, KEEPS, techniquesFor, techniquesIn, type Keep } from './apply-technique';
export { newPlan, actStep, layStep, waitStep } from './new-plan';
export { withNewCup } from './add-cup';
export { freshId } from './fresh-id';
export { sharedEqually, sharersOf } from './share-equally';
export { copiedStep, insertStep, moveStep } from './insert-step';
export { recipeOf } from './matched-recipe';
export {
  coloursOf,
  cupNameOf,
  planToMake,
  potsApart,
  roleOf,
  startingColours,
  type ToMake
} from './plan-to-make';
export { mendInTurn } from './mend-in-turn';
