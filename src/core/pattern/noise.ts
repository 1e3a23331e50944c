import { chanceFrom } from './seeded';

/** A smooth field of numbers between −1 and 1 over space, the same again from the same seed; about one wave a unit. */
export type Noise = (x: number, y: number, z: number) => number;

const SIZE = 256;

/**
 * Values at the corners of a lattice, taken from a shuffled table, blended with a curve that is smooth at the corners.
 * @example noiseFrom(1)(0.5, 0, 0) === noiseFrom(1)(0.5, 0, 0) // true
 */
export function noiseFrom(seed: number): Noise {
  const chance = chanceFrom(seed);
  const values = Float64Array.from({ length: SIZE }, () => chance() * 2 - 1);
  const order = Uint8Array.from({ length: SIZE }, (_, i) => i);
  for (let i = SIZE - 1; i > 0; i--) {
    const j = Math.floor(chance() * (i + 1));
    [order[i], order[j]] = [order[j]!, order[i]!];
  }
  const at = (i: number, j: number, k: number) =>
    values[order[(order[(order[i & 255]! + j) & 255]! + k) & 255]!]!;
  return (x, y, z) => {
    const [i, j, k] = [Math.floor(x), Math.floor(y), Math.floor(z)];
    const [u, v, w] = [eased(x - i), eased(y - j), eased(z - k)];
    const plane = (n: number) =>
      blend(blend(at(i, j, n), at(i + 1, j, n), u), blend(at(i, j + 1, n), at(i + 1, j + 1, n), u), v);
    return blend(plane(k), plane(k + 1), w);
  };
}

const eased = (t: number) => t * t * t * (t * (6 * t - 15) + 10);
const blend = (a: number, b: number, t: number) => a + (b - a) * t;
