import { evenly } from '../evenly.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  capacityFromWater,
  cavityOf,
  footprintOf,
  geometryOf,
  levelAt,
  polygonArea,
  waterDensity,
  widened,
  type Shape
} from '.';
import { metricWords } from '../quantity';

const dome: Shape = { kind: 'hemisphere', radius: 17 };
const knob = (over: object = {}) =>
  cavityOf({
    id: 'k',
    name: 'knob',
    count: 6,
    shape: dome,
    capacity: { from: 'dimensions' },
    ...over
  });

describe('water fill', () => {
  it('gives the worked figure', () => {
    const fill = capacityFromWater({
      emptyGrams: 212.4,
      fullGrams: 331.1,
      waterCelsius: 21,
      cavitiesFilled: 1
    });
    expect(fill.ok && fill.value.ml).toBeCloseTo(118.94, 2);
    expect(fill.ok && metricWords(fill.value.working)).toContain('118.94 ml');
  });

  it('uses the density of water at its temperature', () => {
    expect(waterDensity(20)).toBeCloseTo(0.9982, 4);
    expect(waterDensity(21)).toBeCloseTo(0.99799, 5);
    expect(waterDensity(25)).toBeCloseTo(0.997, 4);
  });

  it.each([
    [{ emptyGrams: 300, fullGrams: 200 }, 'water-fill-order'],
    [{ waterCelsius: 70 }, 'water-temperature'],
    [{ cavitiesFilled: 0 }, 'water-cavities']
  ])('refuses %j', (over, code) => {
    const fill = capacityFromWater({
      emptyGrams: 200,
      fullGrams: 300,
      waterCelsius: 20,
      cavitiesFilled: 1,
      ...over
    });
    expect(!fill.ok && fill.problem.code).toBe(code);
  });

  it('asks when one cavity was counted as six', () => {
    const water = { from: 'water', emptyGrams: 100, fullGrams: 161.6, waterCelsius: 21, cavitiesFilled: 1 };
    const doubt = knob({ capacity: water }).problems[0];
    expect(doubt?.code).toBe('capacity-disagrees');
    expect(doubt?.sentence).toContain('6 times as much');
  });
});

describe('a 34 mm dome', () => {
  it('gives the worked figures both ways', () => {
    const cavity = knob();
    expect(cavity.capacity).toBeCloseTo(10.29, 3);
    expect(cavity.volumeAt(4)).toBeCloseTo(0.787, 3);
    expect(Math.abs(cavity.levelAt(cavity.capacity / 2) - 11.1)).toBeLessThan(0.01);
  });

  it('scales every level to a measured capacity', () => {
    const cavity = knob({ capacity: { from: 'pour', ml: 20.58 } });
    expect(cavity.volumeAt(4)).toBeCloseTo(2 * 0.7875, 2);
    expect(cavity.volumeAt(cavity.depth)).toBeCloseTo(20.58, 9);
  });
});

describe('a puddle stack dug to the bottom', () => {
  it('holds the worked volumes inside its discs', () => {
    const round = geometryOf({ kind: 'cylinder', radius: 45, depth: 9 });
    const level = levelAt(round, 50);
    const disc = (radius: number) => geometryOf({ kind: 'cylinder', radius, depth: 9 }).volumeAt(level);
    expect(disc(14.23)).toBeCloseTo(5, 2);
    expect(disc(28.46)).toBeCloseTo(20, 2);
    expect(disc(45)).toBeCloseTo(50, 9);
  });
});

