import { Star } from './star';

export type Corner = readonly [number, number];

/** A part of an outline all of which is seen from one place: that place, its corners and its area. */
export interface OutlinePart {
  at: { x: number; y: number };
  corners: readonly Corner[];
  area: number;
}

/** Cuts after which an outline is taken as it is: a traced one rarely needs more than three. */
const MOST_CUTS = 12;
/** Parts smaller than this share of the whole are slivers of a cut and left out. */
const SLIVER = 1e-4;

const turn = (a: Corner, b: Corner, c: Corner) =>
  (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);

/**
 * Signed area of an outline, mm²: above zero where it goes round against the clock.
 * @example signedArea([[0, 0], [2, 0], [2, 1], [0, 1]]) // 2
 */
export const signedArea = (corners: readonly Corner[]): number =>
  corners.reduce((s, [x, y], i) => {
    const [nx, ny] = corners[(i + 1) % corners.length]!;
    return s + (x * ny - nx * y) / 2;
  }, 0);

/**
 * Whether a place lies within an outline, by how often a ray from it crosses.
 * @example within([[0, 0], [2, 0], [2, 1], [0, 1]], 1, 0.5) // true
 */
export const within = (corners: readonly Corner[], x: number, y: number): boolean =>
  corners.reduce((inside, a, i) => {
    const b = corners[(i + 1) % corners.length]!;
    const crosses = a[1] > y !== b[1] > y && x < ((b[0] - a[0]) * (y - a[1])) / (b[1] - a[1]) + a[0];
    return crosses ? !inside : inside;
  }, false);

/**
 * An outline that does not cross itself as parts that each see themselves whole: one where a place sees all of it, else cut
 * on at its inward corners. Their areas add up to that of the outline. @param traced three corners or more, mm
 */
export function outlineParts(traced: readonly Corner[], cuts = MOST_CUTS): OutlinePart[] {
  // A corner that was tapped twice has no direction to cut on in.
  const outline = traced.filter((p, i) => {
    const [x, y] = traced[(i + 1) % traced.length]!;
    return Math.hypot(p[0] - x, p[1] - y) > 1e-9;
  });
  const area = signedArea(outline);
  if (outline.length < 3 || Math.abs(area) < 1e-9) return [];
  const corners = area > 0 ? outline : [...outline].reverse();
  const at = middleOf(kernelOf(corners)) ?? (cuts ? undefined : middleOf(corners));
  if (at) return [{ at, corners, area: Math.abs(area) }];
  const halves = cutAtInward(corners);
  if (!halves) return outlineParts(corners, 0);
  return halves
    .filter((half) => Math.abs(signedArea(half)) > SLIVER * Math.abs(area))
    .flatMap((half) => outlineParts(half, cuts - 1));
}

/** A part as the star of its radii from its own place, mm. */
export function partStar({ at, corners, area }: OutlinePart): Star {
  return Star.of((angle) => {
    const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
    let reach = 0;
    for (let i = 0; i < corners.length; i++) {
      const far = crossing(at, [cos, sin], corners[i]!, corners[(i + 1) % corners.length]!);
      if (far > reach) reach = far;
    }
    return reach;
  }, area);
}

/** How far along a ray it crosses an edge, mm; 0 where it does not. */
function crossing(from: { x: number; y: number }, [cos, sin]: Corner, a: Corner, b: Corner): number {
  const [ax, ay, ex, ey] = [a[0] - from.x, a[1] - from.y, b[0] - a[0], b[1] - a[1]];
  const across = cos * ey - sin * ex;
  if (Math.abs(across) < 1e-12) return 0;
  const along = (ax * ey - ay * ex) / across;
  const share = (ax * sin - ay * cos) / across;
  return along > 0 && share >= -1e-9 && share <= 1 + 1e-9 ? along : 0;
}

/** All places that see every corner: what is left of the outline when it is cut by each of its edges. */
function kernelOf(corners: readonly Corner[]): Corner[] {
  let kept = [...corners];
  for (let i = 0; i < corners.length && kept.length; i++)
    kept = clipped(kept, corners[i]!, corners[(i + 1) % corners.length]!);
  return kept;
}

/** What lies to the left of a line. */
function clipped(corners: readonly Corner[], a: Corner, b: Corner): Corner[] {
  return corners.flatMap((p, i) => {
    const q = corners[(i + 1) % corners.length]!;
    const [sp, sq] = [turn(a, b, p), turn(a, b, q)];
    const kept: Corner[] = sp >= 0 ? [p] : [];
    if (sp >= 0 === sq >= 0) return kept;
    const k = sp / (sp - sq);
    return [...kept, [p[0] + k * (q[0] - p[0]), p[1] + k * (q[1] - p[1])] as const];
  });
}

/** The middle of an outline by its area; nothing where it has none to speak of. */
function middleOf(corners: readonly Corner[]): { x: number; y: number } | undefined {
  const area = signedArea(corners);
  if (corners.length < 3 || Math.abs(area) < 1e-6) return undefined;
  const sum = corners.reduce(
    ([sx, sy], [x, y], i) => {
      const [nx, ny] = corners[(i + 1) % corners.length]!;
      const cross = x * ny - nx * y;
      return [sx + (x + nx) * cross, sy + (y + ny) * cross] as const;
    },
    [0, 0] as Corner
  );
  return { x: sum[0] / (6 * area), y: sum[1] / (6 * area) };
}

/** The outline in two, cut on from its sharpest inward corner to where that line leaves it. */
function cutAtInward(corners: readonly Corner[]): [Corner[], Corner[]] | undefined {
  const n = corners.length;
  const turns = corners.map((p, i) => {
    const [a, b] = [corners[(i + n - 1) % n]!, corners[(i + 1) % n]!];
    return turn(a, p, b) / (Math.hypot(p[0] - a[0], p[1] - a[1]) * Math.hypot(b[0] - p[0], b[1] - p[1]));
  });
  const at = turns.indexOf(Math.min(...turns));
  if (!(turns[at]! < 0)) return undefined;
  const [before, inward] = [corners[(at + n - 1) % n]!, corners[at]!];
  const way: Corner = [inward[0] - before[0], inward[1] - before[1]];
  let nearest = { far: Infinity, edge: -1 };
  for (let k = 1; k < n - 1; k++) {
    const edge = (at + k) % n;
    const far = crossing({ x: inward[0], y: inward[1] }, way, corners[edge]!, corners[(edge + 1) % n]!);
    if (far > 1e-9 && far < nearest.far) nearest = { far, edge };
  }
  if (nearest.edge < 0) return undefined;
  const out: Corner = [inward[0] + nearest.far * way[0], inward[1] + nearest.far * way[1]];
  const walk = (from: number, to: number) =>
    Array.from({ length: ((to - from + n) % n) + 1 }, (_, i) => corners[(from + i) % n]!);
  return [
    [...walk(at, nearest.edge), out],
    [...walk((nearest.edge + 1) % n, at), out]
  ];
}
