import { KEPT, type Flow, type Spot } from '../spot';
import type { Laid } from './layer';
import { angleOfNodes, NODES, nodesOf, Star } from '../shapes/star';

/** How wide a body is at each height: nothing up to `from`, then widening as the power of the height, whole at the top. */
export interface Profile {
  from: number;
  top: number;
  power: number;
}

/** What is pushed into a fluid round a middle. */
export interface Pushed {
  at: { x: number; y: number };
  /** The wall as seen from that middle. */
  wall: Star;
  /** The body's own area at its top, mm²; where there is a kept middle, that of the ring round it. */
  body: Star;
  profile: Profile;
  /** Below this level nothing moves. */
  still: number;
  matter: Laid;
  /** What stays inside a ring: fluid that the ring is laid round, or a post that stands there and never moves. */
  middle?: { outline: Star; stands: boolean };
}

/**
 * A body of new matter that pushes all it finds outward from a middle: a puddle, a ring, the rings round a post. What it
 * pushes is squeezed between its edge and the wall so that the footprint stays filled; all of it rises. Each height keeps
 * its area and the heights keep their volume, so the map keeps volume exactly for any outline and any profile.
 */
export class Push implements Flow {
  readonly #p: Pushed;
  readonly #outer: Star;
  readonly #fluid: number;
  readonly #under: number;

  constructor(pushed: Pushed) {
    this.#p = pushed;
    const { middle, wall } = pushed;
    this.#outer = middle ? wall.less([middle.outline, 1]) : wall;
    this.#fluid = middle?.stands ? wall.area - middle.outline.area : wall.area;
    // A profile that begins below what is still has no body there.
    const { still } = pushed;
    this.#under = this.#swelling(still, this.#wide(still));
  }

  undo(spot: Spot): number {
    const { at, body, still, matter, middle } = this.#p;
    const { z } = spot;
    if (z <= still) return KEPT;
    const k = this.#wide(z);
    if (k <= 0) return KEPT;
    const dx = spot.x - at.x;
    const dy = spot.y - at.y;
    const r = dx * dx + dy * dy;
    const u = nodesOf(dx, dy);
    const grown = this.#fluid / (this.#fluid - k * body.area);
    const inner = middle ? middle.outline.at(u) / (middle.stands ? 1 : grown) : 0;
    if (r < inner) {
      // The middle stays a middle: it only draws together by what the ring takes.
      if (middle!.stands) return KEPT;
      const scale = Math.sqrt(grown);
      spot.x = at.x + dx * scale;
      spot.y = at.y + dy * scale;
    } else {
      const edge = inner + k * body.at(u);
      if (r < edge) return typeof matter === 'number' ? matter : matter(spot);
      this.#unsqueeze(spot, { r, u, edge, k, grown });
    }
    spot.z = z - (this.#swelling(z, k) - this.#under);
    return KEPT;
  }

  redo(spot: Spot): void {
    const { at, body, still, middle } = this.#p;
    if (spot.z <= still) return;
    const z = this.#higher(spot.z);
    const k = this.#wide(z);
    spot.z = z;
    if (k <= 0) return;
    const [dx, dy] = [spot.x - at.x, spot.y - at.y];
    const r = dx * dx + dy * dy;
    const phi = nodesOf(dx, dy);
    const grown = this.#fluid / (this.#fluid - k * body.area);
    const own = middle ? middle.outline.at(phi) : 0;
    if (r < own) {
      if (middle!.stands) return;
      const scale = 1 / Math.sqrt(grown);
      spot.x = at.x + dx * scale;
      spot.y = at.y + dy * scale;
      return;
    }
    const u = this.#angleAfter(phi, k, grown);
    const edge = (middle ? middle.outline.at(u) / (middle.stands ? 1 : grown) : 0) + k * body.at(u);
    const room = this.#outer.at(phi);
    const share = room > 0 ? (r - own) / room : 0;
    const reach = Math.sqrt(edge + share * (this.#p.wall.at(u) - edge));
    spot.x = at.x + reach * Math.cos(angleOfNodes(u));
    spot.y = at.y + reach * Math.sin(angleOfNodes(u));
  }

  /** From the room left between the body's edge and the wall back to all the room there was. */
  #unsqueeze(spot: Spot, q: { r: number; u: number; edge: number; k: number; grown: number }): void {
    const { at, wall, middle } = this.#p;
    const phi = this.#outer.nodesAt(this.#sweptBefore(q.u, q.k, q.grown));
    const room = wall.at(q.u) - q.edge;
    const share = room > 0 ? Math.min(1, (q.r - q.edge) / room) : 1;
    const inner = middle ? middle.outline.at(phi) : 0;
    const reach = Math.sqrt(inner + share * this.#outer.at(phi));
    const angle = angleOfNodes(phi);
    spot.x = at.x + reach * Math.cos(angle);
    spot.y = at.y + reach * Math.sin(angle);
  }

  /** The area swept before, of what lies outside the body, for a direction after; turned so that on the mean nothing turns. */
  #sweptBefore(u: number, k: number, grown: number): number {
    const { wall, body, middle } = this.#p;
    const kept = middle ? 1 / (middle.stands ? 1 : grown) : 0;
    const swept = wall.swept(u) - k * body.swept(u) - (middle ? kept * middle.outline.swept(u) : 0);
    const mean = wall.meanSwept - k * body.meanSwept - (middle ? kept * middle.outline.meanSwept : 0);
    return this.#outer.meanSwept + grown * (swept - mean);
  }

  /** The direction after, for one before: by halving, since it has no table of its own. */
  #angleAfter(phi: number, k: number, grown: number): number {
    const wanted = this.#outer.swept(phi);
    const { area } = this.#outer;
    const off = (u: number) => {
      const turns = Math.floor(u / NODES);
      return this.#sweptBefore(u - turns * NODES, k, grown) + turns * area - wanted;
    };
    let [low, high] = [phi - NODES / 2, phi + NODES / 2];
    for (let i = 0; i < 70; i++) {
      const mid = (low + high) / 2;
      if (off(mid) > 0) high = mid;
      else low = mid;
    }
    const u = (low + high) / 2;
    return u - Math.floor(u / NODES) * NODES;
  }

  /** How much of its top area the body takes at a height, 0..1. */
  #wide(z: number): number {
    const { from, top, power } = this.#p.profile;
    if (z <= from) return 0;
    if (power === 0) return 1;
    const share = (z - from) / (top - from);
    if (share >= 1) return 1;
    return power === 0.5 ? Math.sqrt(share) : share ** power;
  }

