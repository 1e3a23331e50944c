import { polygonArea, polygonWidth, isSimple } from './polygon';
import type { Shape } from './shape';
import type { Geometry } from './slices';
import { eggOf, gemFault, gemOf } from './closed-shapes';
import { figure } from '../quantity';

const ML = 1000; // mm³ in a millilitre
const n1 = (x: number) => Math.round(x * 100) / 100;
const mm = (...lengths: number[]) => figure(lengths.map(n1), 'mm');
/** Lengths with what stands between them, one unit after the last. */
const mmBetween = (lengths: readonly number[], between: readonly string[]) =>
  figure(lengths.map(n1), 'mm', undefined, between);
const ml = (volume: number) => figure(n1(volume), 'ml');

/** The largest area a shape has in sight from above, mm²: its rim’s, or a closed one’s where it is widest. */
export const widestArea = ({ areaAt, depth, widest = depth }: Geometry): number => areaAt(widest);

/**
 * Half the width of a section through the middle over its height, mm: closer together near the mould face, where a dome curves
 * most, and where a closed shape is widest, which may be an edge.
 */
export function profileOf({ depth, widest, halfWidthAt }: Geometry, steps: number): [number, number][] {
  const even = Array.from({ length: steps + 1 }, (_, i) => depth * (i / steps) ** 2);
  const heights = widest === undefined ? even : [...even, widest].sort((a, b) => a - b);
  return heights.map((z) => [z, halfWidthAt(z)]);
}

/** Builds the geometry of a shape. Closed forms from solid geometry; lengths mm, volumes ml. */
export function geometryOf(shape: Shape): Geometry {
  switch (shape.kind) {
    case 'hemisphere':
      return sphericalCap(shape.radius, shape.radius, `⅔ π r³, r ${mm(shape.radius)}`);
    case 'ball':
      return ballOf(shape.radius);
    case 'egg':
      return eggOf(shape);
    case 'gem':
      return gemOf(shape);
    case 'cap':
      return capOf(shape);
    case 'cylinder':
      return straight(
        Math.PI * shape.radius ** 2,
        shape.radius,
        shape.depth,
        `π r² h, r ${mm(shape.radius)}, h ${mm(shape.depth)}`
      );
    case 'box':
      return straight(
        shape.length * shape.width,
        shape.length / 2,
        shape.depth,
        mm(shape.length, shape.width, shape.depth)
      );
    case 'ring':
      return straight(
        Math.max(0, Math.PI * (shape.outerRadius ** 2 - shape.innerRadius ** 2)),
        shape.outerRadius,
        shape.depth,
        `π (R² − r²) h, R ${mmBetween([shape.outerRadius, shape.innerRadius, shape.depth], [', r ', ', h '])}`
      );
    case 'prism':
      return straight(
        polygonArea(shape.outline),
        polygonWidth(shape.outline) / 2,
        shape.depth,
        `outline ${n1(polygonArea(shape.outline) / 100)} cm² × ${mm(shape.depth)}`
      );
    case 'frustum':
      return tapered(
        { a: shape.baseRadius, b: shape.baseRadius, k: Math.PI },
        { a: shape.rimRadius, b: shape.rimRadius, k: Math.PI },
        shape.depth,
        `π h (R² + Rr + r²) / 3, R ${mmBetween([shape.rimRadius, shape.baseRadius, shape.depth], [', r ', ', h '])}`
      );
    case 'taper':
      return tapered(
        { a: shape.baseLength / 2, b: shape.baseWidth / 2, k: 4 },
        { a: shape.rimLength / 2, b: shape.rimWidth / 2, k: 4 },
        shape.depth,
        `between ${mmBetween([shape.baseLength, shape.baseWidth, shape.rimLength, shape.rimWidth], [' × ', ' and ', ' × '])} over ${mm(shape.depth)}`
      );
    case 'table':
      return tabled(shape.rows, shape.width);
  }
}

/** What is geometrically wrong with a shape, or nothing. */
export function shapeFault(shape: Shape): string | undefined {
  if (shape.kind === 'ring' && shape.innerRadius >= shape.outerRadius)
    return 'The inner radius is not smaller than the outer one.';
  if (shape.kind === 'gem') return gemFault(shape);
  if (shape.kind === 'cap' && shape.depth > shape.rimRadius * 2)
    return 'A cap deeper than twice its rim radius closes over itself.';
  if (shape.kind === 'prism' && !isSimple(shape.outline)) return 'The outline crosses itself.';
  if (shape.kind === 'table') {
    const rising = shape.rows.every((r, i, all) => {
      const before = all[i - 1];
      return !before || (r.depth > before.depth && r.ml > before.ml);
    });
    if (!rising) return 'Depths and volumes in the table must both rise from row to row.';
    if (shape.rows[0]?.depth !== 0 || shape.rows[0].ml !== 0)
      return `The table must start at ${mm(0)}, ${ml(0)}.`;
  }
  return undefined;
}

