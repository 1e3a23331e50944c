import type { PixelLab } from './pixel-lab';

/** A colour's middle in Lab. */
export type Centre = readonly [l: number, a: number, b: number];

/** Uneven light moves lightness more than hue: a step of it counts so much less, as a square. */
const LIGHTNESS = 0.7;
/** Colours a face is first taken apart into. */
const FIRST = 10;
const ROUNDS = 12;
/** The next colour begins at the 0.4 % farthest place, never at the single farthest: that is gloss. */
const FARTHEST = 0.996;
/** Colours nearer than this are one. */
const ONE = 13;
/** A colour of less than this share of what is calm is none. */
const LEAST = 0.006;

/** How far a pixel is from a colour, squared. */
function squared(lab: PixelLab, at: number, c: Centre): number {
  const l = lab[at]! - c[0];
  const a = lab[at + 1]! - c[1];
  const b = lab[at + 2]! - c[2];
  return LIGHTNESS * l * l + a * a + b * b;
}

/** How far a pixel is from a colour. */
export const apartAt = (lab: PixelLab, at: number, c: Centre): number => Math.sqrt(squared(lab, at, c));

/** How far two colours are apart. */
export const apart = (p: Centre, q: Centre): number =>
  Math.sqrt(LIGHTNESS * (p[0] - q[0]) ** 2 + (p[1] - q[1]) ** 2 + (p[2] - q[2]) ** 2);

/** The number of the colour that is nearest to a pixel. */
export function nearestAt(lab: PixelLab, at: number, centres: readonly Centre[]): number {
  let of = 0;
  let least = Infinity;
  for (let i = 0; i < centres.length; i++) {
    const d = squared(lab, at, centres[i]!);
    if (d < least) {
      least = d;
      of = i;
    }
  }
  return of;
}

/** How far a pixel is from its nearest colour. */
export const farAt = (lab: PixelLab, at: number, centres: readonly Centre[]): number =>
  centres.length ? apartAt(lab, at, centres[nearestAt(lab, at, centres)]!) : Infinity;

/**
 * The colours that calm places of a face fall into, most of it first: k-means from starts far apart, then what is nearly
 * the same or hardly there is joined to its nearest.
 * @param pixels the places that vote, as numbers of pixels
 */
export function centresOf(lab: PixelLab, pixels: readonly number[], most = FIRST): Centre[] {
  if (!pixels.length) return [];
  let centres = startsOf(lab, pixels, most);
  let counts: number[] = [];
  for (let round = 0; round < ROUNDS; round++) ({ centres, counts } = meansOf(lab, pixels, centres));
  return joined(centres, counts, pixels.length);
}

function startsOf(lab: PixelLab, pixels: readonly number[], most: number): Centre[] {
  const centres = [meanOf(lab, pixels)];
  const far = Float32Array.from(pixels, (p) => apartAt(lab, 3 * p, centres[0]!));
  while (centres.length < most) {
    const order = far.slice().sort();
    const limit = order[Math.floor(FARTHEST * (order.length - 1))]!;
    if (limit < ONE / 2) break;
    const p = pixels[far.findIndex((d) => d >= limit)]!;
    const next: Centre = [lab[3 * p]!, lab[3 * p + 1]!, lab[3 * p + 2]!];
    centres.push(next);
    pixels.forEach((q, i) => (far[i] = Math.min(far[i]!, apartAt(lab, 3 * q, next))));
  }
  return centres;
}

/** The mean of some pixels. */
export function meanOf(lab: PixelLab, pixels: readonly number[]): Centre {
  const sum: [number, number, number] = [0, 0, 0];
  for (const p of pixels) for (let k = 0; k < 3; k++) sum[k]! += lab[3 * p + k]!;
  const n = Math.max(1, pixels.length);
  return [sum[0] / n, sum[1] / n, sum[2] / n];
}

function meansOf(lab: PixelLab, pixels: readonly number[], centres: readonly Centre[]) {
  const counts = centres.map(() => 0);
  const sums = new Float64Array(3 * centres.length);
  for (const p of pixels) {
    const of = nearestAt(lab, 3 * p, centres);
    counts[of]!++;
    for (let k = 0; k < 3; k++) sums[3 * of + k]! += lab[3 * p + k]!;
  }
  const meanAt = (i: number): Centre => {
    const n = counts[i]!;
    return n ? [sums[3 * i]! / n, sums[3 * i + 1]! / n, sums[3 * i + 2]! / n] : centres[i]!;
  };
  return { centres: centres.map((_, i) => meanAt(i)), counts };
}

/** Centres without what is hardly there and what is nearly the same as a larger one. */
function joined(centres: readonly Centre[], counts: readonly number[], all: number): Centre[] {
  const kept = centres
    .map((c, i) => ({ c, n: counts[i] ?? 0 }))
    .filter(({ n }) => n >= LEAST * all)
    .sort((a, b) => b.n - a.n);
  for (;;) {
    const pair = nearestPair(kept.map(({ c }) => c));
    if (!pair || pair.far >= ONE) return kept.sort((a, b) => b.n - a.n).map(({ c }) => c);
    const [one, other] = [kept[pair.i]!, kept[pair.j]!];
    const n = one.n + other.n;
    const c = one.c.map((v, k) => (v * one.n + other.c[k]! * other.n) / n) as unknown as Centre;
    kept.splice(pair.j, 1);
    kept[pair.i] = { c, n };
  }
}

function nearestPair(centres: readonly Centre[]): { i: number; j: number; far: number } | undefined {
  let best: { i: number; j: number; far: number } | undefined;
  for (let i = 0; i < centres.length; i++)
    for (let j = i + 1; j < centres.length; j++) {
      const far = apart(centres[i]!, centres[j]!);
      if (!best || far < best.far) best = { i, j, far };
    }
  return best;
}
