import { KEPT, type Flow, type Spot } from '../spot';
import type { Laid } from './layer';
import { nodesOf, type Star } from '../shapes/star';
import { Aside, type Middle } from './aside';

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
  middle?: Middle;
}

/**
 * A body of new matter that pushes all it finds outward from a middle: a puddle, a ring, the rings round a post. What it
 * pushes is squeezed between its edge and the wall so that the footprint stays filled; all of it rises. Each height keeps
 * its area and the heights keep their volume, so the map keeps volume exactly for any outline and any profile.
 */
export class Push implements Flow {
  readonly #p: Pushed;
  readonly #aside: Aside;
  readonly #under: number;

  constructor(pushed: Pushed) {
    this.#p = pushed;
    const { at, wall, body, middle, still } = pushed;
    this.#aside = new Aside(at, wall, body, middle);
    // A profile that begins below what is still has no body there.
    this.#under = this.#swelling(still, this.#wide(still));
  }

  undo(spot: Spot): number {
    const { still, matter, middle } = this.#p;
    const { z } = spot;
    if (z <= still) return KEPT;
    const k = this.#wide(z);
    if (k <= 0) return KEPT;
    if (middle?.stands && this.#stands(spot, middle.outline)) return KEPT;
    if (this.#aside.undo(spot, k)) return typeof matter === 'number' ? matter : matter(spot);
    spot.z = z - (this.#swelling(z, k) - this.#under);
    return KEPT;
  }

  redo(spot: Spot): void {
    const { still, middle } = this.#p;
    if (spot.z <= still) return;
    const z = this.#higher(spot.z);
    const k = this.#wide(z);
    spot.z = z;
    if (k > 0 && !(middle?.stands && this.#stands(spot, middle.outline))) this.#aside.redo(spot, k);
  }

  /** Whether a place is in a post, which never moves. */
  #stands({ x, y }: Spot, outline: Star): boolean {
    const [dx, dy] = [x - this.#p.at.x, y - this.#p.at.y];
    return dx * dx + dy * dy < outline.at(nodesOf(dx, dy));
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
    return (this.#p.body.area / this.#aside.fluid / (power + 1)) * Math.max(0, z - from) * wide;
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