describe('shapes', () => {
  it('agree where they meet', () => {
    const volume = (s: Shape) => geometryOf(s).volumeAt(1e9);
    expect(volume({ kind: 'frustum', baseRadius: 10, rimRadius: 10, depth: 30 })).toBeCloseTo(
      volume({ kind: 'cylinder', radius: 10, depth: 30 }),
      9
    );
    expect(volume({ kind: 'cap', rimRadius: 17, depth: 17 })).toBeCloseTo(volume(dome), 9);
    const box: [number, number][] = [
      [0, 0],
      [40, 0],
      [40, 20],
      [0, 20]
    ];
    expect(volume({ kind: 'prism', outline: box, depth: 10 })).toBeCloseTo(8, 9);
    expect(
      volume({
        kind: 'taper',
        baseLength: 40,
        baseWidth: 20,
        rimLength: 40,
        rimWidth: 20,
        depth: 10
      })
    ).toBeCloseTo(8, 9);
    expect(volume({ kind: 'ring', innerRadius: 5, outerRadius: 10, depth: 10 })).toBeCloseTo(
      (Math.PI * 750) / 1000,
      9
    );
    expect(polygonArea([...box].reverse())).toBe(800);
  });

  it('say when they are impossible', () => {
    const bowTie = knob({
      shape: {
        kind: 'prism',
        depth: 5,
        outline: [
          [0, 0],
          [10, 10],
          [10, 0],
          [0, 10]
        ]
      }
    });
    expect(bowTie.problems[0]?.code).toBe('shape-impossible');
    expect(knob({ shape: { kind: 'ring', innerRadius: 9, outerRadius: 8, depth: 3 } }).problems).toHaveLength(
      1
    );
  });

  const mm = fc.double({ min: 1, max: 300, noNaN: true });
  const shapes: fc.Arbitrary<Shape> = fc.oneof(
    mm.map((radius) => ({ kind: 'hemisphere' as const, radius })),
    fc.tuple(mm, mm).map(([radius, depth]) => ({ kind: 'cylinder' as const, radius, depth })),
    fc
      .tuple(mm, mm, mm)
      .map(([baseRadius, rimRadius, depth]) => ({ kind: 'frustum' as const, baseRadius, rimRadius, depth })),
    fc.tuple(mm, mm, mm, mm, mm).map(([baseLength, baseWidth, rimLength, rimWidth, depth]) => ({
      kind: 'taper' as const,
      baseLength,
      baseWidth,
      rimLength,
      rimWidth,
      depth
    })),
    fc.array(fc.tuple(mm, mm), { minLength: 1, maxLength: 8 }).map((steps) => {
      let depth = 0;
      let ml = 0;
      const rows = [{ depth, ml }];
      for (const [d, v] of steps) rows.push({ depth: (depth += d), ml: (ml += v) });
      return { kind: 'table' as const, rows };
    })
  );

  it('give back the level that a volume was asked for', () => {
    fc.assert(
      fc.property(shapes, evenly(0, 1), (shape, share) => {
        const g = geometryOf(shape);
        const level = share * g.depth;
        expect(Math.abs(levelAt(g, g.volumeAt(level)) - level)).toBeLessThan(1e-6 * g.depth);
      })
    );
  });

  it('hold more the higher they are filled, and their area is the slope', () => {
    fc.assert(
      fc.property(shapes, evenly(0.05, 0.95), (shape, share) => {
        const g = geometryOf(shape);
        const z = share * g.depth;
        const h = g.depth * 1e-6;
        const slope = ((g.volumeAt(z + h) - g.volumeAt(z - h)) * 1000) / (2 * h);
        expect(slope).toBeGreaterThan(0);
        if (shape.kind !== 'table') expect(slope / g.areaAt(z)).toBeCloseTo(1, 4);
      })
    );
  });
});

describe('a box', () => {
  const box: Shape = { kind: 'box', length: 80, width: 50, depth: 25 };

  it('holds its three sides multiplied, and is seen as a rectangle', () => {
    const g = geometryOf(box);
    expect(g.volumeAt(Infinity)).toBeCloseTo(100, 9);
    expect(g.volumeAt(10)).toBeCloseTo(40, 9);
    expect(g.areaAt(3)).toBe(4000);
    expect(g.halfWidthAt(3)).toBe(40);
    expect(footprintOf(box)).toEqual({ kind: 'rectangle', aspect: 50 / 80 });
  });

  it('is the same as a taper whose walls stand straight', () => {
    const straight: Shape = {
      kind: 'taper',
      baseLength: 80,
      baseWidth: 50,
      rimLength: 80,
      rimWidth: 50,
      depth: 25
    };
    for (const level of [0, 1, 7.3, 25])
      expect(geometryOf(box).volumeAt(level)).toBeCloseTo(geometryOf(straight).volumeAt(level), 6);
  });
});

describe('a drawing that follows the water', () => {
  const shapes: Shape[] = [
    { kind: 'box', length: 80, width: 50, depth: 25 },
    { kind: 'cylinder', radius: 30, depth: 10 },
    { kind: 'frustum', baseRadius: 28, rimRadius: 30, depth: 10 },
    { kind: 'ring', innerRadius: 20, outerRadius: 35, depth: 8 },
    {
      kind: 'prism',
      outline: [
        [0, 0],
        [80, 0],
        [80, 50],
        [0, 50]
      ],
      depth: 20
    }
  ];

  it.each(shapes.map((s) => [s.kind, s] as const))(
    '%s: wider by as much, as deep as was said',
    (_, shape) => {
      const before = geometryOf(shape).volumeAt(Infinity);
      for (const ratio of [0.4, 1, 2.7]) {
        const after = widened(shape, ratio)!;
        expect(geometryOf(after).volumeAt(Infinity) / before).toBeCloseTo(ratio, 2);
        expect(geometryOf(after).depth).toBe(geometryOf(shape).depth);
      }
    }
  );

  it('has no other depth to keep where that follows from its width', () => {
    expect(widened({ kind: 'hemisphere', radius: 17 }, 2)).toBeUndefined();
    expect(widened({ kind: 'cap', rimRadius: 30, depth: 10 }, 2)).toBeUndefined();
  });
});
