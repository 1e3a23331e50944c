import { describe, expect, it } from 'vitest';
import { bodyWithin } from './shapes/body';
import { Cells } from './maps/cells';
import { Charted } from './maps/charted';
import { Drops } from './maps/drops';
import { Levelling } from './maps/levelling';
import { Push, stood } from './maps/push';
import { Stir, Tumble } from './maps/stir';
import { Withdrawal } from './maps/withdrawal';
import { FOOTPRINTS, placeIn, spotIn } from './pattern.testing';
import { chanceFrom } from './seeded';
import type { Section } from './shapes/section';
import { KEPT, type Flow, type Spot } from './spot';
import { Star, nodesOf } from './shapes/star';
import { leaning, stroke, tumbling, wobble } from './strokes';

const STARS = ['round', 'oblong', 'pebble'] as const;
const STILL = 2;
const BEFORE = 9;

/** One of each map in a footprint, with the levels between which what it moves lay before. */
function mapsOf(section: Section, seed: number): Record<string, Flow> {
  const chance = chanceFrom(seed);
  const at = { x: 0.2 * section.half.width, y: -0.15 * section.half.length };
  const wall = section.starAt(at.x, at.y)!;
  const volume = 0.3 * section.area * BEFORE;
  const top = BEFORE + volume / section.area;
  const puddle = (from: 'low' | 'high') => {
    const { profile, area } = stood(volume, { still: STILL, top, room: section.area }, { from })!;
    return new Push({
      at,
      wall,
      profile,
      still: STILL,
      matter: 1,
      body: bodyWithin(wall, area, chance, { waves: 5, much: 0.1 })
    });
  };
  const drops = [0, 1, 2].map(() => {
    const squared = 0.01 * section.area;
    for (;;) {
      const place = placeIn(section, chance);
      if (section.wall(place.x, place.y) > 1.1 * Math.sqrt(squared)) return { ...place, squared, matter: 1 };
    }
  });
  const grown = drops.reduce((s, d) => s + Math.PI * d.squared, 0) / section.area;
  const body = bodyWithin(wall, 0.12 * section.area, chance, { waves: 3, much: 0.05 });
  const middle = Star.of(() => 0.12 * Math.sqrt(section.area));
  return {
    low: puddle('low'),
    high: puddle('high'),
    ring: new Push({
      at,
      wall,
      profile: { from: 4, top, power: 0.5 },
      still: STILL,
      matter: 1,
      middle: { outline: middle, stands: false },
      body: middle.times(2)
    }),
    post: new Push({
      at,
      wall,
      profile: { from: -1, top, power: 0.5 },
      still: STILL,
      matter: 1,
      middle: { outline: middle, stands: true },
      body: middle.times(1.4)
    }),
    drops: new Drops({
      at,
      wall,
      drops,
      still: STILL,
      before: BEFORE,
      after: STILL + (BEFORE - STILL) * (1 + grown)
    }),
    withdrawal: new Withdrawal({
      at,
      wall,
      body,
      still: STILL,
      before: BEFORE,
      after: STILL + (BEFORE - STILL) * (1 - body.area / section.area)
    }),
    stir: new Stir(wobble(section, 1, chance), STILL),
    leaning: new Stir(
      leaning(section, wobble(section, 1, chance), BEFORE - STILL, chance),
      STILL,
      undefined,
      BEFORE
    ),
    stroke: new Stir(
      stroke(
        section,
        [
          [-10, 0],
          [12, 6]
        ],
        { radius: 4, strength: 0.9, wide: 0.5, tapers: true }
      ),
      STILL,
      { from: 3, top: BEFORE }
    ),
    tumble: new Tumble(tumbling(section, { low: STILL, high: BEFORE }, { count: 30, turn: 0.6 }, chance)),
    cells: new Cells(section, { matter: 1, share: 0.2, middle: 16, rim: 4, still: STILL }, chance)
  };
}

const NAMES = Object.keys(mapsOf(FOOTPRINTS.round!, 1));
const CASES = STARS.flatMap((footprint) => NAMES.map((name) => [name, footprint] as const));

