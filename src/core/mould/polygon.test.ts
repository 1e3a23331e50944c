import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isSimple, polygonArea, type Point } from './polygon';

const far = fc.double({ min: -500, max: 500, noNaN: true });
const radii = fc.array(fc.double({ min: 5, max: 60, noNaN: true }), { minLength: 4, maxLength: 9 });

/** An outline about a middle, its corners at these distances, one after another round it. */
const around = (x: number, y: number, distances: readonly number[]): Point[] =>
  distances.map((r, i) => {
    const angle = (2 * Math.PI * i) / distances.length;
    return [x + r * Math.cos(angle), y + r * Math.sin(angle)];
  });

describe('an outline', () => {
  it('that goes once round its middle crosses itself nowhere, wherever it lies', () => {
    fc.assert(fc.property(far, far, radii, (x, y, r) => isSimple(around(x, y, r))));
  });

  it('of four corners with two of them exchanged crosses itself, wherever it lies', () => {
    fc.assert(
      fc.property(far, far, radii, (x, y, r) => {
        const [a, b, c, d] = around(x, y, r.slice(0, 4)) as [Point, Point, Point, Point];
        expect(isSimple([a, c, b, d])).toBe(false);
      })
    );
  });

  it('has the same area whichever way round it is drawn and wherever it lies', () => {
    fc.assert(
      fc.property(far, far, radii, (x, y, r) => {
        const outline = around(x, y, r);
        const area = polygonArea(around(0, 0, r));
        expect(polygonArea(outline)).toBeCloseTo(area, 4);
        expect(polygonArea([...outline].reverse())).toBeCloseTo(area, 4);
      })
    );
  });
});
