import type { Spot } from '../spot';

/** Where a cup lies: half its extent and its height, mm, and how to throw points at random into it. */
export interface VeinRoom {
  width: number;
  length: number;
  low: number;
  high: number;
  contains(x: number, y: number): boolean;
}

/** Numbers over a room by which a part is told from the rest: it is where they are below a limit. */
export interface Field {
  at(spot: Spot): number;
  /** Whether it is below a limit at a spot: the same answer as `at`, sooner, since most of what is far off is never looked at. */
  below(limit: number): (spot: Spot) => boolean;
}
