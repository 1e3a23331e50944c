import { KEPT, type Flow, type Spot } from '../spot';

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

const GROUP = 8;
const FIELDS = 7;

/**
 * Many small turnings one after another: a stroke, a wobble. Each is a rotation whose angle depends on the distance alone,
 * so it keeps area exactly, and undoing it is turning the other way by as much. Discs stand inside the wall: nothing leaves.
 */
export class Stir implements Flow {
  /** Per vortex: middle, 1/radius², turn; how it leans, and how much of its turn is lost on the way to the ground. */
  readonly #v: Float64Array;
  readonly #count: number;
  /** For every few vortices a circle round all of their discs: outside it none of them turns anything. */
  readonly #guards: Float64Array;
  /** A circle round all of them. */
  readonly #whole: { x: number; y: number; squared: number };
  readonly #reach: Reach | undefined;
  readonly #still: number;
  readonly #top: number;
  readonly #deep: number;

  /** @param top the surface, mm, where nothing leans yet */
  constructor(vortices: readonly Vortex[], still: number, reach?: Reach, top = still) {
    this.#count = vortices.length;
    this.#v = new Float64Array(vortices.length * FIELDS);
    vortices.forEach((v, i) => {
      const { x, y, left } = v.lean ?? { x: 0, y: 0, left: 1 };
      this.#v.set([v.x, v.y, 1 / v.radius ** 2, v.turn, x, y, 1 - left], i * FIELDS);
    });
    this.#deep = Math.max(1e-9, top - still);
    const leant = vortices.map((v) => withLean(v, this.#deep));
    this.#guards = guardsOf(leant);
    this.#whole = wholeOf(leant);
    this.#reach = reach;
    this.#still = still;
    this.#top = top;
  }

  undo(spot: Spot): number {
    const weight = this.#weight(spot.z);
    if (weight <= 0) return KEPT;
    const guards = this.#guards;
    const whole = this.#whole;
    const ox = spot.x - whole.x;
    const oy = spot.y - whole.y;
    if (ox * ox + oy * oy >= whole.squared) return KEPT;
    // The place is carried in two numbers from group to group: this is done for every pixel of every picture.
    let { x, y } = spot;
    for (let g = guards.length - 3; g >= 0; g -= 3) {
      const dx = x - guards[g]!;
      const dy = y - guards[g + 1]!;
      if (dx * dx + dy * dy >= guards[g + 2]!) continue;
      spot.x = x;
      spot.y = y;
      const first = (g / 3) * GROUP;
      this.#turn(spot, Math.min(this.#count, first + GROUP) - 1, first, -weight);
      x = spot.x;
      y = spot.y;
    }
    spot.x = x;
    spot.y = y;
    return KEPT;
  }

  redo(spot: Spot): void {
    const weight = this.#weight(spot.z);
    if (weight > 0) this.#turn(spot, 0, this.#count - 1, weight);
  }

  /** Turns a place by vortices from one to another, in that order. */
  #turn(spot: Spot, from: number, to: number, weight: number): void {
    const v = this.#v;
    // What is below the surface is turned about where the tool is at that depth; its height stays, so that volume is kept.
    const down = this.#top - spot.z;
    const lost = down / this.#deep;
    const step = to < from ? -FIELDS : FIELDS;
    const end = FIELDS * to + step;
    let { x, y } = spot;
    for (let at = FIELDS * from; at !== end; at += step) {
      const mx = v[at]! + down * v[at + 4]!;
      const my = v[at + 1]! + down * v[at + 5]!;
      const dx = x - mx;
      const dy = y - my;
      const m = 1 - (dx * dx + dy * dy) * v[at + 2]!;
      if (m <= 0) continue;
      const t = weight * v[at + 3]! * (1 - v[at + 6]! * lost) * m * m;
      const n = 1 / (1 + t * t);
      const c = (1 - t * t) * n;
      const s = 2 * t * n;
      x = mx + c * dx - s * dy;
      y = my + s * dx + c * dy;
    }
    spot.x = x;
    spot.y = y;
  }

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

function guardsOf(vortices: readonly Vortex[]): Float64Array {
  const groups = Array.from({ length: Math.ceil(vortices.length / GROUP) }, (_, g) => {
    const { x, y, squared } = wholeOf(vortices.slice(g * GROUP, (g + 1) * GROUP));
    return [x, y, squared];
  });
  return Float64Array.from(groups.flat());
}

/** A circle round the discs of vortices: about the mean of their middles. */
function wholeOf(vortices: readonly Vortex[]): { x: number; y: number; squared: number } {
  const x = vortices.reduce((s, v) => s + v.x, 0) / vortices.length;
  const y = vortices.reduce((s, v) => s + v.y, 0) / vortices.length;
  const reach = Math.max(...vortices.map((v) => Math.hypot(v.x - x, v.y - y) + v.radius));
  return { x, y, squared: reach * reach };
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
  }

  undo(spot: Spot): number {
    for (let at = this.#rolls.length - ROLL_FIELDS; at >= 0; at -= ROLL_FIELDS) this.#roll(spot, at, -1);
    return KEPT;
  }

  redo(spot: Spot): void {
    for (let at = 0; at < this.#rolls.length; at += ROLL_FIELDS) this.#roll(spot, at, 1);
  }

  #roll(spot: Spot, at: number, way: number): void {
    const r = this.#rolls;
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
  }
}
