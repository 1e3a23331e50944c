/**
 * A point of a cavity as the engine sees it: x to the right and y away from the middle, mm; z the volume below it over
 * the area of the rim, mm, from the mould face up. Moved in place, since millions are traced.
 */
export interface Spot {
  x: number;
  y: number;
  z: number;
}

/** Answer of an undone act that put nothing here: what stood at the spot's earlier place is still to be found. */
export const KEPT = -1;
/** Where nothing was poured. */
export const EMPTY = -2;

/**
 * What one act did to what is in a cavity, as an exact map that keeps volume.
 */
export interface Flow {
  /** Moves a spot back to where it was before the act; or answers the matter (0, 1 …) that the act put there. */
  undo(spot: Spot): number;
  /** Moves a spot that was there before the act to where the act leaves it: the inverse of `undo`. */
  redo(spot: Spot): void;
}