/** Level of a volume, mm: the inverse of `volumeAt`, by bisection to 1e-9 of the depth. Clamps to the rim. */
export function levelAt(g: Geometry, ml: number): number {
  if (ml <= 0) return 0;
  if (ml >= g.volumeAt(g.depth)) return g.depth;
  let low = 0;
  let high = g.depth;
  // Secant steps inside a bracket: a handful of rounds for smooth shapes, never worse than bisection.
  let level = (g.depth * ml) / g.volumeAt(g.depth);
  for (let round = 0; round < 80 && high - low > 1e-10 * g.depth; round++) {
    const off = g.volumeAt(level) - ml;
    if (Math.abs(off) < 1e-13 * ml) return level;
    if (off > 0) high = level;
    else low = level;
    const area = g.areaAt(level);
    const newton = area > 0 ? level - (off * ML) / area : NaN;
    level = newton > low && newton < high ? newton : (low + high) / 2;
  }
  return level;
}

const ballOf = (radius: number): Geometry => ({
  ...sphericalCap(radius, 2 * radius, `4/3 π r³, r ${mm(radius)}`),
  widest: radius
});

/** A dome by its rim and its depth: the ball it is a part of follows. */
const capOf = ({ rimRadius, depth }: Extract<Shape, { kind: 'cap' }>): Geometry =>
  sphericalCap(
    (rimRadius ** 2 + depth ** 2) / (2 * depth),
    depth,
    `π h (3a² + h²) / 6, a ${mm(rimRadius)}, h ${mm(depth)}`
  );

function sphericalCap(sphere: number, depth: number, working: string): Geometry {
  const clamp = (h: number) => Math.min(depth, Math.max(0, h));
  const volumeAt = (h: number) => {
    const c = clamp(h);
    return (Math.PI * c * c * (3 * sphere - c)) / 3 / ML;
  };
  const radius = (h: number) => Math.sqrt(Math.max(0, clamp(h) * (2 * sphere - clamp(h))));
  return {
    depth,
    volumeAt,
    areaAt: (h) => Math.PI * radius(h) ** 2,
    halfWidthAt: radius,
    working: `${working} = ${ml(volumeAt(depth))}`
  };
}

function straight(area: number, halfWidth: number, depth: number, working: string): Geometry {
  const volumeAt = (h: number) => (area * Math.min(depth, Math.max(0, h))) / ML;
  return {
    depth,
    volumeAt,
    areaAt: () => area,
    halfWidthAt: () => halfWidth,
    working: `${working} = ${ml(volumeAt(depth))}`
  };
}

/** A straight taper between two similar or dissimilar sections: area k·a·b with a and b linear in height. */
function tapered(
  base: { a: number; b: number; k: number },
  rim: { a: number; b: number; k: number },
  depth: number,
  working: string
): Geometry {
  const clamp = (h: number) => Math.min(depth, Math.max(0, h));
  const a = (h: number) => base.a + ((rim.a - base.a) * clamp(h)) / depth;
  const b = (h: number) => base.b + ((rim.b - base.b) * clamp(h)) / depth;
  const volumeAt = (h: number) => {
    // ∫ k (a₀ + a₁z)(b₀ + b₁z) dz
    const c = clamp(h);
    const a1 = (rim.a - base.a) / depth;
    const b1 = (rim.b - base.b) / depth;
    const integral =
      base.a * base.b * c + ((base.a * b1 + base.b * a1) * c ** 2) / 2 + (a1 * b1 * c ** 3) / 3;
    return (base.k * integral) / ML;
  };
  return {
    depth,
    volumeAt,
    areaAt: (h) => base.k * a(h) * b(h),
    halfWidthAt: a,
    working: `${working} = ${ml(volumeAt(depth))}`
  };
}

function tabled(rows: { depth: number; ml: number }[], width?: number): Geometry {
  const depth = rows.at(-1)?.depth ?? 0;
  const span = (h: number) => {
    const i = rows.findIndex((r) => r.depth >= h);
    const upper = rows[Math.max(1, i)] ?? rows[rows.length - 1]!;
    const lower = rows[Math.max(1, i) - 1] ?? rows[0]!;
    return { lower, upper };
  };
  const areaAt = (h: number) => {
    const { lower, upper } = span(Math.min(depth, Math.max(0, h)));
    return ((upper.ml - lower.ml) * ML) / (upper.depth - lower.depth);
  };
  const volumeAt = (h: number) => {
    const c = Math.min(depth, Math.max(0, h));
    const { lower } = span(c);
    return lower.ml + (areaAt(c) * (c - lower.depth)) / ML;
  };
  // With only a width known, the section is drawn as wide as each slice's share of the widest one.
  const widest = Math.max(...rows.slice(1).map((r) => areaAt(r.depth)));
  const half = (width ?? 2 * Math.sqrt(widest / Math.PI)) / 2;
  return {
    depth,
    volumeAt,
    areaAt,
    halfWidthAt: (h) => half * Math.sqrt(areaAt(h) / widest),
    working: `table of ${rows.length} depths, straight between them = ${ml(volumeAt(depth))}`
  };
}
