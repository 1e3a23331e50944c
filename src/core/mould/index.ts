export { Shape } from './shape';
export { regular } from './closed-shapes';
export { geometryOf, levelAt, profileOf, widestArea } from './geometry';
export type { Geometry } from './slices';
export { polygonArea, type Point } from './polygon';
export { footprintOf, type Footprint } from './footprint';
export { capacityFromWater, waterDensity, type WaterFill } from './water';
export { CavityKind, CONDITIONS, Mould, cavityOf, nearItsEnd, type Cavity } from './mould';
export { Embed, displaced, reachOf, withEmbeds, type SolidEmbed } from './embed';
export {
  EmbedLook,
  isRibbed,
  outlineRadius,
  slabRadius,
  THING_OUTLINES,
  type ThingOutline
} from './embed-look';
export { type Chamber, type Zone } from './fittings';
export { mouldProblems } from './rules';
export { inhibitionCautions, keyProblems, rubberFor, type MouldJob, type RubberNeed } from './making';
export { tracedOutline } from './trace';
export { parsePairs } from './pairs';
export { fitted, widened } from './fit';
export { mayShow } from './draft';
export { hasWall, isOfMould, SHOW_FACES, usualHeading, type ShowFace } from './show-face';
