import type { Prism, Section, Spot } from '../pattern';

/** Angles at which the outline of a footprint is measured. */
const AROUND = 720;
/** Steps from outside in, in which the outermost wall is looked for. */
const INWARD = 200;
/** So far inside the wall it is looked at, as a share of the way to the middle: on it is neither. */
const INSIDE = 1e-6;

/** The outer wall of a piece laid out flat, seen from outside with its front in the middle; mm. */
export interface Unrolled {
  /** Round it where it is widest, and up it. */
  width: number;
  height: number;
  /** So many mm behind a place of the wall, shares of its sides from the upper left; undefined beside it. */
  spotBehind(px: number, py: number, mm: number): Spot | undefined;
}

/**
 * Lays the outer wall of a cavity out. Each level is as long as the way round it there, so that areas are true for an upright wall.
 *
 * @param height how high the wall is covered, mm
 */
export function unrolled(prism: Prism, height: number): Unrolled {
  const { section, scaleAt } = prism.shaped;
  const around = outlineOf(section);
  const width = around.length;
  return {
    width,
    height,
    spotBehind(px, py, mm) {
      const level = (1 - py) * height;
      const [kx, ky] = scaleAt(level);
      // A narrower level is shorter by as much; its front stays in the middle.
      const k = (kx + ky) / 2;
      const share = k > 0 ? 0.5 + (px - 0.5) / k : -1;
      if (share < 0 || share > 1) return undefined;
      const { x, y } = around.at(share * width);
      const reach = Math.hypot(x * kx, y * ky);
      const inward = 1 - INSIDE - (reach > 0 ? mm / reach : 1);
      return inward > 0 ? prism.spotAt(x * kx * inward, y * ky * inward, level) : undefined;
    }
  };
}

/** The outermost line of a footprint by its own length: from the back round by the left, the front and the right to the back. */
function outlineOf(section: Section): { length: number; at(mm: number): { x: number; y: number } } {
  const points = Array.from({ length: AROUND + 1 }, (_, i) => {
    const a = (i / AROUND) * 2 * Math.PI + Math.PI / 2;
    const r = outermost(section, Math.cos(a), Math.sin(a));
    return { x: r * Math.cos(a), y: r * Math.sin(a) };
  });
  const ways = points.reduce<number[]>((all, { x, y }, i) => {
    const before = points[i - 1];
    return [...all, before ? all[i - 1]! + Math.hypot(x - before.x, y - before.y) : 0];
  }, []);
  return {
    length: ways.at(-1)!,
    at(mm) {
      let [low, high] = [0, AROUND];
      while (high - low > 1) {
        const mid = (low + high) >> 1;
        if (ways[mid]! <= mm) low = mid;
        else high = mid;
      }
      const f = (mm - ways[low]!) / Math.max(1e-12, ways[high]! - ways[low]!);
      const [a, b] = [points[low]!, points[high]!];
      return { x: a.x + f * (b.x - a.x), y: a.y + f * (b.y - a.y) };
    }
  };
}

/** How far a footprint reaches in a direction, mm; 0 where it never does. */
function outermost({ half, contains }: Section, c: number, s: number): number {
  const far = 1.001 * Math.hypot(half.width, half.length);
  let inside = far;
  while (inside > 0 && !contains(inside * c, inside * s)) inside -= far / INWARD;
  if (inside <= 0) return 0;
  let outside = inside + far / INWARD;
  for (let i = 0; i < 30; i++) {
    const mid = (inside + outside) / 2;
    if (contains(mid * c, mid * s)) inside = mid;
    else outside = mid;
  }
  return inside;
}
