export { startingLibrary } from './library';
export { landed, Lot } from './lot';
export { needsOf, stockOf, type LotLeft, type Need, type Use } from './stock';
export { HEADROOM, Vessel, vesselFor } from './vessel';
