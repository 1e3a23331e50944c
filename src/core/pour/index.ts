export type { SetIn } from './flowing';
export type { ActDefinition, ActStep, ActWords, AnyDefinition, Draw, Minutes, Trait } from './act';
export { ActRegistry } from './registry';
export { acts, lay, wait, type Act, type Lay, type Wait } from './acts';
export { emptyCavity, filledMl, pouredOn, type CavityLayer, type CavityState } from './cavity-state';
export { amountOf, amountWords, drawnFrom, withAmount } from './drawn';
export { conditionWords } from './gates';
export { stepWords } from './words';
export { wayOf, type Way } from './way';
export { CIRCLE, type FieldKind, type Field, type Fields } from './fields';
export { pathCopies, MOST_POINTS, Path, pathLength, pathWords, Place, placeWords } from './place';
export { ACT_GROUPS, actsNamed, afterPourFrom, isAfter, shapesThePiece } from './named';
export {
  materialsFor,
  conditionOf,
  LOOKS,
  TECHNIQUES,
  type Look,
  type Draft,
  type Setting,
  type Technique
} from './techniques';
