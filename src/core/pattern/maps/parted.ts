import type { Chart } from '../shapes/section';
import type { Star } from '../shapes/star';
import { KEPT, type Flow, type Spot } from '../spot';
import { Aside } from './aside';

/** How a solid takes room over its height: its share of its largest section at a level, and that summed from its foot, mm. */
export interface Upright {
  wide(z: number): number;
  summed(z: number): number;
}

/** What of a footprint a solid takes, and how high it stands. */
export interface Standing {
  /** Its largest section, mm². */
  area: number;
  upright: Upright;
}

/** A solid that fluid lies round. */
export interface Solid extends Standing {
  /**
   * Its middle, the wall as seen from there and its largest section about it; in the chart where the footprint has one for it. A
   * solid without it only lifts what is above its foot: one of so many that each is a speck.
   */
  round?: { at: { x: number; y: number }; wall: Star; body: Star; chart?: Chart | undefined };
}

/** Of the footprint, what solids may take at a level: what is left must hold a fluid. */
const MOST = 0.97;

/** How much higher what is at a level stands for all that stands below it, mm. */
export const risenAt = (z: number, standing: readonly Standing[], footprint: number): number =>
  standing.reduce((sum, { area, upright }) => sum + area * upright.summed(z), 0) / footprint;

/** The level at which fluid of a level stands once all that stands there is set in: by halving, since it has no table of its own. */
export function levelWith(fluid: number, standing: readonly Standing[], footprint: number): number {
  let [low, high] = [fluid, fluid + risenAt(Infinity, standing, footprint)];
  for (let i = 0; i < 60; i++) {
    const mid = (low + high) / 2;
    if (mid - risenAt(mid, standing, footprint) > fluid) high = mid;
    else low = mid;
  }
  return (low + high) / 2;
}

/**
 * What is set in takes room: at each level the fluid lies round all of it, and stands as much higher as it takes. Undone, it is the
 * fluid as if nothing were set in, so that every share holds: exactly for one solid, and to what its neighbours bend for several.
 */
export class Parted implements Flow {
  readonly #all: readonly { solid: Solid; chart?: Chart | undefined; aside: Aside | undefined }[];

  /** @param solids the middles of those before are where they are once those after are taken out */
  constructor(
    private readonly solids: readonly Solid[],
    private readonly footprint: number
  ) {
    this.#all = solids.map((solid) => ({
      solid,
      chart: solid.round?.chart,
      aside: solid.round && new Aside(solid.round.at, solid.round.wall, solid.round.body)
    }));
  }

  undo(spot: Spot): number {
    const { z } = spot;
    let taken = 0;
    for (let i = this.#all.length - 1; i >= 0; i--) {
      const { solid, chart, aside } = this.#all[i]!;
      const k = solid.upright.wide(z);
      if (k <= 0) continue;
      const own = this.#share(k, solid.area, taken);
      if (aside) within(chart, spot, () => void aside.undo(spot, own));
      taken += k * solid.area;
    }
    spot.z = z - risenAt(z, this.solids, this.footprint);
    return KEPT;
  }

  redo(spot: Spot): void {
    const z = levelWith(spot.z, this.solids, this.footprint);
    spot.z = z;
    let taken = this.#all.reduce((s, { solid }) => s + solid.upright.wide(z) * solid.area, 0);
    for (const { solid, chart, aside } of this.#all) {
      const k = solid.upright.wide(z);
      if (k <= 0) continue;
      taken -= k * solid.area;
      const own = this.#share(k, solid.area, taken);
      if (aside) within(chart, spot, () => aside.redo(spot, own));
    }
  }

  /** The share of its largest section that a solid takes where those taken out before it left their room to all alike. */
  #share(k: number, area: number, taken: number): number {
    const { footprint } = this;
    return Math.min((k * footprint) / Math.max(1e-9, footprint - taken), (MOST * footprint) / area);
  }
}

/** Moves a spot in a chart of the footprint, and puts it back. */
function within(chart: Chart | undefined, spot: Spot, move: () => void): void {
  if (!chart) return move();
  [spot.x, spot.y] = chart.to(spot.x, spot.y);
  move();
  [spot.x, spot.y] = chart.from(spot.x, spot.y);
}

/** An ellipsoid that stands upright about a height, mm: at z = middle ± tall it has no width. */
export function ellipsoid(middle: number, tall: number): Upright {
  const at = (z: number) => Math.max(-1, Math.min(1, (z - middle) / tall));
  return {
    wide: (z) => Math.max(0, 1 - ((z - middle) / tall) ** 2),
    // ∫ of 1 − u² from the foot.
    summed: (z) => tall * (at(z) - at(z) ** 3 / 3 + 2 / 3)
  };
}

/**
 * A straight body from one height to another, mm.
 * @example straight(1, 5).summed(3) // 2
 */
export const straight = (low: number, high: number): Upright => ({
  wide: (z) => (z >= low && z < high ? 1 : 0),
  summed: (z) => Math.max(0, Math.min(high, z) - low)
});

/** The same body, standing so much higher, mm. */
export const raised = ({ wide, summed }: Upright, by: number): Upright => ({
  wide: (z) => wide(z - by),
  summed: (z) => summed(z - by)
});

/**
 * A body whose width changes over its height: shares of its largest section at heights that are equally far apart, from its foot up.
 * @example tabled([1, 0], 4).summed(4) // 2
 */
export function tabled(shares: readonly number[], high: number): Upright {
  const step = high / (shares.length - 1);
  const sums = shares.reduce<number[]>(
    (all, share, i) => [...all, i ? all[i - 1]! + (step * (shares[i - 1]! + share)) / 2 : 0],
    []
  );
  const wide = (z: number) => {
    if (z < 0 || z >= high) return 0;
    const i = Math.min(shares.length - 2, Math.floor(z / step));
    return shares[i]! + (z / step - i) * (shares[i + 1]! - shares[i]!);
  };
  return {
    wide,
    // Straight between two heights, so that half the sum of both ends is exact.
    summed: (z) => {
      if (z <= 0) return 0;
      if (z >= high) return sums.at(-1)!;
      const i = Math.floor(z / step);
      return sums[i]! + ((z - i * step) * (shares[i]! + wide(z))) / 2;
    }
  };
}
