export { counted, intoEach, numbersIn } from './counted';
export { parseCount, parseQuantity, type Quantity, type Expectation } from './parse';
export { formatQuantity, about, duration, holdsFor, clock } from './format';
export { decimalsOf, displayOf, reading, readingBeside, weighing } from './reading';
export { UNITS, unit, type Kind, type Unit } from './units';
export { plainFractions } from './number';
export { numberedWords, parseNumbered } from './numbered';
export { median } from './median';
export {
  decimalsIn,
  metricWords,
  partsOf,
  figure,
  joined,
  written,
  type Message,
  type MessageQuantity,
  type MessageUnit
} from '../message';
