import type { Counted, Creep } from '../dosing';

/** The key of what a cup takes from a common mix. */
export const PORTION = 'portion';

/** One thing put on the scale for a cup, g; a reserve is taken out. */
export interface Weighing {
  /** `A`, `B`, `portion`, `reserve`, or the id of the recipe line or filler. */
  key: string;
  name: string;
  kind: 'part' | 'colourant' | 'filler' | 'reserve';
  /** Exact weight wanted. */
  exact: number;
  /** Weight on its scale: a multiple of its division, or what the count weighs. */
  weight: number;
  /** What the display reads when this is in: running total, or this alone when tared or in a boat. */
  reading: number;
  /** Relative standard spread of this weighing on this scale. */
  spread: number;
  weighable: boolean;
  /** The scale it is weighed on, and that scale's division, g. */
  scaleId: string;
  division: number;
  /** On another scale than the cup stands on: weighed alone, then tipped in. */
  boat?: boolean;
  colourantId?: string;
  percent?: number;
  /** When it is weighed as a let-down: parts of carrier to one, and the colourant in this weighing, g. */
  letDown?: { parts: number; supplied: number };
  /** Grams of the colourant as supplied in this weighing. */
  supplied?: number;
  /** Counted instead of weighed: in words, and the unit with what one of it weighs, g. */
  counted?: string;
  countedIn?: { unit: Counted['unit']; each: number };
  /** Approached by eye in steps. */
  creep?: Creep;
  /** A vessel of its own, when it is not weighed into the cup. */
  vessel?: string;
}
