export { parseCount, parseQuantity, type Quantity, type Expectation } from './parse';
export { formatQuantity, decimalsOf, grams, duration, clock, mass, volume } from './format';
export { UNITS, unit, type Kind, type Unit } from './units';
export { plainFractions } from './number';
