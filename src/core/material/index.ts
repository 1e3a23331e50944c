export { idealDensity, type Basis, type Formula, type FormulaPart } from './formula';
export { ResinBase, RESIN_CAUTIONS, resinFormula, bothReadings } from './resin';
export { Colourant, limitOf, RESIN_CUP_LIMIT } from './colourant';
