export { uprighted, type Outline, type Photo, type Placed, type Spot, type Upright } from './upright';
export { areasOf, joinedAreas, partedAreas, withoutColour, type Areas, type SeenColour } from './areas';
export { measureFace, type MeasuredFace, type PlannedColour } from './measured';
export { traitsOf } from './traits';
export { photographed, QUALITIES, type PhotoQuality, type Simulated } from './simulated';
