export { idealDensity, type Basis, type Formula, type FormulaPart } from './formula';
export { Base, formulaOf, MATERIAL_WORDS, type MaterialKind } from './base';
export { ResinBase, resinFormula, bothReadings } from './resin';
export { SAP, lyeFor, superfatOf, type Lye } from './soap';
export { cautionsOf } from './cautions';
export { Colourant, FORMS, type Form } from './colourant';
export { limitOf, CUP_LIMITS } from './limits';
export { compatibilityOf, type Compatibility } from './compatibility';
