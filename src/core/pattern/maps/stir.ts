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
    for (let g = guards.length - 3; g >= 0; g -= 3) {
      const dx = spot.x - guards[g]!;
      const dy = spot.y - guards[g + 1]!;
      if (dx * dx + dy * dy >= guards[g + 2]!) continue;
      const first = (g / 3) * GROUP;
      for (let i = Math.min(this.#count, first + GROUP) - 1; i >= first; i--) this.#turn(spot, i, -weight);
    }
    return KEPT;
  }

  redo(spot: Spot): void {
    const weight = this.#weight(spot.z);
    for (let i = 0; weight > 0 && i < this.#count; i++) this.#turn(spot, i, weight);
  }

  #turn(spot: Spot, i: number, weight: number): void {
    const v = this.#v;
    const at = FIELDS * i;
    // What is below the surface is turned about where the tool is at that depth; its height stays, so that volume is kept.
    const down = this.#top - spot.z;
    const x = v[at]! + down * v[at + 4]!;
    const y = v[at + 1]! + down * v[at + 5]!;
    const dx = spot.x - x;
    const dy = spot.y - y;
    const m = 1 - (dx * dx + dy * dy) * v[at + 2]!;
    if (m <= 0) return;
    const t = weight * v[at + 3]! * (1 - (v[at + 6]! * down) / this.#deep) * m * m;
    const n = 1 / (1 + t * t);
    const c = (1 - t * t) * n;
    const s = 2 * t * n;
    spot.x = x + c * dx - s * dy;
    spot.y = y + s * dx + c * dy;
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

/** Rolls one after another: each keeps the area of every upright plane it turns, and so the volume. */
export class Tumble implements Flow {
  readonly #rolls: readonly (Roll & { c: number; s: number })[];

  constructor(rolls: readonly Roll[]) {
    this.#rolls = rolls.map((r) => ({ ...r, c: Math.cos(r.heading), s: Math.sin(r.heading) }));
  }

  undo(spot: Spot): number {
    for (let i = this.#rolls.length - 1; i >= 0; i--) roll(spot, this.#rolls[i]!, -1);
    return KEPT;
  }

  redo(spot: Spot): void {
    for (const r of this.#rolls) roll(spot, r, 1);
  }
}

function roll(spot: Spot, r: Roll & { c: number; s: number }, way: number): void {
  const dx = spot.x - r.x;
  const dy = spot.y - r.y;
  const b = (spot.z - r.z) / r.up;
  const across = (-r.s * dx + r.c * dy) / r.across;
  if (across <= -1 || across >= 1 || b <= -1 || b >= 1) return;
  // In the plane, as shares of its half axes: there the turning is that of a disc.
  const a = (r.c * dx + r.s * dy) / r.along;
  const m = 1 - (a * a + b * b);
  if (m <= 0) return;
  const side = 1 - across * across;
  const t = way * r.turn * m * m * side * side;
  const n = 1 / (1 + t * t);
  const c = (1 - t * t) * n;
  const s = 2 * t * n;
  const moved = (c * a - s * b - a) * r.along;
  spot.x += moved * r.c;
  spot.y += moved * r.s;
  spot.z = r.z + (s * a + c * b) * r.up;
}