describe.each(CASES)('the map %s in a %s footprint', (name, footprint) => {
  const section = FOOTPRINTS[footprint]!;
  const flow = mapsOf(section, 7)[name]!;
  /** A post is no fluid; what is drawn out is not there afterwards. */
  const counts = (spot: Spot) => {
    if (name !== 'post' && name !== 'withdrawal') return true;
    const r = Math.hypot(spot.x - 0.2 * section.half.width, spot.y + 0.15 * section.half.length);
    return r > 0.25 * Math.sqrt(section.area);
  };

  it('undoes what it does, to 1e-9 of the width', () => {
    const chance = chanceFrom(3);
    for (let i = 0; i < 400; i++) {
      const spot = spotIn(section, 0, BEFORE, chance);
      if (!counts(spot)) continue;
      const moved = { ...spot };
      flow.redo(moved);
      expect(flow.undo(moved)).toBe(KEPT);
      expect(Math.hypot(moved.x - spot.x, moved.y - spot.y, moved.z - spot.z)).toBeLessThan(
        1e-9 * 2 * section.half.width
      );
    }
  });

  it('keeps everything in the mould', () => {
    const chance = chanceFrom(5);
    for (let i = 0; i < 1500; i++) {
      const spot = spotIn(section, 0, BEFORE, chance);
      if (!counts(spot)) continue;
      flow.redo(spot);
      // The wall is tabulated: a place on it may stand off by less than a hair.
      expect(section.wall(spot.x, spot.y)).toBeGreaterThan(-0.01);
      expect(spot.z).toBeGreaterThanOrEqual(0);
    }
  });

  it('leaves what is still where it lies', () => {
    const chance = chanceFrom(6);
    for (let i = 0; i < 200; i++) {
      const spot = spotIn(section, 0, STILL - 1e-9, chance);
      const before = { ...spot };
      flow.undo(spot);
      expect(spot).toEqual(before);
    }
  });

  it('keeps volume everywhere: its determinant is 1 but where a border is straddled', () => {
    const chance = chanceFrom(9);
    const off: number[] = [];
    for (let i = 0; i < 2500; i++) {
      const det = determinant(flow, spotIn(section, STILL + 0.1, BEFORE, chance));
      if (det !== undefined) off.push(Math.abs(det - 1));
    }
    off.sort((a, b) => a - b);
    expect(off.length).toBeGreaterThan(300);
    expect(off[Math.floor(off.length / 2)]).toBeLessThan(1e-4);
    expect(off[Math.floor(off.length * 0.97)]).toBeLessThan(5e-3);
  });
});

/** The determinant of what a map undoes, by differences; undefined where something new was put, or is straddled. */
function determinant(flow: Flow, spot: Spot): number | undefined {
  const h = 1e-4;
  const moved = (dx: number, dy: number, dz: number) => {
    const there = { x: spot.x + dx, y: spot.y + dy, z: spot.z + dz };
    return flow.undo(there) === KEPT ? there : undefined;
  };
  const pairs = [
    [moved(h, 0, 0), moved(-h, 0, 0)],
    [moved(0, h, 0), moved(0, -h, 0)],
    [moved(0, 0, h), moved(0, 0, -h)]
  ] as const;
  const columns = pairs.flatMap(([a, b]) =>
    a && b ? [[(a.x - b.x) / (2 * h), (a.y - b.y) / (2 * h), (a.z - b.z) / (2 * h)]] : []
  );
  const [p, q, r] = columns;
  if (!p || !q || !r) return undefined;
  return (
    p[0]! * (q[1]! * r[2]! - q[2]! * r[1]!) -
    q[0]! * (p[1]! * r[2]! - p[2]! * r[1]!) +
    r[0]! * (p[1]! * q[2]! - p[2]! * q[1]!)
  );
}

