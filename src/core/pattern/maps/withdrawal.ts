import { KEPT, type Flow, type Spot } from '../spot';
import { angleOfNodes, nodesOf, type Star } from '../shapes/star';

/** What is taken out of a fluid at a place, and the levels before and after. */
export interface Taken {
  at: { x: number; y: number };
  wall: Star;
  /** Outline of what leaves, at every height above what is still. */
  body: Star;
  still: number;
  before: number;
  after: number;
}

/** Some of the fluid leaves at a place, or a post that stood there does: the rest closes over it, and all of it sinks. */
export class Withdrawal implements Flow {
  readonly #t: Taken;
  readonly #left: Star;

  constructor(taken: Taken) {
    this.#t = taken;
    this.#left = taken.wall.less([taken.body, 1]);
  }

  undo(spot: Spot): number {
    const { at, wall, body, still, before, after } = this.#t;
    if (spot.z <= still) return KEPT;
    const dx = spot.x - at.x;
    const dy = spot.y - at.y;
    const u = nodesOf(dx, dy);
    const grown = this.#left.area / wall.area;
    const phi = this.#left.nodesAt(this.#left.meanSwept + grown * (wall.swept(u) - wall.meanSwept));
    const share = Math.min(1, (dx * dx + dy * dy) / wall.at(u));
    const reach = Math.sqrt(body.at(phi) + share * this.#left.at(phi));
    spot.x = at.x + reach * Math.cos(angleOfNodes(phi));
    spot.y = at.y + reach * Math.sin(angleOfNodes(phi));
    spot.z = still + ((spot.z - still) * (before - still)) / (after - still);
    return KEPT;
  }

  redo(spot: Spot): void {
    const { at, wall, body, still, before, after } = this.#t;
    if (spot.z <= still) return;
    const dx = spot.x - at.x;
    const dy = spot.y - at.y;
    const phi = nodesOf(dx, dy);
    const grown = wall.area / this.#left.area;
    const u = wall.nodesAt(wall.meanSwept + grown * (this.#left.swept(phi) - this.#left.meanSwept));
    const share = (dx * dx + dy * dy - body.at(phi)) / this.#left.at(phi);
    const reach = Math.sqrt(Math.max(0, share) * wall.at(u));
    spot.x = at.x + reach * Math.cos(angleOfNodes(u));
    spot.y = at.y + reach * Math.sin(angleOfNodes(u));
    spot.z = still + ((spot.z - still) * (after - still)) / (before - still);
  }

  /** Whether a spot, as it was before, is among what leaves. */
  takes(spot: Spot): boolean {
    const dx = spot.x - this.#t.at.x;
    const dy = spot.y - this.#t.at.y;
    return spot.z > this.#t.still && dx * dx + dy * dy < this.#t.body.at(nodesOf(dx, dy));
  }
}