  /** How much the body lifts what is at a height, as if it began at the foot of its profile, mm. */
  #swelling(z: number, wide: number): number {
    const { from, power } = this.#p.profile;
    return (this.#p.body.area / this.#fluid / (power + 1)) * Math.max(0, z - from) * wide;
  }

  #lower(z: number): number {
    return z - (this.#swelling(z, this.#wide(z)) - this.#under);
  }

  #higher(z: number): number {
    const { top, from } = this.#p.profile;
    let [low, high] = [z, Math.max(z, top) + (top - from)];
    for (let i = 0; i < 70; i++) {
      const mid = (low + high) / 2;
      if (this.#lower(mid) > z) high = mid;
      else low = mid;
    }
    return (low + high) / 2;
  }
}

/**
 * How a body of a volume stands in a fluid from `still` to the level it leaves: dug in from the ground up, or riding as a
 * bowl in the upper part of it. The area is what that volume needs; undefined where it would leave no room beside itself.
 *
 * @param room mm² that it may take at most
 */
export function stood(
  volume: number,
  fluid: { still: number; top: number; room: number },
  how: { from: 'low' | 'high'; deep?: number; power?: number }
): { profile: Profile; area: number } | undefined {
  const { still, top, room } = fluid;
  const height = top - still;
  if (!(height > 0)) return undefined;
  const upright = { profile: { from: still, top, power: 0 }, area: volume / height };
  if (how.from === 'low') {
    const { deep = 0.62, power = 0.5 } = how;
    // As shallow a bowl as was asked; deeper, then steeper, where that would be wider than there is room for.
    for (const [share, p] of [
      [deep, power],
      [Math.max(deep, 0.85), power],
      [Math.max(deep, 1), power],
      [Math.max(deep, 1), power / 2],
      [Math.max(deep, 1), 0.1]
    ] as const) {
      const from = top - share * height;
      // A foot below the ground is not there: the body is cut off by it.
      const cut = Math.max(0, (still - from) / (top - from)) ** (p + 1);
      const area = (volume * (p + 1)) / ((top - from) * (1 - cut));
      if (area <= 0.8 * room) return { profile: { from, top, power: p }, area };
    }
  }
  return upright.area <= 0.96 * room ? upright : undefined;
}
