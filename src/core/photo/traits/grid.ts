import type { Areas } from '../areas';

/** A face as flat areas, made ready to be described: its measured pixels, their places about the middle in roots of the area. */
export interface Grid {
  width: number;
  height: number;
  labels: Int8Array;
  /** Numbers of the measured pixels, and where each lies, in roots of the area from the middle. */
  pixels: Int32Array;
  x: Float32Array;
  y: Float32Array;
  /** Root of the measured area, pixels. */
  root: number;
  shares: number[];
  /** How often two places taken at random are of different colours, 0..1. */
  mixed: number;
}

/** Nothing is divided by less than this. */
export const TINY = 1e-6;

/** The grid of a face. */
export function gridOf({
  width,
  height,
  labels,
  colours
}: Pick<Areas, 'width' | 'height' | 'labels' | 'colours'>): Grid {
  const pixels = Int32Array.from([...labels.keys()].filter((p) => labels[p]! >= 0));
  const root = Math.sqrt(Math.max(1, pixels.length));
  let [mx, my] = [0, 0];
  for (const p of pixels) {
    mx += p % width;
    my += Math.floor(p / width);
  }
  mx /= Math.max(1, pixels.length);
  my /= Math.max(1, pixels.length);
  const shares = colours.map((c) => c.share);
  return {
    width,
    height,
    labels,
    pixels,
    x: Float32Array.from(pixels, (p) => ((p % width) - mx) / root),
    y: Float32Array.from(pixels, (p) => (Math.floor(p / width) - my) / root),
    root,
    shares,
    mixed: Math.max(TINY, 1 - shares.reduce((s, v) => s + v * v, 0))
  };
}

/** The label so far from a pixel; −1 outside what is measured. */
export function labelBeside({ width, height, labels }: Grid, p: number, dx: number, dy: number): number {
  const x = (p % width) + dx;
  const y = Math.floor(p / width) + dy;
  return x < 0 || y < 0 || x >= width || y >= height ? -1 : labels[y * width + x]!;
}

/**
 * How much of the mixture of colours is explained by which of some bins a pixel lies in: 0 where each bin is as mixed as the
 * whole, 1 where each is of one colour.
 */
export function purityIn(grid: Grid, bins: number, binOf: (i: number) => number): number {
  const colours = grid.shares.length;
  const counts = new Float64Array(bins * colours);
  const all = new Float64Array(bins);
  for (let i = 0; i < grid.pixels.length; i++) {
    const bin = binOf(i);
    if (bin < 0 || bin >= bins) continue;
    counts[bin * colours + grid.labels[grid.pixels[i]!]!]!++;
    all[bin]!++;
  }
  let sum = 0;
  let n = 0;
  for (let bin = 0; bin < bins; bin++) {
    if (!all[bin]) continue;
    for (let c = 0; c < colours; c++) sum += counts[bin * colours + c]! ** 2 / all[bin]!;
    n += all[bin]!;
  }
  return (sum / Math.max(1, n) - (1 - grid.mixed)) / grid.mixed;
}
