export { Shape } from './shape';
export { geometryOf, levelAt, type Geometry } from './geometry';
export { polygonArea } from './polygon';
export { footprintOf, type Footprint } from './footprint';
export { capacityFromWater, waterDensity, type WaterFill } from './water';
export { CavityKind, Mould, cavityOf, type Cavity } from './mould';
