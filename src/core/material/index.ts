export { idealDensity, type Basis, type Formula, type FormulaPart, type MakingStep } from './formula';
export {
  Base,
  behaviourOf,
  cautionsOf,
  compatibilityOf,
  cupLimitOf,
  formulaOf,
  layerState,
  limitOf,
  type MaterialKind
} from './base';
export { materials, type AnyMaterial } from './registry';
export { defineMaterial } from './define';
export type {
  CardField,
  CraftCase,
  CraftFact,
  CraftProblem,
  Joining,
  MaterialDefinition,
  MaterialOptics,
  Outcome,
  Shift
} from './definition';
export type { MaterialTrait } from './traits';
export { commonCard, type CommonCard } from './card';
export { EXOTHERM_LIMIT, RATIO_TOLERANCE, WATER_CEMENT } from './tolerances';
export { bothReadings, ResinCard } from './kinds/resin/card';
export { ConcreteCard, waterCementOf } from './kinds/concrete/card';
export { lyeFor, SAP, SoapCard, superfatOf, type Lye } from './kinds/cold-soap/card';
export { USUAL_BLENDER } from './kinds/cold-soap/paces';
export { PlastisolCard } from './kinds/plastisol/card';
export { RubberCard, rubbersOf } from './kinds/rubber/card';
export { hardShare, REHEAT_LIMIT, shotsFor, type Shots } from './melted';
export { Colourant, FORMS, type Form } from './colourant';
export type { Compatibility } from './compatibility';
