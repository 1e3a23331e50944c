import { purityIn, TINY, type Grid } from './grid';

const DIRECTIONS = 24;
const BINS = 24;

/** How far a face is made of straight bands: how pure along the best direction, across it, and how many they are and how even. */
export function bandsOf(grid: Grid): number[] {
  const by = Array.from({ length: DIRECTIONS }, (_, k) =>
    purityIn(grid, BINS, binAt(grid, (Math.PI * k) / DIRECTIONS))
  );
  const best = by.indexOf(Math.max(...by));
  const runs = runsAlong(grid, (Math.PI * best) / DIRECTIONS);
  const mean = runs.reduce((s, v) => s + v, 0) / Math.max(1, runs.length);
  const spread = Math.sqrt(runs.reduce((s, v) => s + (v - mean) ** 2, 0) / Math.max(1, runs.length));
  return [
    by[best]!,
    by[(best + DIRECTIONS / 2) % DIRECTIONS]!,
    by.reduce((s, v) => s + v, 0) / DIRECTIONS,
    Math.log(runs.length),
    spread / Math.max(TINY, mean)
  ];
}

function binAt(grid: Grid, angle: number): (i: number) => number {
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return (i) => Math.floor(((c * grid.x[i]! + s * grid.y[i]!) / 1.3 + 0.5) * BINS);
}

/** Lengths of runs of one colour, in bins, along a direction, each bin taken for its commonest colour. */
function runsAlong(grid: Grid, angle: number): number[] {
  const of = binAt(grid, angle);
  const colours = grid.shares.length;
  const counts = new Float64Array(BINS * colours);
  for (let i = 0; i < grid.pixels.length; i++) {
    const bin = of(i);
    if (bin >= 0 && bin < BINS) counts[bin * colours + grid.labels[grid.pixels[i]!]!]!++;
  }
  const runs: number[] = [];
  let before = -1;
  for (let bin = 0; bin < BINS; bin++) {
    const own = counts.subarray(bin * colours, (bin + 1) * colours);
    const most = Math.max(...own);
    if (!most) continue;
    const colour = own.indexOf(most);
    if (colour === before) runs[runs.length - 1]!++;
    else runs.push(1);
    before = colour;
  }
  return runs;
}
