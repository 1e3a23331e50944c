import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { nightHeron } from '../../../demo/plans';
import { chanceFrom, evenPlace } from '../pattern';
import { computePlan, Plan } from '../plan';
import { materialsFor, TECHNIQUES } from '../pour';
import { someOf } from '../soak.testing';
import { pieceOf, type DrawnPiece } from './picture';
import { tried } from './piece.testing';
import { matterWithin } from './traced';

const MOULDS = ['roundel', 'slab', 'dome-knobs'] as const;

/** A plan with so many stones set in before anything is poured, all of them so much of the cavity. */
function withStones(plan: Plan, share: number, each: number): Plan {
  const { capacity, cavity } = roomOf(plan);
  const height = 0.95 * cavity;
  const grams = (2.6 * share * capacity) / each;
  const embeds = [{ id: 'stone', kind: 'object', name: 'stone', each, grams, density: 2.6, from: 0, height }];
  const act = { kind: 'place', pieces: each, at: { x: 0.2, y: 0.1 }, pressed: 0, embedId: 'stone' };
  return Plan.parse({
    ...plan,
    groups: plan.groups.map((g) => ({ ...g, embeds })),
    steps: [{ id: 'stone-in', act, where: ['group-1'], gates: [] }, ...plan.steps]
  });
}

/** How much a cavity holds, ml, and how deep it is, mm. */
function roomOf(plan: Plan): { capacity: number; cavity: number } {
  const [group] = computePlan(plan, cards).groups;
  return { capacity: group!.capacity, cavity: pieceOf(plan, cards, {}, {})!.traced.prism.shaped.depth };
}

/** Shares of the matters in the body, what is solid left out, counted at places that fill it evenly. */
function sharesIn({ traced }: DrawnPiece, places = 40_000): { of: Map<number, number>; solid: number } {
  const { section } = traced.prism.shaped;
  const counts = new Map<number, number>();
  let [fluid, solid] = [0, 0];
  for (let i = 0; i < places; i++) {
    const [u, v, w] = evenPlace(i);
    const [x, y] = [(2 * u - 1) * section.half.width, (2 * v - 1) * section.half.length];
    if (!section.contains(x, y)) continue;
    const spot = { x, y, z: w * traced.engine.level };
    if (traced.casting.solidAt(spot)) {
      solid++;
      continue;
    }
    const matter = matterWithin(traced, spot);
    counts.set(matter, (counts.get(matter) ?? 0) + 1);
    fluid++;
  }
  return { of: new Map([...counts].map(([m, n]) => [m, n / fluid])), solid: solid / (solid + fluid) };
}

/** How far what stands in the body is from what was poured, at most, as a share of all that is fluid. */
function worstOf(piece: DrawnPiece, places?: number): number {
  const { held } = piece.traced;
  const whole = [...held.values()].reduce((s, ml) => s + ml, 0);
  const { of } = sharesIn(piece, places);
  return Math.max(...[...held].map(([m, ml]) => Math.abs((of.get(m) ?? 0) - ml / whole)));
}

const cases = TECHNIQUES.map(
  (t) => [t.id, materialsFor(t).find(({ kind }) => cards.bases.some((b) => b.kind === kind))!.kind] as const
);

/**
 * A share may be off by so much: half a hundredth, and a tenth of that for what a tool draws round several bodies (0.53 % with
 * flames drawn past three stones). Thin rings are counted again more finely: a count is off by more than the piece is.
 */
const HELD = 0.0055;
const FINELY = 300_000;

const stones = [
  [0.25, 1],
  [0.1, 1],
  [0.15, 3]
] as const;

describe('shares with things set in', () => {
  it.each(
    someOf(
      cases.flatMap(([id, kind]) =>
        MOULDS.flatMap((m) => stones.map(([share, each]) => [id, kind, m, share, each] as const))
      ),
      23
    )
  )('hold of %s in %s, %s: %s of the room in %s', (id, kind, mouldId, share, each) => {
    const piece = pieceOf(withStones(tried(id, kind, mouldId), share, each), cards, {}, {})!;
    const coarse = worstOf(piece);
    expect(coarse < HELD ? coarse : worstOf(piece, FINELY)).toBeLessThan(HELD);
  });

  it('hold where the two colours of a pour meet at a stone: each is pushed to its own side', () => {
    const piece = pieceOf(
      withStones(tried('double-dirty-pour', 'resin', 'roundel'), 0.25, 1),
      cards,
      {},
      {}
    )!;
    expect(worstOf(piece, 100_000)).toBeLessThan(0.002);
  });
});

