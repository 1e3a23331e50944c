import { chanceFrom } from './seeded';

/** A smooth field of numbers between −1 and 1 over space, the same again from the same seed; about one wave a unit. */
export type Noise = (x: number, y: number, z: number) => number;

const SIZE = 256;

/**
 * Values at the corners of a lattice, taken from a shuffled table, blended with a curve that is smooth at the corners.
 * @example noiseFrom(1)(0.5, 0, 0) === noiseFrom(1)(0.5, 0, 0) // true
 */
export function noiseFrom(seed: number): Noise {
  const { values, order } = tablesFrom(seed);
  const at = (place: number) => values[order[place]!]!;
  // Written out, without a closure for each call: a picture asks for it at every one of its pixels.
  return (x, y, z) => {
    const [fx, fy, fz] = [Math.floor(x), Math.floor(y), Math.floor(z)];
    const [u, v, w] = [eased(x - fx), eased(y - fy), eased(z - fz)];
    const left = order[fx & 255]! + (fy & 255);
    const right = order[(fx & 255) + 1]! + (fy & 255);
    const k = fz & 255;
    const [a, b, c, d] = [order[left]! + k, order[right]! + k, order[left + 1]! + k, order[right + 1]! + k];
    return blend(
      blend(blend(at(a), at(b), u), blend(at(c), at(d), u), v),
      blend(blend(at(a + 1), at(b + 1), u), blend(at(c + 1), at(d + 1), u), v),
      w
    );
  };
}

/** Values by chance, and the numbers below 256 shuffled: twice over and one more, so that two of them added need no wrapping. */
function tablesFrom(seed: number): { values: Float64Array; order: Uint16Array } {
  const chance = chanceFrom(seed);
  const values = Float64Array.from({ length: SIZE }, () => chance() * 2 - 1);
  const shuffled = Uint8Array.from({ length: SIZE }, (_, i) => i);
  for (let i = SIZE - 1; i > 0; i--) {
    const j = Math.floor(chance() * (i + 1));
    [shuffled[i], shuffled[j]] = [shuffled[j]!, shuffled[i]!];
  }
  return { values, order: Uint16Array.from({ length: 2 * SIZE + 1 }, (_, i) => shuffled[i & 255]!) };
}

const eased = (t: number) => t * t * t * (t * (6 * t - 15) + 10);
const blend = (a: number, b: number, t: number) => a + (b - a) * t;
