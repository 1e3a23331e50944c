import { KEPT, type Flow, type Spot } from '../spot';
import { angleOf, angleOfNodes, NODES, nodesOf, Star } from '../shapes/star';

/** One drop: where, its share of the plane (squared radius, mm²), and what it is made of; a number, or told by the place in it. */
export interface Drop {
  x: number;
  y: number;
  squared: number;
  matter: number | ((inside: Inside) => number);
}

/** A place in a drop: share of its area inward from its rim, angle, and share of its height. */
export interface Inside {
  inward: number;
  angle: number;
  up: number;
}

export interface Dropped {
  /** What the squeeze is done about, and the wall as seen from it. */
  at: { x: number; y: number };
  wall: Star;
  /** In the order they fall. */
  drops: readonly Drop[];
  still: number;
  before: number;
  after: number;
}

/** Drops of one batch may widen the footprint by so much before it is squeezed back. */
export const GROWTH = 0.12;

/**
 * Drops that fall one after another: each pushes all there is away from itself as on a free plane, and then the bulged
 * plane is squeezed back between the walls, sector by sector. Exact in area for any number and any order.
 */
export class Drops implements Flow {
  readonly #d: Dropped;
  readonly #bulged: Star;

  constructor(dropped: Dropped) {
    this.#d = dropped;
    this.#bulged = bulgedBy(dropped);
  }

  undo(spot: Spot): number {
    const { at, wall, drops, still, before, after } = this.#d;
    if (spot.z <= still) return KEPT;
    const bulged = this.#bulged;
    const dx = spot.x - at.x;
    const dy = spot.y - at.y;
    const u = nodesOf(dx, dy);
    const grown = bulged.area / wall.area;
    const phi = bulged.nodesAt(bulged.meanSwept + grown * (wall.swept(u) - wall.meanSwept));
    const reach = Math.sqrt(((dx * dx + dy * dy) / wall.at(u)) * bulged.at(phi));
    const angle = angleOfNodes(phi);
    let x = at.x + reach * Math.cos(angle);
    let y = at.y + reach * Math.sin(angle);
    for (let i = drops.length - 1; i >= 0; i--) {
      const drop = drops[i]!;
      const ex = x - drop.x;
      const ey = y - drop.y;
      const r = ex * ex + ey * ey;
      if (r < drop.squared) {
        if (typeof drop.matter === 'number') return drop.matter;
        const up = (spot.z - still) / (after - still);
        return drop.matter({ inward: 1 - r / drop.squared, angle: angleOf(ex, ey), up });
      }
      const pull = Math.sqrt(1 - drop.squared / r);
      x = drop.x + ex * pull;
      y = drop.y + ey * pull;
    }
    spot.x = x;
    spot.y = y;
    spot.z = still + ((spot.z - still) * (before - still)) / (after - still);
    return KEPT;
  }

  redo(spot: Spot): void {
    const { at, wall, drops, still, before, after } = this.#d;
    if (spot.z <= still) return;
    const [x, y] = pushedBy(drops, spot.x, spot.y);
    const bulged = this.#bulged;
    const dx = x - at.x;
    const dy = y - at.y;
    const phi = nodesOf(dx, dy);
    const grown = wall.area / bulged.area;
    const u = wall.nodesAt(wall.meanSwept + grown * (bulged.swept(phi) - bulged.meanSwept));
    const reach = Math.sqrt(((dx * dx + dy * dy) / bulged.at(phi)) * wall.at(u));
    spot.x = at.x + reach * Math.cos(angleOfNodes(u));
    spot.y = at.y + reach * Math.sin(angleOfNodes(u));
    spot.z = still + ((spot.z - still) * (after - still)) / (before - still);
  }
}

/** Where a point is once all drops have pushed it, in order. */
function pushedBy(drops: readonly Drop[], x: number, y: number): [number, number] {
  for (const drop of drops) {
    const ex = x - drop.x;
    const ey = y - drop.y;
    const r = ex * ex + ey * ey || 1e-12;
    const push = Math.sqrt(1 + drop.squared / r);
    x = drop.x + ex * push;
    y = drop.y + ey * push;
  }
  return [x, y];
}

/** The wall as the drops bulge it, from many points of it pushed forward; scaled so that its area is exact. */
function bulgedBy({ at, wall, drops }: Dropped): Star {
  const points = Array.from({ length: NODES * 4 }, (_, i) => {
    const angle = angleOfNodes(i / 4);
    const reach = Math.sqrt(wall.at(i / 4));
    const [x, y] = pushedBy(drops, at.x + reach * Math.cos(angle), at.y + reach * Math.sin(angle));
    return { u: nodesOf(x - at.x, y - at.y), squared: (x - at.x) ** 2 + (y - at.y) ** 2 };
  }).sort((p, q) => p.u - q.u);
  const squared = new Float64Array(NODES);
  let next = 0;
  for (let n = 0; n < NODES; n++) {
    while (next < points.length && points[next]!.u < n) next++;
    const [a, b] = [points.at(next - 1)!, points[next % points.length]!];
    const span = (b.u - a.u + NODES) % NODES || 1;
    squared[n] = a.squared + ((b.squared - a.squared) * ((((n - a.u) % NODES) + NODES) % NODES)) / span;
  }
  const area = wall.area + drops.reduce((s, d) => s + Math.PI * d.squared, 0);
  const star = new Star(squared);
  return star.times(area / star.area);
}
