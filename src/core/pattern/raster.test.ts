import { describe, expect, it } from 'vitest';
import { drawing, PARTS, type Alike, type Raster } from './raster';

function all(
  width: number,
  height: number,
  sample: (x: number, y: number) => number,
  looksAlike?: Alike
): { whole: Raster; coarse: Int32Array } {
  const steps = drawing(width, height, sample, looksAlike);
  const coarse = (steps.next().value as Raster).codes.slice();
  for (;;) {
    const step = steps.next();
    if (step.done) return { whole: step.value, coarse };
  }
}

/** Rings with a thin line across them: wide parts, borders, and something narrower than a coarse block. */
const rings = (x: number, y: number): number => {
  const r = Math.hypot(x - 0.5, y - 0.5);
  if (r > 0.48) return -1;
  if (Math.abs(x - y) < 0.012) return 9;
  return Math.floor(r * 9);
};

describe('a picture drawn from coarse to fine', () => {
  it.each([
    [200, 200],
    [173, 90],
    [70, 300]
  ])('of %i by %i pixels is the one that looks at every pixel', (w, h) => {
    const { whole } = all(w, h, rings);
    const off = whole.codes.reduce((n, code, i) => {
      const [x, y] = [i % w, Math.floor(i / w)];
      return n + (code === rings((x + 0.5) / w, (y + 0.5) / h) ? 0 : 1);
    }, 0);
    expect(off / (w * h)).toBeLessThan(0.005);
  });

  it('looks closely only where something changes', () => {
    const { whole } = all(400, 400, rings);
    // What is looked at within pixels on a border is beside that.
    expect(whole.taken - whole.edges.parts.length).toBeLessThan(0.4 * 400 * 400);
    expect(whole.edges.parts).toHaveLength(PARTS * whole.edges.at.length);
    const plain = all(400, 400, () => 3).whole;
    expect(plain.taken).toBeLessThan(0.06 * 400 * 400);
    expect(plain.codes.every((c) => c === 3)).toBe(true);
  });

  it('finds what stands in the middle of a block and touches none of its corners', () => {
    const dots = (x: number, y: number) => {
      const [i, j] = [(x * 160) % 8, (y * 160) % 8];
      return Math.hypot(i - 4.5, j - 4.5) < 2.5 ? 2 : 1;
    };
    const { whole } = all(160, 160, dots);
    const found = whole.codes.filter((c) => c === 2).length / whole.codes.length;
    expect(found).toBeGreaterThan(0.25);
  });

  it('looks within no pixel on a border that nobody sees, and still draws each code where it is', () => {
    // Rings of one look, and outside them: only their outer edge is a border.
    const oneLook: Alike = (a, b, nearly) => a === b || (nearly && a >= 0 && b >= 0);
    const [plain, parted] = [all(200, 200, rings, oneLook).whole, all(200, 200, rings).whole];
    expect(plain.codes).toEqual(parted.codes);
    expect(plain.edges.at.length).toBeLessThan(0.35 * parted.edges.at.length);
    const outer = (i: number) => [i, i - 1, i + 1, i - 200, i + 200].some((j) => plain.codes[j] === -1);
    expect(plain.edges.at.every(outer)).toBe(true);
  });

  it('fills a last block of pixels at once where its codes are one colour', () => {
    const stripes = (x: number) => Math.floor(x * 200) % 2;
    const one: Alike = (a, b) => a >= 0 && b >= 0;
    const { whole } = all(200, 200, stripes, one);
    expect(whole.taken).toBeLessThan(0.6 * all(200, 200, stripes).whole.taken);
  });

  it('fills every pixel of the picture it shows first', () => {
    const { coarse } = all(64, 64, (x) => (x < 0.5 ? 1 : 2));
    expect([...new Set(coarse)].sort()).toEqual([1, 2]);
    expect(coarse[0]).toBe(1);
    expect(coarse[63]).toBe(2);
  });
});
