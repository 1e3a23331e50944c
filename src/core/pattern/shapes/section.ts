import { signedArea, within } from './outline-parts';
import { angleOf, Star } from './star';

type Point = readonly [number, number];

/** A footprint that everything is traced in: the rim of a cavity, mm from its middle. */
export interface Section {
  area: number;
  /** Whether every place of it sees every other. */
  convex: boolean;
  /** Half its extent to the right and away, mm. */
  half: { width: number; length: number };
  contains(x: number, y: number): boolean;
  /** Distance to the nearest wall, mm; below zero outside. */
  wall(x: number, y: number): number;
  /** Its wall as seen from a place, or undefined where some of it cannot be seen from there. */
  starAt(x: number, y: number): Star | undefined;
  /**
   * A change of coordinates that keeps area and lays the footprint out as a rectangle about a place: for whatever cannot
   * be done as a star.
   */
  chartAt(x: number, y: number): Chart;
}

/** An exact change of coordinates between a footprint and a rectangle of the same area. */
export interface Chart {
  onto: Section;
  to(x: number, y: number): Point;
  from(x: number, y: number): Point;
}

/**
 * A disc of a radius, mm.
 * @example disc(30).half // {'width':30,'length':30}
 */
export function disc(radius: number): Section {
  const area = Math.PI * radius ** 2;
  const section: Section = {
    area,
    convex: true,
    half: { width: radius, length: radius },
    contains: (x, y) => x * x + y * y <= radius * radius,
    wall: (x, y) => radius - Math.hypot(x, y),
    starAt: (x, y) => {
      const off = Math.hypot(x, y);
      if (off >= radius) return undefined;
      const toMiddle = angleOf(-x, -y);
      return Star.of((a) => {
        const across = off * Math.sin(a - toMiddle);
        return off * Math.cos(a - toMiddle) + Math.sqrt(radius ** 2 - across ** 2);
      }, area);
    },
    chartAt: () =>
      slices(section, (x) => {
        const y = Math.sqrt(Math.max(0, radius ** 2 - x * x));
        return [[-y, y]];
      })
  };
  return section;
}

/** A disc with a round hole in it; radii in mm. */
export function annulus(inner: number, outer: number): Section {
  const area = Math.PI * (outer ** 2 - inner ** 2);
  return {
    area,
    convex: false,
    half: { width: outer, length: outer },
    contains: (x, y) => {
      const r = x * x + y * y;
      return r <= outer * outer && r >= inner * inner;
    },
    wall: (x, y) => Math.min(outer - Math.hypot(x, y), Math.hypot(x, y) - inner),
    starAt: () => undefined,
    chartAt: (x, y) => unrolled(inner, outer, angleOf(x, y) + Math.PI)
  };
}

/** A ring cut open at an angle and laid out straight: angle along, squared radius across. */
function unrolled(inner: number, outer: number, cut: number): Chart {
  const wide = Math.PI * (outer + inner);
  const high = (Math.PI * (outer ** 2 - inner ** 2)) / wide;
  const turn = 2 * Math.PI;
  return {
    onto: rectangle(wide / 2, high / 2),
    to: (x, y) => {
      const a = (((angleOf(x, y) - cut) % turn) + turn) % turn;
      const share = (x * x + y * y - inner ** 2) / (outer ** 2 - inner ** 2);
      return [(a / turn - 0.5) * wide, (share - 0.5) * high];
    },
    from: (u, v) => {
      const a = (u / wide + 0.5) * turn + cut;
      const r = Math.sqrt(inner ** 2 + (v / high + 0.5) * (outer ** 2 - inner ** 2));
      return [r * Math.cos(a), r * Math.sin(a)];
    }
  };
}

/** A rectangle by its half width and half length, mm. */
export const rectangle = (width: number, length: number): Section =>
  polygon([
    [-width, -length],
    [width, -length],
    [width, length],
    [-width, length]
  ]);

/** Any outline that does not cross itself, mm; its middle is that of its extent. */
export function polygon(outline: readonly Point[]): Section {
  const corners = centred(outline);
  const area = signedArea(corners);
  const half = {
    width: Math.max(...corners.map(([x]) => x)),
    length: Math.max(...corners.map(([, y]) => y))
  };
  const edges = corners.map((a, i) => [a, corners[(i + 1) % corners.length]!] as const);
  const contains = (x: number, y: number) => within(corners, x, y);
  const section: Section = {
    area,
    convex: corners.every((p, i) => {
      const [a, b] = [corners.at(i - 2)!, corners.at(i - 1)!];
      return cross(a, b, p) >= -1e-9 * area;
    }),
    half,
    contains,
    wall: (x, y) => {
      const near = Math.min(...edges.map(([a, b]) => toEdge(x, y, a, b)));
      return contains(x, y) ? near : -near;
    },
    starAt: (x, y) => {
      const seesAll = edges.every(([a, b]) => cross(a, b, [x, y]) > 1e-9 * Math.sqrt(area));
      return seesAll ? Star.of((angle) => rayTo(edges, x, y, angle), area) : undefined;
    },
    chartAt: () => slices(section, (x) => crossings(edges, x))
  };
  return section;
}

