/** A cavity as a stack of horizontal slices: everything layers need to know of a shape. */
export interface Geometry {
  /** From mould face to rim, mm. */
  depth: number;
  /** Volume below a level, ml; the level is clamped to 0..depth. */
  volumeAt(level: number): number;
  /** Open area at a level, mm². */
  areaAt(level: number): number;
  /** Half the width of the section drawn through the middle at a level, mm. */
  halfWidthAt(level: number): number;
  /** The level at which a closed shape is widest, mm; where it is open that is its rim. */
  widest?: number;
  /** The volume in words, for the maker to check: formula, numbers, answer. */
  working: string;
}
