export { startingLibrary } from './library';
export { landed, Lot } from './lot';
export {
  entriesOf,
  needsOf,
  paceOf,
  stockOf,
  type Entry,
  type LotLeft,
  type Need,
  type Pace,
  type Use
} from './stock';
export { HEADROOM, Vessel, vesselFor } from './vessel';
