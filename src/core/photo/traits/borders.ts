import { labelBeside, TINY, type Grid } from './grid';

const CELLS = 6;

interface Border {
  /** Number of the pixel in the grid. */
  i: number;
  /** Direction across the border. */
  angle: number;
}

/**
 * Borders between colours: how long, between how many pairs, how thin the colours between them are, how they stand about the
 * middle, and whether they are everywhere or in places.
 */
export function bordersOf(grid: Grid): number[] {
  const pairs = new Map<string, number>();
  const touches = grid.shares.map(() => 0);
  const borders: Border[] = [];
  grid.pixels.forEach((p, i) => {
    for (const [dx, dy] of [
      [1, 0],
      [0, 1]
    ] as const) {
      const [own, other] = [grid.labels[p]!, labelBeside(grid, p, dx, dy)];
      if (other < 0 || other === own) continue;
      const pair = own < other ? `${own} ${other}` : `${other} ${own}`;
      pairs.set(pair, (pairs.get(pair) ?? 0) + 1);
      touches[own]!++;
      touches[other]!++;
      borders.push({ i, angle: Math.atan2(dy, dx) });
    }
  });
  const long = borders.length / grid.root;
  const thick = touches.map((t, c) => (grid.shares[c]! * grid.root) / Math.max(1, t));
  const lace = touches.indexOf(Math.max(...touches));
  return [
    Math.log(1 + long),
    entropyOf([...pairs.values()]),
    grid.shares[lace] ?? 0,
    Math.log(TINY + (thick[lace] ?? 0)),
    Math.log(TINY + Math.min(...thick, 1)),
    Math.log(TINY + Math.min(1, Math.max(...thick, 0))),
    aboutMiddle(grid, borders),
    ...spreadOf(grid, borders),
    rimOf(grid)
  ];
}

function entropyOf(counts: readonly number[]): number {
  const all = Math.max(
    1,
    counts.reduce((s, v) => s + v, 0)
  );
  return -counts.reduce((s, v) => s + (v / all) * Math.log(Math.max(TINY, v / all)), 0);
}

/** 1 where borders run about the middle, −1 where they run out from it. Steps of a pixel are summed over their neighbourhood. */
function aboutMiddle(grid: Grid, borders: readonly Border[]): number {
  let [along, all] = [0, 0];
  for (const { i, angle } of borders) {
    const far = Math.hypot(grid.x[i]!, grid.y[i]!);
    if (far < 0.05) continue;
    along += Math.cos(2 * (angle - Math.atan2(grid.y[i]!, grid.x[i]!)));
    all++;
  }
  return along / Math.max(1, all);
}

/** How unevenly borders lie over a face, how much of it has none, and how many more there are outside than in the middle. */
function spreadOf(grid: Grid, borders: readonly Border[]): number[] {
  const [cells, room] = [new Float64Array(CELLS ** 2), new Float64Array(CELLS ** 2)];
  const cellOf = (i: number) => {
    const at = (v: number) => Math.min(CELLS - 1, Math.max(0, Math.floor((v / 1.2 + 0.5) * CELLS)));
    return at(grid.y[i]!) * CELLS + at(grid.x[i]!);
  };
  for (let i = 0; i < grid.pixels.length; i++) room[cellOf(i)]!++;
  for (const { i } of borders) cells[cellOf(i)]!++;
  const dense = [...cells].flatMap((n, c) => (room[c]! > 20 ? [n / Math.sqrt(room[c]!)] : []));
  const mean = dense.reduce((s, v) => s + v, 0) / Math.max(1, dense.length);
  const spread = Math.sqrt(dense.reduce((s, v) => s + (v - mean) ** 2, 0) / Math.max(1, dense.length));
  const inner = (i: number) => Math.hypot(grid.x[i]!, grid.y[i]!) < 0.28;
  const innerRoom = [...grid.x.keys()].filter(inner).length;
  const innerBorders = borders.filter(({ i }) => inner(i)).length;
  const density = (n: number, of: number) => n / Math.max(1, of);
  const [middle, outside] = [
    density(innerBorders, innerRoom),
    density(borders.length - innerBorders, grid.pixels.length - innerRoom)
  ];
  return [
    spread / Math.max(TINY, mean),
    dense.filter((v) => v < 0.1 * mean).length / Math.max(1, dense.length),
    (outside - middle) / Math.max(TINY, outside + middle)
  ];
}

/** How much of the rim is of one colour. */
function rimOf(grid: Grid): number {
  const counts = grid.shares.map(() => 0);
  let all = 0;
  for (const p of grid.pixels) {
    const atRim = [
      [2, 0],
      [-2, 0],
      [0, 2],
      [0, -2]
    ].some(([dx, dy]) => labelBeside(grid, p, dx!, dy!) < 0);
    if (!atRim) continue;
    counts[grid.labels[p]!]!++;
    all++;
  }
  return Math.max(0, ...counts) / Math.max(1, all);
}
