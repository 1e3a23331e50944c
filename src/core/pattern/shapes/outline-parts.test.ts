import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { outlineParts, partStar, signedArea, within, type Corner } from './outline-parts';
import { nodesOf } from './star';

/** Any outline that does not cross itself: corners at rising angles, as far out as chance has it, then bent. */
const outlines = fc
  .array(fc.double({ min: 4, max: 40, noNaN: true }), { minLength: 5, maxLength: 14 })
  .map((radii) =>
    radii.map((r, i): Corner => {
      const angle = (2 * Math.PI * i) / radii.length;
      return [r * Math.cos(angle), r * Math.sin(angle)];
    })
  );

/** A horseshoe: no place sees all of it. */
const HORSESHOE: Corner[] = [
  [0, 0],
  [30, 0],
  [30, 40],
  [20, 40],
  [20, 10],
  [10, 10],
  [10, 40],
  [0, 40]
];

describe('an outline in parts', () => {
  it('is whole where a place sees all of it', () => {
    const square: Corner[] = [
      [0, 0],
      [10, 0],
      [10, 10],
      [0, 10]
    ];
    expect(outlineParts(square)).toEqual([{ at: { x: 5, y: 5 }, corners: square, area: 100 }]);
    // Which way round it was traced makes no difference.
    expect(outlineParts([...square].reverse())[0]!.area).toBe(100);
  });

  it('keeps its area and covers each place once', () => {
    fc.assert(
      fc.property(fc.oneof(outlines, fc.constant(HORSESHOE)), (outline) => {
        const parts = outlineParts(outline);
        const whole = Math.abs(signedArea(outline));
        expect(parts.reduce((s, p) => s + p.area, 0) / whole).toBeCloseTo(1, 2);
        for (let i = 0; i < 60; i++) {
          const [x, y] = [((i * 37) % 83) - 41.3, ((i * 53) % 79) - 39.1];
          const covered = parts.filter((p) => within(p.corners, x, y)).length;
          if (covered !== Number(within(outline, x, y))) expect(nearEdge(outline, parts, [x, y])).toBe(true);
        }
      }),
      { numRuns: 60, seed: 11 }
    );
  });

  it('sees each of its parts whole: within its star is within its corners', () => {
    const parts = outlineParts(HORSESHOE);
    expect(parts.length).toBeGreaterThan(1);
    for (const part of parts) {
      const star = partStar(part);
      expect(star.area).toBeCloseTo(part.area, 6);
      for (let x = 0.5; x < 30; x += 1.7)
        for (let y = 0.5; y < 40; y += 1.7) {
          const [dx, dy] = [x - part.at.x, y - part.at.y];
          const inside = dx * dx + dy * dy < star.at(nodesOf(dx, dy));
          if (inside !== within(part.corners, x, y))
            expect(nearEdge(part.corners, [], [x, y], 0.6)).toBe(true);
        }
    }
  });

  it('is cut the same where a corner was tapped twice', () => {
    const twice = HORSESHOE.flatMap((p) => [p, p]);
    expect(outlineParts(twice)).toEqual(outlineParts(HORSESHOE));
  });

  it('is nothing without area', () => {
    expect(outlineParts([])).toEqual([]);
    expect(
      outlineParts([
        [0, 0],
        [5, 5],
        [10, 10]
      ])
    ).toEqual([]);
  });
});

/** Whether a place lies on a border, where rounding may count it to either side. */
function nearEdge(
  outline: readonly Corner[],
  parts: readonly { corners: readonly Corner[] }[],
  [x, y]: Corner,
  near = 0.05
): boolean {
  return [outline, ...parts.map((p) => p.corners)].some((corners) =>
    corners.some((a, i) => {
      const b = corners[(i + 1) % corners.length]!;
      const [ex, ey] = [b[0] - a[0], b[1] - a[1]];
      const k = Math.max(0, Math.min(1, ((x - a[0]) * ex + (y - a[1]) * ey) / (ex * ex + ey * ey || 1)));
      return Math.hypot(a[0] + k * ex - x, a[1] + k * ey - y) < near;
    })
  );
}
