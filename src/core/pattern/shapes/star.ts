/** Angles at which a star is tabulated. */
export const NODES = 720;
const TURN = 2 * Math.PI;
const STEP = TURN / NODES;
/** Entries of the table that finds an angle from a swept area. */
const GUESSES = 1024;

/**
 * A closed curve that every ray from a middle crosses once, as its squared radius over the angle, straight between nodes.
 * The area swept up to an angle is then exact (quadratic in each bin), and so is the angle at which an area is swept.
 * @example Star.of(() => 1, 8).area // 8
 */
export class Star {
  /** Squared radius at each node, mm²; the last node is the first. */
  readonly #b: Float64Array;
  /** Area swept from angle 0 up to each node, mm². */
  readonly #s: Float64Array;
  readonly area: number;
  /** Mean of the swept area over all angles: what a turn of the picture is measured by. */
  readonly meanSwept: number;
  #guess: Uint16Array | undefined;

  /** @param squared squared radius at each of `NODES` angles, mm² */
  constructor(squared: ArrayLike<number>) {
    const b = new Float64Array(NODES + 1);
    const s = new Float64Array(NODES + 1);
    for (let i = 0; i <= NODES; i++) b[i] = Math.max(0, squared[i % NODES]!);
    let mean = 0;
    for (let i = 0; i < NODES; i++) {
      s[i + 1] = s[i]! + (STEP * (b[i]! + b[i + 1]!)) / 4;
      // ∫ of the swept area over the bin: it is quadratic there.
      mean += s[i]! + (STEP * (2 * b[i]! + b[i + 1]!)) / 12;
    }
    this.#b = b;
    this.#s = s;
    this.area = s[NODES]!;
    this.meanSwept = mean / NODES;
  }

  /** A star from its radius over the angle, scaled to an exact area where one is given. */
  static of(radius: (angle: number) => number, area?: number): Star {
    const squared = Float64Array.from({ length: NODES }, (_, i) => radius(i * STEP) ** 2);
    const made = new Star(squared);
    return area === undefined ? made : made.times(area / made.area);
  }

  /** Squared radius, mm², so many nodes round from angle 0 (0 to `NODES`): `u` is an angle as `nodesOf` counts it. */
  at(u: number): number {
    const i = u >= NODES ? NODES - 1 : u | 0;
    return this.#b[i]! + (u - i) * (this.#b[i + 1]! - this.#b[i]!);
  }

  /** Area swept from angle 0, mm². */
  swept(u: number): number {
    const i = u >= NODES ? NODES - 1 : u | 0;
    const f = u - i;
    const b0 = this.#b[i]!;
    return this.#s[i]! + 0.5 * STEP * f * (b0 + 0.5 * f * (this.#b[i + 1]! - b0));
  }

  /** The nodes at which so much area is swept: the inverse of `swept`; an area past the whole begins again. */
  nodesAt(area: number): number {
    const rest = area - Math.floor(area / this.area) * this.area;
    const s = this.#s;
    let i = this.#guesses()[Math.min(GUESSES - 1, Math.floor((rest / this.area) * GUESSES))]!;
    while (i < NODES - 1 && s[i + 1]! <= rest) i++;
    const [b0, b1] = [this.#b[i]!, this.#b[i + 1]!];
    const c = (2 * (rest - s[i]!)) / STEP;
    // b0 f + ½ (b1 − b0) f² = c, in the form that keeps its digits where the two are alike.
    const f = c <= 0 ? 0 : (2 * c) / (b0 + Math.sqrt(Math.max(0, b0 * b0 + 2 * (b1 - b0) * c)));
    return i + (f < 1 ? f : 1);
  }

  #guesses(): Uint16Array {
    if (this.#guess) return this.#guess;
    const table = new Uint16Array(GUESSES);
    let i = 0;
    for (let g = 0; g < GUESSES; g++) {
      while (i < NODES - 1 && this.#s[i + 1]! <= (g / GUESSES) * this.area) i++;
      table[g] = i;
    }
    return (this.#guess = table);
  }

  /** The same curve with its area so many times as large. */
  times(factor: number): Star {
    return new Star(this.#b.map((b) => b * factor));
  }

  /** This star's squared radius less so much of others': what lies between curves. */
  less(...others: readonly (readonly [Star, number])[]): Star {
    return new Star(
      this.#b.map((b, i) => others.reduce((rest, [star, share]) => rest - share * star.#b[i]!, b))
    );
  }

  /** The farthest and the nearest the curve is from its middle, mm. */
  get reach(): number {
    return Math.sqrt(this.#b.reduce((a, b) => Math.max(a, b), 0));
  }
  get nearest(): number {
    return Math.sqrt(this.#b.reduce((a, b) => Math.min(a, b), Infinity));
  }
}

/**
 * A direction as nodes of a star, 0 to `NODES`.
 * @example nodesOf(0, 1) // 180
 */
export const nodesOf = (dx: number, dy: number): number => angleOf(dx, dy) / STEP;
/** The angle of so many nodes. */
export const angleOfNodes = (u: number): number => u * STEP;

/** The angle of a direction, 0 to 2π. */
export const angleOf = (dx: number, dy: number): number => {
  const a = Math.atan2(dy, dx);
  return a < 0 ? a + TURN : a;
};
