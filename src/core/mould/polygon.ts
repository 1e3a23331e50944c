/** A corner of an outline, mm. */
export type Point = readonly [number, number];

/** Area of a simple polygon, mm² (shoelace formula), whichever way round it is drawn. */
export function polygonArea(outline: readonly Point[]): number {
  let twice = 0;
  outline.forEach(([x, y], i) => {
    const [nx, ny] = outline[(i + 1) % outline.length]!;
    twice += x * ny - nx * y;
  });
  return Math.abs(twice) / 2;
}

/** How wide the outline is from left to right, mm. */
export function polygonWidth(outline: readonly Point[]): number {
  const xs = outline.map(([x]) => x);
  return Math.max(...xs) - Math.min(...xs);
}

/** Whether no two sides of the outline cross. Sides that only share a corner do not count. */
export function isSimple(outline: readonly Point[]): boolean {
  const n = outline.length;
  const side = (a: Point, b: Point, c: Point) =>
    Math.sign((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]));
  for (let i = 0; i < n; i++) {
    for (let j = i + 2; j < n; j++) {
      if (i === 0 && j === n - 1) continue;
      const [a, b, c, d] = [outline[i]!, outline[i + 1]!, outline[j]!, outline[(j + 1) % n]!];
      if (side(a, b, c) !== side(a, b, d) && side(c, d, a) !== side(c, d, b)) return false;
    }
  }
  return polygonArea(outline) > 0;
}
