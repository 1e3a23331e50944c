import { between, type Chance } from '../seeded';
import { Star, angleOfNodes, NODES } from './star';

/** Of the way to the wall that a body may come at most. */
const NEAR_WALL = 0.97;

/** How uneven an outline is: waves round it, and by how much of the radius. */
export interface Uneven {
  waves: number;
  much: number;
}

/**
 * The outline of a poured body of exactly so much area: nearly round, uneven as a pour is, and flattened where it comes
 * near the wall. @param area mm², less than what the wall encloses
 */
export function bodyWithin(wall: Star, area: number, chance: Chance, { waves, much }: Uneven): Star {
  const swings = Array.from({ length: waves }, (_, i) => ({
    k: i + 2,
    amp: (between(chance, 0.3, 1) * much) / Math.sqrt(i + 1),
    phase: chance() * 2 * Math.PI
  }));
  const shape = (a: number) => swings.reduce((r, s) => r * (1 + s.amp * Math.cos(s.k * a + s.phase)), 1);
  return fittedStar(wall, area, shape);
}

/** An outline of a shape (radius over the angle, any scale), softly kept inside the wall, of exactly so much area. */
export function fittedStar(wall: Star, area: number, shape: (angle: number) => number): Star {
  const unit = Float64Array.from({ length: NODES }, (_, i) => shape(angleOfNodes(i)));
  const most = Float64Array.from({ length: NODES }, (_, i) => NEAR_WALL * Math.sqrt(wall.at(i)));
  const squaredAt = (scale: number) => unit.map((r, i) => 1 / Math.sqrt((scale * r) ** -4 + most[i]! ** -4));
  let [low, high] = [0, 60 * Math.sqrt(area)];
  for (let i = 0; i < 60; i++) {
    const mid = (low + high) / 2;
    if (areaOf(squaredAt(mid)) > area) high = mid;
    else low = mid;
  }
  const star = new Star(squaredAt((low + high) / 2));
  return star.times(area / star.area);
}

const areaOf = (squared: Float64Array) => (squared.reduce((s, b) => s + b, 0) * Math.PI) / squared.length;
