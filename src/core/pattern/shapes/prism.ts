import type { Section } from './section';
import type { Spot } from '../spot';

/** How a cavity's own sections and levels stand to the prism that the engine works in. Levels and lengths in mm. */
export interface Shaped {
  /** The rim, which is the prism's footprint. */
  section: Section;
  /** Depth of the cavity from the mould face to the rim. */
  depth: number;
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
    const { section, depth, scaleAt } = this.shaped;
    if (!section.contains(x, y)) return undefined;
    if (this.straight) return 0;
    const within = (level: number) => {
      const [kx, ky] = scaleAt(level);
      return kx > 0 && ky > 0 && section.contains(x / kx, y / ky);
    };
    if (within(0)) return 0;
    let [low, high] = [0, depth];
    for (let i = 0; i < 26; i++) {
      const mid = (low + high) / 2;
      if (within(mid)) high = mid;
      else low = mid;
    }
    return high;
  }
}
