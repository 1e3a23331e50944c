export type { ActDefinition, ActStep, ActWords, Draw, Minutes } from './act';
export { ActRegistry } from './registry';
export { acts, lay, Lay, wait, Wait, type Act } from './acts';
export { emptyStand, filledMl, pouredOn, type Layer, type Stand } from './stand';
export { amountOf, amountWords, drawnFrom, withAmount } from './drawn';
export { conditionWords } from './gates';