describe('a puddle from high in a round mould', () => {
  it('has radii that are the roots of the shares of the area, as worked by hand', () => {
    // 60 ml lie 3 times as much as 20 ml more: a disc of R√(20/80) and what was there outside it, wall to wall.
    const section = FOOTPRINTS.round!;
    const wall = section.starAt(0, 0)!;
    const [before, after] = [6, 8];
    const volume = (after - before) * section.area;
    const { profile, area } = stood(volume, { still: 0, top: after, room: section.area }, { from: 'high' })!;
    expect(Math.sqrt(area / Math.PI)).toBeCloseTo(45 * Math.sqrt(volume / (after * section.area)), 9);
    const push = new Push({
      at: { x: 0, y: 0 },
      wall,
      body: Star.of(() => 1, area),
      profile,
      still: 0,
      matter: 7
    });
    const edge = Math.sqrt(area / Math.PI);
    expect(push.undo({ x: edge * 0.999, y: 0, z: 4 })).toBe(7);
    const outside = { x: Math.sqrt((45 ** 2 + edge ** 2) / 2), y: 0, z: 4 };
    expect(push.undo(outside)).toBe(KEPT);
    // Half the area left beside the puddle was half of all of it, and a height of 8 was one of 6.
    expect(Math.hypot(outside.x, outside.y)).toBeCloseTo(45 / Math.SQRT2, 3);
    expect(outside.z).toBeCloseTo(3, 9);
  });
});

describe('a puddle to one side', () => {
  it('pushes alike on both sides of what is alike on both sides, whichever way angles are counted', () => {
    const section = FOOTPRINTS.oblong!;
    const at = { x: 0, y: -12 };
    const wall = section.starAt(at.x, at.y)!;
    const body = bodyWithin(wall, 1200, chanceFrom(1), { waves: 0, much: 0 });
    const push = new Push({ at, wall, body, profile: { from: 0, top: 8, power: 0 }, still: 0, matter: 1 });
    const chance = chanceFrom(4);
    for (let i = 0; i < 300; i++) {
      const spot = spotIn(section, 0, 8, chance);
      const mirrored = { ...spot, x: -spot.x };
      expect(push.undo(mirrored)).toBe(push.undo(spot));
      expect(mirrored.x).toBeCloseTo(-spot.x, 3);
      expect(mirrored.y).toBeCloseTo(spot.y, 3);
    }
  });
});

describe('a stroke', () => {
  it('carries what lies under it along its way, and not against it', () => {
    const section = FOOTPRINTS.round!;
    const way = [
      [-15, 3],
      [15, 3]
    ] as const;
    const stir = new Stir(stroke(section, way, { radius: 4, strength: 0.9 }), 0);
    const spot = { x: -4, y: 3, z: 1 };
    stir.redo(spot);
    expect(spot.x).toBeGreaterThan(0);
    expect(Math.abs(spot.y - 3)).toBeLessThan(1.5);
    const far = { x: 0, y: -25, z: 1 };
    stir.redo(far);
    expect(far).toEqual({ x: 0, y: -25, z: 1 });
  });

  it('fades out with depth where it only reaches the surface', () => {
    const section = FOOTPRINTS.round!;
    const stir = new Stir(
      stroke(
        section,
        [
          [-15, 0],
          [15, 0]
        ],
        { radius: 4, strength: 0.9 }
      ),
      0,
      { from: 4, top: 8 }
    );
    const moved = [3, 5, 8].map((z) => {
      const spot = { x: -2, y: 0, z };
      stir.redo(spot);
      return spot.x + 2;
    });
    expect(moved[0]).toBe(0);
    expect(moved[1]).toBeGreaterThan(0);
    expect(moved[2]).toBeGreaterThan(moved[1]!);
  });
});

describe('a divider that is lifted', () => {
  it('levels chambers of unequal height, each keeping its volume', () => {
    const chambers = [
      { from: 0, to: 0.25, level: 8 },
      { from: 0.25, to: 1, level: 4 }
    ];
    const flow = new Levelling(chambers, 100, 0);
    // (0.25 × 8 + 0.75 × 4) = 5 high; the first chamber now takes 2 of 5 of the width.
    const border = (x: number) => {
      const spot = { x, y: 0, z: 2.5 };
      flow.undo(spot);
      return spot;
    };
    expect(border(-10.001).x).toBeCloseTo(-25, 2);
    expect(border(-10.001).z).toBeCloseTo(4, 6);
    expect(border(-9.999).z).toBeCloseTo(2, 6);
    for (const x of [-49, -20, 3, 44]) {
      const spot = { x, y: 5, z: 3 };
      flow.redo(spot);
      flow.undo(spot);
      expect(spot.x).toBeCloseTo(x, 9);
      expect(spot.z).toBeCloseTo(3, 9);
    }
  });
});

