import { KEPT, type Flow, type Spot } from '../spot';

/** One chamber before a divider is lifted: its share of the footprint from the left, and how high it stands. */
export interface Stood {
  from: number;
  to: number;
  level: number;
}

/**
 * Chambers find one level when their divider is lifted: what stood high spreads sideways by as much as it sinks. Done
 * across a rectangle; keeps each chamber's volume exactly.
 */
export class Levelling implements Flow {
  readonly #parts: readonly (Stood & { after: number; wide: number; sunk: number })[];

  /** @param width of the rectangle; @param ground the level all chambers stand on */
  constructor(
    chambers: readonly Stood[],
    private readonly width: number,
    private readonly ground: number
  ) {
    const heights = chambers.map((c) => (c.to - c.from) * (c.level - ground));
    const mean = heights.reduce((s, h) => s + h, 0);
    let at = 0;
    this.#parts = chambers.map((c, i) => {
      const wide = heights[i]! / mean;
      const part = { ...c, after: at, wide, sunk: mean / (c.level - ground) };
      at += wide;
      return part;
    });
  }

  undo(spot: Spot): number {
    if (spot.z <= this.ground) return KEPT;
    const share = spot.x / this.width + 0.5;
    const own = this.#parts.find((p) => share < p.after + p.wide) ?? this.#parts.at(-1)!;
    const inside = own.wide > 0 ? (share - own.after) / own.wide : 0;
    spot.x = (own.from + inside * (own.to - own.from) - 0.5) * this.width;
    spot.z = this.ground + (spot.z - this.ground) / own.sunk;
    return KEPT;
  }

  redo(spot: Spot): void {
    if (spot.z <= this.ground) return;
    const share = spot.x / this.width + 0.5;
    const own = this.#parts.find((p) => share < p.to) ?? this.#parts.at(-1)!;
    const inside = (share - own.from) / (own.to - own.from);
    spot.x = (own.after + inside * own.wide - 0.5) * this.width;
    spot.z = this.ground + (spot.z - this.ground) * own.sunk;
  }
}