describe('a stone in level layers', () => {
  const { traced } = pieceOf(withStones(tried('layers', 'resin', 'roundel'), 0.2, 1), cards, {}, {})!;
  const { section } = traced.prism.shaped;
  const [found] = traced.casting.embeds;
  if (found?.kind !== 'ball') throw new Error('no body');
  const stone = { ...found, tall: found.tall! };

  it('leaves the piece as high as it is without it: so much less is poured', () => {
    const without = pieceOf(tried('layers', 'resin', 'roundel'), cards, {}, {})!.traced;
    expect(traced.engine.level).toBeCloseTo(without.engine.level, 1);
  });

  it('lifts the border between two layers by the room it takes below it', () => {
    const far = { x: -0.9 * section.half.width, y: 0 };
    const at = (z: number) => matterWithin(traced, { ...far, z });
    const first = at(0.01);
    let [low, high] = [0, traced.engine.level];
    for (let i = 0; i < 40; i++) {
      const mid = (low + high) / 2;
      if (at(mid) === first) low = mid;
      else high = mid;
    }
    // By a sum over slices of the ellipsoid, of its own.
    let taken = 0;
    for (let z = 0; z < low; z += 0.001)
      taken += Math.max(0, 1 - ((z - stone.z) / stone.tall) ** 2) * Math.PI * stone.radius ** 2 * 0.001;
    const poured = traced.held.get(first)! * 1000;
    expect((low * section.area) / (poured + taken)).toBeCloseTo(1, 2);
    expect(taken / poured).toBeGreaterThan(0.05);
  });

  it('is gone round: the layers beside it lie as they do apart from it', () => {
    const beside = matterWithin(traced, { x: stone.x + stone.radius * 1.02, y: stone.y, z: stone.z });
    const apart = matterWithin(traced, { x: -0.8 * section.half.width, y: 0, z: stone.z });
    expect(beside).toBe(apart);
    expect(traced.matters[matterWithin(traced, { x: stone.x, y: stone.y, z: stone.z })]).toEqual({
      kind: 'solid'
    });
  });
});

describe('what no step sets in', () => {
  it('stands in the piece all the same: one to a bar of a loaf', () => {
    const { casting } = pieceOf(nightHeron, cards, {}, {})!.traced;
    const seeds = casting.embeds.flatMap((e) => (e.kind === 'ball' ? [e] : []));
    expect(seeds).toHaveLength(10);
    const { width, length } = casting.section.half;
    const along = seeds.map((b) => (width > length ? b.x / width : b.y / length));
    expect(along.map((a) => Math.floor(((a + 1) / 2) * 10))).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8, 9]);
    for (const seed of seeds) expect(seed.z - seed.tall!).toBeCloseTo(22, 9);
  });

  it('is all there, however little room it has', () => {
    const crowded = withStones(tried('layers', 'resin', 'roundel'), 0.3, 24);
    expect(pieceOf(crowded, cards, {}, {})!.traced.casting.embeds).toHaveLength(24);
  });
});

describe('something set in', () => {
  const withStone = (embedded: boolean): DrawnPiece => {
    const plan = tried('layers', 'resin', 'slab');
    const embeds = [
      { id: 'stone', kind: 'object', name: 'stone', each: 1, grams: 6.7, density: 2.6, from: 0, height: 6 }
    ];
    const act = {
      kind: 'place',
      pieces: 1,
      at: { x: 0, y: 0 },
      pressed: 0,
      ...(embedded ? { embedId: 'stone' } : {})
    };
    return pieceOf(
      Plan.parse({
        ...plan,
        groups: plan.groups.map((g) => ({ ...g, embeds })),
        steps: [{ id: 'stone-in', act, where: ['group-1'], gates: [] }, ...plan.steps]
      }),
      cards,
      {},
      {}
    )!;
  };

  it('is as large as its weight, density and height make it', () => {
    const { casting } = withStone(true).traced;
    const [stone] = casting.embeds;
    if (stone?.kind !== 'ball') throw new Error('no body');
    const radius = Math.sqrt((3 * (6.7 / 2.6) * 1000) / (2 * Math.PI * 6));
    expect(stone.tall).toBe(3);
    expect(stone.radius).toBeCloseTo(radius, 9);
    // Counted place by place in a box round it, it has its own volume.
    const chance = chanceFrom(5);
    let inside = 0;
    for (let i = 0; i < 40_000; i++) {
      const [x, y, z] = [(2 * chance() - 1) * radius, (2 * chance() - 1) * radius, 6 * chance()];
      if (casting.solidAt({ x: stone.x + x, y: stone.y + y, z })) inside++;
    }
    expect(((inside / 40_000) * 4 * radius * radius * 6) / 1000).toBeCloseTo(6.7 / 2.6, 1);
  });

  it('stands on the ground where nothing lies there yet, whatever its size is taken from', () => {
    for (const known of [true, false]) {
      const [body] = withStone(known).traced.casting.embeds;
      if (body?.kind !== 'ball') throw new Error('no body');
      expect(body.z).toBe(body.tall);
    }
  });
});
