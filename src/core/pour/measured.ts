import { figure } from '../quantity';
/** What a pour comes to in one cavity, from which an act works out its own figures: lines, rounds, what a void takes. */
export interface Measured {
  /** Into one cavity. */
  ml: number;
  grams: number;
  /** Half extents of the rim, mm, and its area, mm². */
  half: { width: number; length: number };
  area: number;
  /** How high it stands afterwards, and how deep the cavity is, mm. */
  level: number;
  depth: number;
}

/** Grams as a line of figures shows them: three digits that count. */
export const grams = (g: number): string => figure(g, 'g', g >= 100 ? 0 : g >= 10 ? 1 : 2);
