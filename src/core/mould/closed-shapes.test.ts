import { describe, expect, it } from 'vitest';
import { regular } from './closed-shapes';
import { fitted, widened } from './fit';
import { geometryOf, levelAt, profileOf, shapeFault } from './geometry';
import { polygonArea } from './polygon';
import type { Shape } from './shape';

const egg = { kind: 'egg', radius: 22, depth: 60 } as const;
const gem = { kind: 'gem', radius: 20, tableRadius: 12, depth: 26, crown: 8, sides: 8 } as const;

/** Half the width at a height, by the words of each shape alone. */
const ACROSS: Record<'egg' | 'gem', (z: number) => number> = {
  egg: (z) => {
    const [middle, high] = z < 24 ? [24, 24] : [24, 36];
    return 22 * Math.sqrt(1 - ((z - middle) / high) ** 2);
  },
  gem: (z) => (z < 18 ? (20 * z) / 18 : 20 - (8 * (z - 18)) / 8)
};
const AREA = { egg: (r: number) => Math.PI * r * r, gem: (r: number) => 4 * r * r * Math.SQRT1_2 };

describe.each([egg, gem])('a closed shape: $kind', (shape) => {
  const geometry = geometryOf(shape);
  const { kind, depth } = shape;

  it('holds at any level what slices of it add up to, and back', () => {
    for (const level of [3, 11, 18, 24, 25.5, depth]) {
      if (level > depth) continue;
      const n = 20_000;
      let sum = 0;
      for (let i = 0; i < n; i++) sum += AREA[kind](ACROSS[kind]((level * (i + 0.5)) / n)) * (level / n);
      expect(geometry.volumeAt(level)).toBeCloseTo(sum / 1000, 4);
      expect(levelAt(geometry, geometry.volumeAt(level))).toBeCloseTo(level, 4);
    }
  });

  it('is as wide at each height as it is drawn, and nowhere wider than where it says', () => {
    for (let z = 0.5; z < depth; z += 1.7) {
      expect(geometry.halfWidthAt(z)).toBeCloseTo(ACROSS[kind](z), 9);
      expect(geometry.areaAt(z)).toBeCloseTo(AREA[kind](ACROSS[kind](z)), 6);
      expect(geometry.halfWidthAt(z)).toBeLessThanOrEqual(geometry.halfWidthAt(geometry.widest!));
    }
    expect(geometry.volumeAt(-1)).toBe(0);
    expect(geometry.volumeAt(depth + 9)).toBe(geometry.volumeAt(depth));
  });

  it('grows in all directions, or in width alone, to a volume', () => {
    const whole = geometry.volumeAt(depth);
    expect(geometryOf(fitted(shape, 2)).volumeAt(Infinity) / whole).toBeCloseTo(2, 2);
    const wide = widened(shape, 2)!;
    expect(geometryOf(wide).volumeAt(Infinity) / whole).toBeCloseTo(2, 2);
    expect(wide).toMatchObject({ depth });
  });
});

describe('a section', () => {
  it('has an edge where a closed shape is widest, and is drawn from its foot to its rim', () => {
    const profile = profileOf(geometryOf(gem), 7);
    expect(profile).toContainEqual([18, 20]);
    expect(profile[0]).toEqual([0, 0]);
    expect(profile.at(-1)).toEqual([26, 12]);
    expect(profile.map(([z]) => z)).toEqual(profile.map(([z]) => z).sort((a, b) => a - b));
    expect(profileOf(geometryOf({ kind: 'cylinder', radius: 9, depth: 4 }), 2)).toEqual([
      [0, 9],
      [1, 9],
      [4, 9]
    ]);
  });
});

describe('a cut stone', () => {
  it('keeps its sides when it grows', () => expect(fitted(gem, 3)).toMatchObject({ sides: 8 }));

  it('is refused where it cannot be', () => {
    const fault = (over: Partial<Shape>) => shapeFault({ ...gem, ...over } as Shape);
    expect(fault({})).toBeUndefined();
    expect(fault({ crown: 26 })).toContain('no less than the whole height');
    expect(fault({ crown: 25.9 })).toBeUndefined();
    expect(fault({ tableRadius: 21 })).toContain('wider than the stone');
  });

  it('has a regular outline, its first corner to the right', () => {
    expect(regular(4, 10)[1]![1]).toBeCloseTo(10, 9);
    expect(polygonArea(regular(6, 10))).toBeCloseTo((3 * Math.sqrt(3) * 100) / 2, 6);
  });
});
