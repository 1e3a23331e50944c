import { distanceTo } from './side-by-side';
import type { Spot } from '../spot';
import type { Upright } from '../maps/parted';
import type { Star } from './star';

/**
 * Something solid in a casting: a ball (drawn out upright to half its height where `tall`), a line with half its width, or a body
 * with its own footprint and its own colours, a finished casting among them; mm.
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
      /** What it is made of, at a place about its middle. */
      matterAt?(spot: Spot): number;
    }
  | ({ kind: 'body'; x: number; y: number; low: number } & SolidBody)
  | { kind: 'line'; way: readonly (readonly [number, number])[]; radius: number; low: number; high: number };

/** A body by itself, its foot at 0 and its middle at 0, 0; mm. */
export interface SolidBody {
  high: number;
  /** Its largest section, mm², and how much of that it has at each height. */
  area: number;
  upright: Upright;
  /** The outline of its section about its middle, where every ray from there crosses it once. */
  outline?: Star | undefined;
  /** Whether a place is inside it, and what stands there. */
  holds(spot: Spot): boolean;
  matterAt(spot: Spot): number;
}

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
  if (e.kind === 'body') return e.holds({ x: x - e.x, y: y - e.y, z: z - e.low });
  return z >= e.low && z <= e.high && distanceTo(x, y, e.way) < e.radius;
}
