import { describe, expect, it } from 'vitest';
import { traitsOf } from '.';
import { bandsOf } from './bands';
import { bordersOf } from './borders';
import { centreOf } from './centre';
import { distancesOf } from './distances';
import { gridOf } from './grid';
import { partsOf } from './parts';

const SIDE = 96;
/** A face by a rule: which colour at −1..1 across and down. */
function faceOf(colourAt: (x: number, y: number) => number) {
  const labels = Int8Array.from({ length: SIDE * SIDE }, (_, p) =>
    colourAt((2 * ((p % SIDE) + 0.5)) / SIDE - 1, (2 * (Math.floor(p / SIDE) + 0.5)) / SIDE - 1)
  );
  const colours = [...new Set(labels)]
    .sort((a, b) => a - b)
    .map((i) => ({
      lab: { l: 0, a: 0, b: 0 },
      hex: '',
      share: labels.filter((l) => l === i).length / labels.length
    }));
  return { width: SIDE, height: SIDE, labels, colours };
}
const rings = faceOf((x, y) => Math.floor(Math.hypot(x, y) * 5) % 2);
const bands = faceOf((x) => Math.floor((x + 1) * 4) % 2);
const wedges = faceOf((x, y) => Math.floor((Math.atan2(y, x) / Math.PI + 1) * 4) % 2);
const chequers = faceOf((x, y) => (Math.floor((x + 1) * 8) + Math.floor((y + 1) * 8)) % 2);
const half = faceOf((x) => (x < 0 ? 0 : 1));

describe('what a face is like', () => {
  it('knows no hue: colours may change their places', () => {
    const three = faceOf((x, y) => (y > 0.6 ? 2 : Math.floor(Math.hypot(x, y) * 5) % 2));
    const swapped = {
      ...three,
      labels: three.labels.map((l) => 2 - l),
      colours: [...three.colours].reverse()
    };
    const [one, other] = [traitsOf(three), traitsOf(swapped)];
    // The shares stand in the order of the colours; all the rest is the same.
    one.slice(0, -3).forEach((v, i) => expect(other[i]).toBeCloseTo(v, 9));
  });

  it('has rings where it has rings, rays where it has rays', () => {
    const [ringRings, , ringRays] = centreOf(gridOf(rings));
    const [wedgeRings, , wedgeRays] = centreOf(gridOf(wedges));
    expect(ringRings).toBeGreaterThan(0.5);
    expect(wedgeRays).toBeGreaterThan(0.8);
    expect(ringRays).toBeLessThan(0.2);
    expect(wedgeRings).toBeLessThan(0.2);
  });

  it('finds the middle of rings that do not lie in the middle', () => {
    const off = faceOf((x, y) => Math.floor(Math.hypot(x - 0.3, y + 0.2) * 5) % 2);
    const [purity, offset] = centreOf(gridOf(off));
    expect(purity).toBeGreaterThan(0.55);
    expect(offset).toBeCloseTo(Math.hypot(0.15, 0.1), 1);
  });

  it('has bands along a direction and none across, and counts them', () => {
    const [along, across, , runs, uneven] = bandsOf(gridOf(bands));
    expect(along).toBeGreaterThan(0.75);
    expect(across).toBeLessThan(0.1);
    expect(Math.exp(runs!)).toBeCloseTo(8, 0);
    expect(uneven).toBeLessThan(0.35);
  });

  it('is finer where its colours change within a shorter way', () => {
    const [fine] = distancesOf(gridOf(chequers));
    const [coarse] = distancesOf(gridOf(half));
    expect(fine).toBeGreaterThan(5 * coarse!);
  });

  it('leans where it is drawn one way', () => {
    const leanOf = (face: ReturnType<typeof faceOf>) => distancesOf(gridOf(face))[10]!;
    expect(leanOf(bands)).toBeGreaterThan(4 * leanOf(chequers));
  });

  it('counts its parts, and knows long ones from round', () => {
    const dots = faceOf((x, y) => {
      const [u, v] = [((x + 1) * 2) % 1, ((y + 1) * 2) % 1];
      return Math.hypot(u - 0.5, v - 0.5) < 0.3 ? 1 : 0;
    });
    const [dotParts, , , , , , , dotLong] = partsOf(gridOf(dots));
    const [bandParts, , , , , , , bandLong] = partsOf(gridOf(bands));
    expect(Math.round(Math.exp(dotParts!) - 1)).toBe(17);
    expect(Math.round(Math.exp(bandParts!) - 1)).toBe(8);
    expect(bandLong).toBeGreaterThan(0.8);
    expect(dotLong).toBeLessThan(0.1);
  });

  it('has as much border as it has, and says how much of its rim is one colour', () => {
    const border = (face: ReturnType<typeof faceOf>) => Math.exp(bordersOf(gridOf(face))[0]!) - 1;
    expect(border(half)).toBeCloseTo(1, 1);
    expect(border(bands)).toBeCloseTo(7, 1);
    const framed = faceOf((x, y) => (Math.max(Math.abs(x), Math.abs(y)) > 0.9 ? 1 : 0));
    expect(bordersOf(gridOf(framed)).at(-1)).toBe(1);
  });
});
