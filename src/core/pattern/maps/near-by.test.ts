import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { NearBy, type Disc, type Move } from './near-by';

const mm = (from: number, to: number) => fc.double({ min: from, max: to, noNaN: true });
const disc = fc.record({ x: mm(-60, 60), y: mm(-40, 40), radius: mm(0.5, 30) });
const place = fc.record({ x: mm(-90, 90), y: mm(-90, 90), z: mm(0, 10) });

/** Mirrors a place about a disc's middle and turns it: it stays within the disc, and goes far. */
const across =
  (discs: readonly Disc[]): Move =>
  (i, spot, weight) => {
    const { x, y, radius } = discs[i]!;
    const [dx, dy] = [spot.x - x, spot.y - y];
    if (dx * dx + dy * dy >= radius * radius) return;
    [spot.x, spot.y, spot.z] = [x - weight * 0.9 * dy, y + weight * 0.9 * dx, spot.z + i];
  };

describe('discs near a place', () => {
  it('takes it through every one that it comes to, in their order and back, as if all were looked at', () => {
    fc.assert(
      fc.property(fc.array(disc, { minLength: 1, maxLength: 40 }), place, (discs, at) => {
        const near = new NearBy(discs);
        const move = across(discs);
        const [one, all, back, allBack] = [{ ...at }, { ...at }, { ...at }, { ...at }];
        near.through(one, move, 1);
        discs.forEach((_, i) => move(i, all, 1));
        near.backThrough(back, move, -1);
        discs.forEach((_, i) => move(discs.length - 1 - i, allBack, -1));
        expect(one).toEqual(all);
        expect(back).toEqual(allBack);
      })
    );
  });

  it('looks at few of many', () => {
    const discs = Array.from({ length: 400 }, (_, i) => ({
      x: (i % 20) * 5,
      y: Math.floor(i / 20) * 5,
      radius: 4
    }));
    let looked = 0;
    new NearBy(discs).through({ x: 50, y: 50, z: 0 }, () => void looked++, 1);
    expect(looked).toBeGreaterThan(0);
    expect(looked).toBeLessThan(12);
  });
});
