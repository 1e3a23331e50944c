import { EMPTY, type Flow, type Spot } from './spot';

/** What is at a place of a piece: its matter, and the act (by its number in the engine) that put it there. */
export interface MatterFound {
  matter: number;
  by: number;
}

/**
 * Everything that was done in one cavity, in order. What is at a place is found by undoing the acts from the last to the
 * first until one is found that put something there: no grid, no blur, and any plane at any resolution.
 */
export class Engine {
  constructor(
    readonly flows: readonly Flow[],
    /** The level it is filled to, mm: above it there is nothing. */
    readonly level: number
  ) {}

  /** The matter at a spot, which is moved to where that matter was put; `EMPTY` where nothing was poured. */
  matterAt(spot: Spot): number {
    if (spot.z > this.level || spot.z < 0) return EMPTY;
    for (let i = this.flows.length - 1; i >= 0; i--) {
      const matter = this.flows[i]!.undo(spot);
      if (matter >= 0) return matter;
    }
    return EMPTY;
  }

  /** What is at a spot, and through which acts it came: those that moved it, the last first. */
  historyOf(spot: Spot): MatterFound & { moved: number[] } {
    const moved: number[] = [];
    if (spot.z > this.level || spot.z < 0) return { matter: EMPTY, by: -1, moved };
    for (let i = this.flows.length - 1; i >= 0; i--) {
      const { x, y, z } = spot;
      const matter = this.flows[i]!.undo(spot);
      if (matter >= 0) return { matter, by: i, moved };
      if (Math.abs(spot.x - x) + Math.abs(spot.y - y) + Math.abs(spot.z - z) > MOVED) moved.push(i);
    }
    return { matter: EMPTY, by: -1, moved };
  }
}

/** What moves something by less than this is not said to have moved it, mm. */
const MOVED = 0.05;
