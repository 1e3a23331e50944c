import { labelBeside, type Grid } from './grid';

/** Distances at which two places are compared, roots of the area. */
const DISTANCES = [0.015, 0.03, 0.06, 0.12, 0.24, 0.48];
const DIRECTIONS = 12;

/**
 * How often two places at a distance are of different colours, against any two places; and how much that leans to a
 * direction, once and twice about.
 */
export const distancesOf = (grid: Grid): number[] =>
  DISTANCES.flatMap((d) => {
    const by = Array.from({ length: DIRECTIONS }, (_, k) =>
      differAt(grid, d * grid.root, (Math.PI * k) / DIRECTIONS)
    );
    const mean = by.reduce((s, v) => s + v, 0) / DIRECTIONS;
    return [mean, harmonic(by, 2), harmonic(by, 4)];
  });

function differAt(grid: Grid, far: number, angle: number): number {
  const [dx, dy] = [Math.round(far * Math.cos(angle)), Math.round(far * Math.sin(angle))];
  let [n, differ] = [0, 0];
  for (const p of grid.pixels) {
    const other = labelBeside(grid, p, dx, dy);
    if (other < 0) continue;
    n++;
    if (other !== grid.labels[p]) differ++;
  }
  return n ? differ / n / grid.mixed : 0;
}

/** How strong a wave over the half turn is: `times` of it in a whole turn. */
function harmonic(by: readonly number[], times: number): number {
  let [c, s] = [0, 0];
  by.forEach((v, k) => {
    const angle = (times * Math.PI * k) / by.length;
    c += v * Math.cos(angle);
    s += v * Math.sin(angle);
  });
  return (2 * Math.hypot(c, s)) / by.length;
}
