export type { ActDefinition, ActStep, ActWords, Draw, Minutes } from './act';
export { ActRegistry } from './registry';
export { acts, lay, wait, type Act, type Lay, type Wait } from './acts';
export { emptyStand, filledMl, pouredOn, type Layer, type Stand } from './stand';
export { amountOf, amountWords, drawnFrom, withAmount } from './drawn';
export { conditionWords } from './gates';
export type { Asked, Field, Fields } from './fields';
export { copiesOf, MOST_POINTS, Path, pathLength, pathWords, Place, placeWords } from './place';
export { ACT_GROUPS, actsNamed } from './named';
