import { BESIDE } from '../beside';
import { labelBeside, TINY, type Grid } from './grid';

/** What is smaller than this share of a face is a crumb. */
const CRUMB = 0.0006;

interface Part {
  pixels: number[];
  borders: number;
  atEdge: boolean;
}

/** What the connected parts of a face are like: how many and how large, how long, how round, how they stand to the middle. */
export function partsOf(grid: Grid): number[] {
  const index = new Int32Array(grid.labels.length);
  grid.pixels.forEach((p, i) => (index[p] = i));
  const all = connected(grid);
  const parts = all.filter((p) => p.pixels.length >= CRUMB * grid.pixels.length);
  const sizes = parts.map((p) => p.pixels.length / grid.pixels.length).sort((a, b) => b - a);
  const shapes = parts.map((part) => shapeOf(grid, part, index));
  const weighted = (of: (s: Shape) => number) =>
    shapes.reduce((s, x) => s + of(x) * x.share, 0) /
    Math.max(
      TINY,
      shapes.reduce((s, x) => s + x.share, 0)
    );
  const logs = sizes.map(Math.log);
  const mean = logs.reduce((s, v) => s + v, 0) / Math.max(1, logs.length);
  return [
    Math.log(1 + parts.length),
    Math.log(1 + all.length - parts.length),
    sizes[0] ?? 0,
    sizes[1] ?? 0,
    Math.log(TINY + (sizes[Math.floor(sizes.length / 2)] ?? 0)),
    halfOf(sizes),
    Math.sqrt(logs.reduce((s, v) => s + (v - mean) ** 2, 0) / Math.max(1, logs.length)),
    weighted((s) => s.long),
    Math.hypot(
      weighted((s) => s.long * Math.cos(2 * s.angle)),
      weighted((s) => s.long * Math.sin(2 * s.angle))
    ),
    weighted((s) => s.round),
    weighted((s) => s.full),
    weighted((s) => (s.atEdge ? 1 : 0)),
    weighted((s) => s.long * s.toMiddle)
  ];
}

function connected(grid: Grid): Part[] {
  const seen = new Uint8Array(grid.labels.length);
  const found: Part[] = [];
  for (const start of grid.pixels) {
    if (seen[start]) continue;
    const part: Part = { pixels: [start], borders: 0, atEdge: false };
    seen[start] = 1;
    for (let i = 0; i < part.pixels.length; i++) grow(grid, part, part.pixels[i]!, seen);
    found.push(part);
  }
  return found;
}

function grow(grid: Grid, part: Part, p: number, seen: Uint8Array): void {
  for (const [dx, dy] of BESIDE) {
    const label = labelBeside(grid, p, dx, dy);
    if (label < 0) part.atEdge = true;
    if (label !== grid.labels[p]) {
      part.borders++;
      continue;
    }
    const q = p + dx + dy * grid.width;
    if (!seen[q]) {
      seen[q] = 1;
      part.pixels.push(q);
    }
  }
}

interface Shape {
  share: number;
  /** 0 as wide as long, towards 1 for a line. */
  long: number;
  angle: number;
  /** 1 for a disc. */
  round: number;
  /** How much of the ellipse of its spread it fills. */
  full: number;
  atEdge: boolean;
  /** 1 where its length points at the middle, −1 where it lies across. */
  toMiddle: number;
}

function shapeOf(grid: Grid, { pixels, borders, atEdge }: Part, index: Int32Array): Shape {
  const n = pixels.length;
  let [mx, my, xx, yy, xy] = [0, 0, 0, 0, 0];
  for (const p of pixels) {
    const i = index[p]!;
    const [x, y] = [grid.x[i]!, grid.y[i]!];
    mx += x / n;
    my += y / n;
    xx += (x * x) / n;
    yy += (y * y) / n;
    xy += (x * y) / n;
  }
  // A pixel has a size of its own: without it a row of them had no width.
  const own = 1 / 12 / grid.root ** 2;
  const [cxx, cyy, cxy] = [xx - mx * mx + own, yy - my * my + own, xy - mx * my];
  const half = Math.hypot((cxx - cyy) / 2, cxy);
  const [large, small] = [(cxx + cyy) / 2 + half, Math.max(own, (cxx + cyy) / 2 - half)];
  const angle = 0.5 * Math.atan2(2 * cxy, cxx - cyy);
  const area = n / grid.root ** 2;
  const around = Math.max(TINY, (borders * Math.PI) / 4 / grid.root);
  return {
    share: n / grid.pixels.length,
    long: 1 - Math.sqrt(small / large),
    angle,
    round: Math.min(1.2, (4 * Math.PI * area) / around ** 2),
    full: Math.min(1.2, area / (4 * Math.PI * Math.sqrt(large * small))),
    atEdge,
    toMiddle: Math.hypot(mx, my) < 0.03 ? 0 : Math.cos(2 * (angle - Math.atan2(my, mx)))
  };
}

/** The size of which, with all that are larger, half of the face is made, as a logarithm. */
function halfOf(sizes: readonly number[]): number {
  let sum = 0;
  for (const size of sizes) {
    sum += size;
    if (sum >= 0.5) return Math.log(size);
  }
  return Math.log(TINY + (sizes.at(-1) ?? 0));
}
