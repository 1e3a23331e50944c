import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { noiseFrom } from './noise';
import { chanceFrom } from './seeded';

/** The value at a corner of the lattice, read from a table of its own that is wrapped at each step. */
function cornersOf(seed: number): (i: number, j: number, k: number) => number {
  const chance = chanceFrom(seed);
  const values = Array.from({ length: 256 }, () => chance() * 2 - 1);
  const order = Array.from({ length: 256 }, (_, i) => i);
  for (let i = 255; i > 0; i--) {
    const j = Math.floor(chance() * (i + 1));
    [order[i], order[j]] = [order[j]!, order[i]!];
  }
  const wrapped = (n: number) => ((n % 256) + 256) % 256;
  return (i, j, k) => values[order[wrapped(order[wrapped(order[wrapped(i)]! + j)]! + k)]!]!;
}

const whole = fc.integer({ min: -600, max: 600 });
const place = fc.double({ min: -600, max: 600, noNaN: true });

describe('noise', () => {
  it('is the table’s value at every corner of the lattice, on either side of nothing', () => {
    const noise = noiseFrom(11);
    const corner = cornersOf(11);
    fc.assert(fc.property(whole, whole, whole, (i, j, k) => noise(i, j, k) === corner(i, j, k)));
  });

  it('stays between its corners, and passes from one to the next without a step', () => {
    const noise = noiseFrom(12);
    fc.assert(
      fc.property(place, place, place, (x, y, z) => {
        const here = noise(x, y, z);
        expect(Math.abs(here)).toBeLessThanOrEqual(1);
        for (const near of [noise(x + 1e-6, y, z), noise(x, y + 1e-6, z), noise(x, y, z + 1e-6)])
          expect(Math.abs(near - here)).toBeLessThan(1e-5);
      })
    );
  });
});