describe('charts of a footprint', () => {
  it.each(Object.keys(FOOTPRINTS))('lay a %s out as a rectangle of its area and back', (name) => {
    const section = FOOTPRINTS[name]!;
    const chance = chanceFrom(21);
    const chart = section.chartAt(section.half.width * 0.7, 1);
    expect(chart.onto.area).toBeCloseTo(section.area, 6);
    const counts = [0, 0];
    for (let i = 0; i < 4000; i++) {
      const { x, y } = placeIn(section, chance);
      const [u, v] = chart.to(x, y);
      expect(chart.onto.wall(u, v)).toBeGreaterThan(-1e-6);
      const [x2, y2] = chart.from(u, v);
      expect(Math.hypot(x2 - x, y2 - y)).toBeLessThan(1e-9 * section.half.width * 2);
      counts[u < 0 ? 0 : 1]!++;
    }
    expect(counts[0]! / 4000).toBeCloseTo(0.5, 1);
  });

  it('moves a puddle in a mould no place of which sees all of it', () => {
    const section = FOOTPRINTS.corner!;
    expect(section.starAt(20, -20)).toBeUndefined();
    const chart = section.chartAt(0, 0);
    const wall = chart.onto.starAt(0, 0)!;
    const inner = new Push({
      at: { x: 0, y: 0 },
      wall,
      body: Star.of(() => 8),
      profile: { from: 0, top: 8, power: 0 },
      still: 0,
      matter: 3
    });
    const flow = new Charted(chart, inner);
    const chance = chanceFrom(2);
    for (let i = 0; i < 300; i++) {
      const spot = spotIn(section, 0, 5, chance);
      const moved = { ...spot };
      flow.redo(moved);
      expect(section.contains(moved.x, moved.y)).toBe(true);
      expect(flow.undo(moved)).toBe(KEPT);
      expect(Math.hypot(moved.x - spot.x, moved.y - spot.y)).toBeLessThan(1e-6);
    }
  });
});

describe('a star', () => {
  it('sweeps the area its curve encloses, and finds the angle back', () => {
    const star = FOOTPRINTS.pebble!.starAt(3, 2)!;
    expect(star.area).toBeCloseTo(FOOTPRINTS.pebble!.area, 6);
    for (let u = 0.3; u < 720; u += 17.7) expect(star.nodesAt(star.swept(u))).toBeCloseTo(u, 7);
    expect(star.swept(720)).toBeCloseTo(star.area, 9);
    expect(nodesOf(0, 1)).toBeCloseTo(180, 9);
  });
});

describe('a tool that leans', () => {
  const section = FOOTPRINTS.round!;
  const turns = wobble(section, 1, chanceFrom(5));
  const leant = leaning(section, turns, 10, chanceFrom(6));

  it('stays within the wall at every depth, and does less the deeper it is', () => {
    expect(leant.some((v) => Math.hypot(v.lean!.x, v.lean!.y) > 0.2)).toBe(true);
    for (const { x, y, radius, lean } of leant) {
      for (const down of [0, 2.5, 5, 7.5, 10])
        expect(section.wall(x + down * lean!.x, y + down * lean!.y)).toBeGreaterThanOrEqual(radius - 1e-9);
      expect(lean!.left).toBeLessThan(1);
      expect(lean!.left).toBeGreaterThan(0);
    }
  });

  it('moves at the ground what it leaves alone at the surface, beside where it was put in', () => {
    const lean = { x: 0.5, y: 0, left: 0.5 };
    const one = new Stir([{ x: 0, y: 0, radius: 4, turn: 0.8, lean }], 0, undefined, 10);
    const movedAt = (x: number, z: number) => {
      const spot = { x, y: 1, z };
      one.redo(spot);
      return Math.hypot(spot.x - x, spot.y - 1);
    };
    expect(movedAt(5, 10)).toBe(0);
    expect(movedAt(5, 0.01)).toBeGreaterThan(0);
    // As far from its middle, half as much turn: less is moved.
    expect(movedAt(5, 0.01)).toBeLessThan(movedAt(0, 10));
  });
});
