import { distanceTo } from './side-by-side';
import type { Spot } from '../spot';
import type { Star } from './star';

/**
 * Something solid in a casting: a ball (drawn out upright to half its height where `tall`), a line with half its width, or a
 * finished casting with its own footprint and its own colours; mm.
 */
export type Embedded =
  | {
      kind: 'ball';
      x: number;
      y: number;
      z: number;
      radius: number;
      tall?: number;
      /** Nothing says how large it really is, so that it takes no room. */
      loose?: boolean;
    }
  | {
      kind: 'casting';
      x: number;
      y: number;
      low: number;
      high: number;
      /** Its footprint, mm²; its outline about its middle, where every ray from there crosses it once. */
      area: number;
      outline?: Star | undefined;
      /** Whether a place from its middle is over its footprint, and what stands at a place of it, its foot at 0. */
      covers(x: number, y: number): boolean;
      matterAt(spot: Spot): number;
    }
  | { kind: 'line'; way: readonly (readonly [number, number])[]; radius: number; low: number; high: number };

/** Dry colour on the mould face: how much of each place it covers, 0..1. */
export interface Film {
  colourantId: string;
  cover(x: number, y: number): number;
  /** Where it lies is guessed: what it follows is not known. */
  guessed?: true;
}

/** Whether a place of the prism is inside something solid. */
export function isIn(e: Embedded, { x, y, z }: Spot): boolean {
  if (e.kind === 'ball') {
    const up = (e.z - z) * (e.tall === undefined ? 1 : e.radius / e.tall);
    return (e.x - x) ** 2 + (e.y - y) ** 2 + up ** 2 < e.radius ** 2;
  }
  if (z < e.low || z > e.high) return false;
  return e.kind === 'casting' ? e.covers(x - e.x, y - e.y) : distanceTo(x, y, e.way) < e.radius;
}