/** Corners about the middle of their extent, counter-clockwise. */
function centred(outline: readonly Point[]): Point[] {
  const [xs, ys] = [outline.map(([x]) => x), outline.map(([, y]) => y)];
  const middle = (v: number[]) => (Math.min(...v) + Math.max(...v)) / 2;
  const [cx, cy] = [middle(xs), middle(ys)];
  const moved = outline.map(([x, y]): Point => [x - cx, y - cy]);
  return signedArea(moved) < 0 ? moved.reverse() : moved;
}

const cross = (a: Point, b: Point, p: Point) => (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]);

function toEdge(x: number, y: number, a: Point, b: Point): number {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const along = ((x - a[0]) * dx + (y - a[1]) * dy) / (dx * dx + dy * dy);
  const t = Math.min(1, Math.max(0, along));
  return Math.hypot(x - a[0] - t * dx, y - a[1] - t * dy);
}

/** How far a ray from inside goes until it meets the wall. */
function rayTo(edges: readonly (readonly [Point, Point])[], x: number, y: number, angle: number): number {
  const [dx, dy] = [Math.cos(angle), Math.sin(angle)];
  let far = Infinity;
  for (const [a, b] of edges) {
    const [ex, ey] = [b[0] - a[0], b[1] - a[1]];
    const across = dx * ey - dy * ex;
    if (Math.abs(across) < 1e-15) continue;
    const t = ((a[0] - x) * ey - (a[1] - y) * ex) / across;
    const u = ((a[0] - x) * dy - (a[1] - y) * dx) / across;
    if (t > 0 && u >= -1e-9 && u <= 1 + 1e-9) far = Math.min(far, t);
  }
  return far;
}

/** Where a line across at x is inside the outline: from, to, in order. */
function crossings(edges: readonly (readonly [Point, Point])[], x: number): [number, number][] {
  const ys = edges
    .filter(([a, b]) => a[0] > x !== b[0] > x)
    .map(([a, b]) => a[1] + ((b[1] - a[1]) * (x - a[0])) / (b[0] - a[0]))
    .sort((p, q) => p - q);
  return Array.from({ length: ys.length / 2 }, (_, i) => [ys[2 * i]!, ys[2 * i + 1]!]);
}

/** Columns in which the area left of a place is tabulated. */
const COLUMNS = 2048;

/**
 * Any footprint laid out as a rectangle, slice by slice: the area to the left of a slice along, the share of the slice
 * below across. It keeps area whatever the shape; where a slice has gaps they are closed up.
 */
function slices(section: Section, inside: (x: number) => [number, number][]): Chart {
  const { half, area } = section;
  const high = area / (2 * half.width);
  const step = (2 * half.width) / COLUMNS;
  const left = new Float64Array(COLUMNS + 1);
  for (let i = 0; i < COLUMNS; i++) {
    const there = inside(-half.width + (i + 0.5) * step);
    left[i + 1] = left[i]! + there.reduce((s, [from, to]) => s + to - from, 0) * step;
  }
  const k = area / left[COLUMNS]!;
  const at = (i: number) => left[Math.min(COLUMNS, Math.max(0, i))]! * k;
  return {
    onto: rectangle(half.width, high / 2),
    to: (x, y) => {
      const u = Math.min(COLUMNS - 1e-9, Math.max(0, (x + half.width) / step));
      const i = Math.floor(u);
      const along = at(i) + (u - i) * (at(i + 1) - at(i));
      return [along / high - half.width, (shareBelow(inside(x), y) - 0.5) * high];
    },
    from: (u, v) => {
      const along = (u + half.width) * high;
      let [low, top] = [0, COLUMNS];
      while (top - low > 1) {
        const mid = (low + top) >> 1;
        if (at(mid) <= along) low = mid;
        else top = mid;
      }
      const width = at(low + 1) - at(low);
      const x = -half.width + (low + (width > 0 ? (along - at(low)) / width : 0.5)) * step;
      return [x, atShare(inside(x), v / high + 0.5)];
    }
  };
}

const lengthOf = (parts: readonly [number, number][]) => parts.reduce((s, [a, b]) => s + b - a, 0);

function shareBelow(parts: readonly [number, number][], y: number): number {
  const all = lengthOf(parts);
  const below = parts.reduce((s, [a, b]) => s + Math.min(b - a, Math.max(0, y - a)), 0);
  return all > 0 ? below / all : 0.5;
}

function atShare(parts: readonly [number, number][], share: number): number {
  let rest = share * lengthOf(parts);
  for (const [a, b] of parts) {
    if (rest <= b - a) return a + rest;
    rest -= b - a;
  }
  return parts.at(-1)?.[1] ?? 0;
}
