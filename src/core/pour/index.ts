export type { ActDefinition, ActStep, ActWords, Draw, Minutes, Trait } from './act';
export { ActRegistry } from './registry';
export { acts, lay, wait, type Act, type Lay, type Wait } from './acts';
export { emptyStand, filledMl, pouredOn, type Layer, type Stand } from './stand';
export { amountOf, amountWords, drawnFrom, withAmount } from './drawn';
export { conditionWords } from './gates';
export { CIRCLE, type Asked, type Field, type Fields } from './fields';
export { copiesOf, MOST_POINTS, Path, pathLength, pathWords, Place, placeWords } from './place';
export { ACT_GROUPS, actsNamed } from './named';
export {
  materialsFor,
  conditionOf,
  TECHNIQUES,
  type Draft,
  type Setting,
  type Technique
} from './techniques';
