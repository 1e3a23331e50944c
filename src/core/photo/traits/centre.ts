import { purityIn, TINY, type Grid } from './grid';

const RINGS = 14;
const RAYS = 24;
/** Where the middle of rings is looked for: so many places across, so far out, roots of the area; then closer by halves. */
const [ACROSS, OUT] = [7, 0.27];
const CLOSER = 3;
const TURNS = [2, 3, 4, 5, 6, 8, 10, 12] as const;
const MIRRORS = 12;

interface Middle {
  x: number;
  y: number;
}

/** What a face is like about a middle: rings, rays, what turning and mirroring it changes. */
export function centreOf(grid: Grid): number[] {
  const { middle, rings } = ringed(grid);
  const rays = Math.max(raysAbout(grid, middle), raysAbout(grid, { x: 0, y: 0 }));
  const turned = TURNS.map((f) => agreement(grid, turnedBy((2 * Math.PI) / f)));
  const mean = turned.reduce((s, v) => s + v, 0) / turned.length;
  const mirrored = Array.from({ length: MIRRORS }, (_, k) =>
    agreement(grid, mirroredAt((Math.PI * k) / MIRRORS))
  );
  return [
    rings,
    Math.hypot(middle.x, middle.y),
    rays,
    Math.max(...turned.slice(1)) - mean,
    turned[0]! - mean,
    mean,
    Math.max(...mirrored) - mirrored.reduce((s, v) => s + v, 0) / MIRRORS
  ];
}

const ringsAbout = ({ x, y, ...grid }: Grid, m: Middle): number =>
  purityIn({ x, y, ...grid }, RINGS, (i) => {
    const [dx, dy] = [x[i]! - m.x, y[i]! - m.y];
    return Math.floor((Math.sqrt(dx * dx + dy * dy) / 0.75) * RINGS);
  });

const raysAbout = (grid: Grid, m: Middle): number =>
  purityIn(grid, RAYS, (i) => {
    const turn = Math.atan2(grid.y[i]! - m.y, grid.x[i]! - m.x) / (2 * Math.PI) + 0.5;
    return Math.min(RAYS - 1, Math.floor(turn * RAYS));
  });

/** The middle about which a face is most like rings. */
function ringed(grid: Grid): { middle: Middle; rings: number } {
  const step = (2 * OUT) / (ACROSS - 1);
  let best = { middle: { x: 0, y: 0 }, rings: ringsAbout(grid, { x: 0, y: 0 }) };
  const attempt = (x: number, y: number) => {
    const rings = ringsAbout(grid, { x, y });
    if (rings > best.rings) best = { middle: { x, y }, rings };
  };
  for (let j = 0; j < ACROSS; j++) for (let i = 0; i < ACROSS; i++) attempt(i * step - OUT, j * step - OUT);
  for (let by = step / 2, round = 0; round < CLOSER; round++, by /= 2) {
    const { x, y } = best.middle;
    for (const [dx, dy] of [
      [by, 0],
      [-by, 0],
      [0, by],
      [0, -by]
    ] as const)
      attempt(x + dx, y + dy);
  }
  return best;
}

type Moved = (x: number, y: number) => readonly [number, number];
const turnedBy = (angle: number): Moved => {
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return (x, y) => [c * x - s * y, s * x + c * y];
};
const mirroredAt = (angle: number): Moved => {
  const [c, s] = [Math.cos(2 * angle), Math.sin(2 * angle)];
  return (x, y) => [c * x + s * y, s * x - c * y];
};

/** How much more of a face agrees with itself, moved, than of any two places; 1 where all of it does. */
function agreement(grid: Grid, moved: Moved): number {
  const { pixels, labels, width, height, root } = grid;
  const [x0, y0] = [
    (pixels[0]! % width) - grid.x[0]! * root,
    Math.floor(pixels[0]! / width) - grid.y[0]! * root
  ];
  let [n, same] = [0, 0];
  for (let i = 0; i < pixels.length; i += 2) {
    const [x, y] = moved(grid.x[i]!, grid.y[i]!);
    const [px, py] = [Math.round(x * root + x0), Math.round(y * root + y0)];
    if (px < 0 || py < 0 || px >= width || py >= height) continue;
    const other = labels[py * width + px]!;
    if (other < 0) continue;
    n++;
    if (other === labels[pixels[i]!]) same++;
  }
  return (same / Math.max(1, n) - (1 - grid.mixed)) / Math.max(TINY, grid.mixed);
}
