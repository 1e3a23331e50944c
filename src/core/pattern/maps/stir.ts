import { KEPT, type Flow, type Spot } from '../spot';
import { NearBy } from './near-by';

/** A turning of all that lies in a disc about its middle: the angle is 2 atan(turn · (1 − r²/R²)²), nothing at the rim. */
export interface Vortex {
  x: number;
  y: number;
  radius: number;
  turn: number;
  /** How a tool goes down: its middle moves so far aside, mm a mm of depth, and at the ground so much of its turn is left, 0..1. */
  lean?: { x: number; y: number; left: number };
}

/** Which heights a stirring reaches: whole at the top, fading to nothing at `from`; all of them where it is absent. */
export interface Reach {
  from: number;
  top: number;
}

const FIELDS = 7;

/**
 * Many small turnings one after another: a stroke, a wobble. Each is a rotation whose angle depends on the distance alone,
 * so it keeps area exactly, and undoing it is turning the other way by as much. Discs stand inside the wall: nothing leaves.
 */
export class Stir implements Flow {
  /** Per vortex: middle, 1/radius², turn; how it leans, and how much of its turn is lost on the way to the ground. */
  readonly #v: Float64Array;
  readonly #near: NearBy;
  readonly #reach: Reach | undefined;
  readonly #still: number;
  readonly #top: number;
  readonly #deep: number;

  /** @param top the surface, mm, where nothing leans yet */
  constructor(vortices: readonly Vortex[], still: number, reach?: Reach, top = still) {
    this.#v = new Float64Array(vortices.length * FIELDS);
    vortices.forEach((v, i) => {
      const { x, y, left } = v.lean ?? { x: 0, y: 0, left: 1 };
      this.#v.set([v.x, v.y, 1 / v.radius ** 2, v.turn, x, y, 1 - left], i * FIELDS);
    });
    this.#deep = Math.max(1e-9, top - still);
    this.#reach = reach;
    this.#still = still;
    this.#top = top;
    this.#near = new NearBy(vortices.map((v) => withLean(v, this.#deep)));
  }

  undo(spot: Spot): number {
    const weight = this.#weight(spot.z);
    if (weight > 0) this.#near.backThrough(spot, this.#turn, -weight);
    return KEPT;
  }

  redo(spot: Spot): void {
    const weight = this.#weight(spot.z);
    if (weight > 0) this.#near.through(spot, this.#turn, weight);
  }

  /** Turns a place by one vortex. */
  readonly #turn = (vortex: number, spot: Spot, weight: number): void => {
    const v = this.#v;
    const at = vortex * FIELDS;
    // What is below the surface is turned about where the tool is at that depth; its height stays, so that volume is kept.
    const down = this.#top - spot.z;
    const mx = v[at]! + down * v[at + 4]!;
    const my = v[at + 1]! + down * v[at + 5]!;
    const dx = spot.x - mx;
    const dy = spot.y - my;
    const m = 1 - (dx * dx + dy * dy) * v[at + 2]!;
    if (m <= 0) return;
    const lost = down / this.#deep;
    const t = weight * v[at + 3]! * (1 - v[at + 6]! * lost) * m * m;
    const n = 1 / (1 + t * t);
    const c = (1 - t * t) * n;
    const s = 2 * t * n;
    spot.x = mx + c * dx - s * dy;
    spot.y = my + s * dx + c * dy;
  };

  #weight(z: number): number {
    if (z <= this.#still) return 0;
    if (!this.#reach) return 1;
    const t = Math.min(1, Math.max(0, (z - this.#reach.from) / (this.#reach.top - this.#reach.from)));
    return t * t * (3 - 2 * t);
  }
}

/** A vortex as wide as all the places its middle takes on its way down. */
function withLean(v: Vortex, deep: number): Vortex {
  if (!v.lean) return v;
  const [x, y] = [(v.lean.x * deep) / 2, (v.lean.y * deep) / 2];
  return { ...v, x: v.x + x, y: v.y + y, radius: v.radius + Math.hypot(x, y) };
}

/** A turning in an upright plane: what lies below comes up on one side and goes down on the other. */
export interface Roll {
  x: number;
  y: number;
  z: number;
  /** Direction of the plane, radians, and the half axes along it, up, and across it, mm. */
  heading: number;
  along: number;
  up: number;
  across: number;
  turn: number;
}

/** Per roll: its middle, its direction, 1 over its half axes along, up and across, its half axes along and up, and its turn. */
const ROLL_FIELDS = 11;

/** Rolls one after another: each keeps the area of every upright plane it turns, and so the volume. */
export class Tumble implements Flow {
  readonly #rolls: Float64Array;
  readonly #near: NearBy;

  constructor(rolls: readonly Roll[]) {
    this.#rolls = Float64Array.from(
      rolls.flatMap((r) => [
        r.x,
        r.y,
        r.z,
        Math.cos(r.heading),
        Math.sin(r.heading),
        1 / r.along,
        1 / r.up,
        1 / r.across,
        r.along,
        r.up,
        r.turn
      ])
    );
    this.#near = new NearBy(
      rolls.map(({ x, y, along, across }) => ({ x, y, radius: Math.hypot(along, across) }))
    );
  }

  undo(spot: Spot): number {
    this.#near.backThrough(spot, this.#roll, -1);
    return KEPT;
  }

  redo(spot: Spot): void {
    this.#near.through(spot, this.#roll, 1);
  }

  readonly #roll = (roll: number, spot: Spot, way: number): void => {
    const r = this.#rolls;
    const at = roll * ROLL_FIELDS;
    const b = (spot.z - r[at + 2]!) * r[at + 6]!;
    if (b <= -1 || b >= 1) return;
    const dx = spot.x - r[at]!;
    const dy = spot.y - r[at + 1]!;
    const [cos, sin] = [r[at + 3]!, r[at + 4]!];
    const across = (cos * dy - sin * dx) * r[at + 7]!;
    if (across <= -1 || across >= 1) return;
    // In the plane, as shares of its half axes: there the turning is that of a disc.
    const a = (cos * dx + sin * dy) * r[at + 5]!;
    const m = 1 - (a * a + b * b);
    if (m <= 0) return;
    const side = 1 - across * across;
    const t = way * r[at + 10]! * m * m * side * side;
    const n = 1 / (1 + t * t);
    const c = (1 - t * t) * n;
    const s = 2 * t * n;
    const moved = (c * a - s * b - a) * r[at + 8]!;
    spot.x += moved * cos;
    spot.y += moved * sin;
    spot.z = r[at + 2]! + (s * a + c * b) * r[at + 9]!;
  };
}
