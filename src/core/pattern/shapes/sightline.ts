type Point = readonly [number, number];

/**
 * A closed line as its distance from its own middle over the angle; undefined where a ray meets it more than once.
 * @example sightline([[0, 0], [2, 0], [2, 2], [0, 2]]).at // {'x':1,'y':1}
 */
export function sightline(
  points: readonly Point[]
): { at: { x: number; y: number }; radius: (angle: number) => number } | undefined {
  const at = {
    x: points.reduce((s, [x]) => s + x, 0) / points.length,
    y: points.reduce((s, [, y]) => s + y, 0) / points.length
  };
  const edges = points.map((a, i) => [a, points[(i + 1) % points.length]!] as const);
  const turns = edges.map(([a, b]) => (a[0] - at.x) * (b[1] - at.y) - (a[1] - at.y) * (b[0] - at.x));
  if (!turns.every((t) => t > 0) && !turns.every((t) => t < 0)) return undefined;
  return { at, radius: (angle) => reach(edges, at, angle) };
}

function reach(
  edges: readonly (readonly [Point, Point])[],
  at: { x: number; y: number },
  angle: number
): number {
  const [dx, dy] = [Math.cos(angle), Math.sin(angle)];
  for (const [a, b] of edges) {
    const [ex, ey] = [b[0] - a[0], b[1] - a[1]];
    const across = dx * ey - dy * ex;
    const t = ((a[0] - at.x) * ey - (a[1] - at.y) * ex) / across;
    const u = ((a[0] - at.x) * dy - (a[1] - at.y) * dx) / across;
    if (t > 0 && u >= -1e-9 && u <= 1 + 1e-9) return t;
  }
  return 0;
}
