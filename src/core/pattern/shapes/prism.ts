import type { Section } from './section';
import type { Spot } from '../spot';

/** How a cavity's own sections and levels stand to the prism that the engine works in. Levels and lengths in mm. */
export interface Shaped {
  /** The rim, which is the prism's footprint. */
  section: Section;
  /** Depth of the cavity from the mould face to the rim. */
  depth: number;
  /** Where a closed cavity is widest: that section is the footprint, and above it the wall closes in again. */
  widest?: number;
  /** ml below a level; past the rim it goes on straight up. */
  volumeAt(level: number): number;
  /** The level of a volume, ml. */
  levelAt(ml: number): number;
  /** A level's section over the rim: shares of its width and of its length. */
  scaleAt(level: number): readonly [number, number];
}

/**
 * A cavity laid out as a prism on its rim: the height of a place is the volume below it over the rim's area, and its
 * section is widened to the rim's. Volumes and shares are those of the cavity exactly.
 */
export class Prism {
  /** Whether all sections are the rim's. */
  readonly straight: boolean;

  constructor(readonly shaped: Shaped) {
    this.straight = [0, 0.25, 0.5, 0.75].every((share) =>
      shaped.scaleAt(share * shaped.depth).every((k) => Math.abs(k - 1) < 1e-9)
    );
  }

  /** A place of the cavity in the prism; undefined where it is outside the wall. */
  spotAt(x: number, y: number, level: number): Spot | undefined {
    const { section, volumeAt } = this.shaped;
    if (level < 0) return undefined;
    const [kx, ky] = this.shaped.scaleAt(level);
    if (!(kx > 0 && ky > 0)) return undefined;
    if (!section.contains(x / kx, y / ky)) return undefined;
    return { x: x / kx, y: y / ky, z: (volumeAt(level) * 1000) / section.area };
  }

  /** Where the mould face stands under a place of the rim: on the bottom, or up the wall; undefined outside the rim. */
  mouldLevel(x: number, y: number): number | undefined {
    const { section, depth, widest = depth } = this.shaped;
    if (!section.contains(x, y)) return undefined;
    if (this.straight || this.#within(x, y, 0)) return 0;
    return this.#wall(x, y, 0, widest);
  }

  /** Where the wall closes over a place of a closed cavity; its rim where it is open. */
  upperLevel(x: number, y: number): number {
    const { depth, widest } = this.shaped;
    return widest === undefined ? depth : this.#wall(x, y, depth, widest);
  }

  /** The level between one outside the wall and one inside it at which the wall stands over a place. */
  #wall(x: number, y: number, outside: number, inside: number): number {
    let [out, within] = [outside, inside];
    for (let i = 0; i < 26; i++) {
      const mid = (out + within) / 2;
      if (this.#within(x, y, mid)) within = mid;
      else out = mid;
    }
    return within;
  }

  #within(x: number, y: number, level: number): boolean {
    const [kx, ky] = this.shaped.scaleAt(level);
    return kx > 0 && ky > 0 && this.shaped.section.contains(x / kx, y / ky);
  }
}
