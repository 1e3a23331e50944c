import { BESIDE } from './beside';
import { labOfXyz, type Lab } from '../colour';
import type { Upright } from './upright';

/** CIE Lab of each pixel, three numbers each. */
export type PixelLab = Float32Array;

/** What is brighter than a sheet of paper in the same light is gloss. */
const GLOSS = 1.02;
/** A reflection lends its neighbours light for so many pixels at most. */
const FILLED = 24;

/** sRGB's linear light to XYZ under D65. Source: IEC 61966-2-1. */
const labOf = (r: number, g: number, b: number): Lab =>
  labOfXyz([
    0.4124564 * r + 0.3575761 * g + 0.1804375 * b,
    0.2126729 * r + 0.7151522 * g + 0.072175 * b,
    0.0193339 * r + 0.119192 * g + 0.9503041 * b
  ]);

/** Luminance of linear light, 1 for a perfect white. */
export const luminanceAt = (linear: Float32Array, at: number): number =>
  0.2126729 * linear[at]! + 0.7151522 * linear[at + 1]! + 0.072175 * linear[at + 2]!;

/** Lab of each pixel. */
export function pixelLabOf({
  width,
  height,
  linear
}: Pick<Upright, 'width' | 'height' | 'linear'>): PixelLab {
  const lab = new Float32Array(3 * width * height);
  for (let at = 0; at < lab.length; at += 3) {
    const { l, a, b } = labOf(linear[at]!, linear[at + 1]!, linear[at + 2]!);
    lab[at] = l;
    lab[at + 1] = a;
    lab[at + 2] = b;
  }
  return lab;
}

/** The picture without reflections: each is filled from what lies about it, ring by ring. */
export function withoutGloss(upright: Upright): Upright {
  const { width, height } = upright;
  const linear = upright.linear.slice();
  let open = glossOf(upright);
  for (let round = 0; round < FILLED && open.length; round++) {
    const unknown = new Set(open);
    const filled = open.map((p) => [p, meanAbout(linear, p, { width, height, unknown })] as const);
    for (const [p, mean] of filled) if (mean) linear.set(mean, 3 * p);
    open = filled.filter(([, mean]) => !mean).map(([p]) => p);
  }
  return { ...upright, linear };
}

/** Places too bright for any paper, in spots that fade; a larger place that is so bright, or one with an edge, is white, not wet. */
function glossOf(upright: Upright): number[] {
  const { linear, inside, full, width, height } = upright;
  const bright = new Set<number>();
  for (let p = 0; p < inside.length; p++) if (full[p] || luminanceAt(linear, 3 * p) > GLOSS) bright.add(p);
  return spotsOf(bright, { width, height })
    .filter((spot) => spot.length <= MOST_GLOSS * inside.length)
    .flatMap((spot) => haloed(upright, spot));
}

/** Connected spots of some pixels; those pixels are taken out of the set. */
function spotsOf(pixels: Set<number>, { width, height }: { width: number; height: number }): number[][] {
  const spots: number[][] = [];
  for (const start of pixels) {
    const spot = [start];
    pixels.delete(start);
    for (let i = 0; i < spot.length; i++)
      for (const [dx, dy] of BESIDE) {
        const [x, y] = [(spot[i]! % width) + dx, Math.floor(spot[i]! / width) + dy];
        const q = y * width + x;
        if (x >= 0 && y >= 0 && x < width && y < height && pixels.delete(q)) spot.push(q);
      }
    spots.push(spot);
  }
  return spots;
}

/** A reflection fades outward: what is so much brighter than what lies farther from it belongs to it. */
const FADES = 1.05;
/** Pixels that are compared outward, and rings that are looked at. */
const [OUTWARD, RINGS] = [2, 10];
/** Of the pixels about a spot so many go on into a second ring where it fades; white stuff ends at its edge. */
const SOFT = 0.5;

/** A reflection with the halo about it; nothing where the spot has a sharp edge, as something white has. */
function haloed({ width, height, linear }: Upright, core: readonly number[]): number[] {
  const gloss = new Set(core);
  const rings: number[] = [];
  let rim: readonly number[] = core;
  for (let ring = 0; ring < RINGS && rim.length; ring++) {
    const next: number[] = [];
    for (const p of rim)
      for (const [dx, dy] of BESIDE) {
        const [x, y] = [p % width, Math.floor(p / width)];
        const [ox, oy] = [x + (1 + OUTWARD) * dx, y + (1 + OUTWARD) * dy];
        if (ox < 0 || oy < 0 || ox >= width || oy >= height) continue;
        const q = p + dx + dy * width;
        const outside = luminanceAt(linear, 3 * (oy * width + ox));
        if (gloss.has(q) || luminanceAt(linear, 3 * q) <= FADES * outside) continue;
        gloss.add(q);
        next.push(q);
      }
    rim = next;
    rings.push(next.length);
  }
  const [first = 0, second = 0] = rings;
  return second > SOFT * first ? [...gloss] : [];
}

/** A spot of more than this share of a piece is no reflection. */
const MOST_GLOSS = 0.05;

interface Known {
  width: number;
  height: number;
  unknown: ReadonlySet<number>;
}

function meanAbout(linear: Float32Array, p: number, { width, height, unknown }: Known): number[] | undefined {
  const [x, y] = [p % width, Math.floor(p / width)];
  const sum = [0, 0, 0];
  let read = 0;
  for (let j = Math.max(0, y - 1); j <= Math.min(height - 1, y + 1); j++)
    for (let i = Math.max(0, x - 1); i <= Math.min(width - 1, x + 1); i++) {
      const q = j * width + i;
      if (unknown.has(q)) continue;
      for (let k = 0; k < 3; k++) sum[k]! += linear[3 * q + k]!;
      read++;
    }
  return read ? sum.map((v) => v / read) : undefined;
}
