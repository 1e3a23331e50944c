import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { splitAll } from '../document';
import { newPlan, withNewCup } from '../edit';
import { Casting, chanceFrom } from '../pattern';
import { Tumble } from '../pattern/maps/stir';
import { disc } from '../pattern/shapes/section';
import { acts } from '../pour';
import { Plan } from '../plan';
import { pieceOf } from './picture';

/** Where a colour lies in the piece: its mean place as shares of the half extents, how far out, and how high. */
interface Where {
  x: number;
  y: number;
  out: number;
  high: number;
}

const FOUR_CHAMBERS = [0.1, 0.4, 0.3, 0.2].map((share, i) => ({ id: `c${i}`, name: `chamber ${i}`, share }));
const shelf = {
  ...cards,
  moulds: cards.moulds.map((m) => ({
    ...m,
    cavities: m.cavities.map((c) => (m.id === 'slab' ? { ...c, chambers: FOUR_CHAMBERS } : c))
  }))
};

type Act = Record<string, unknown> & { kind: string };

/** A plan in resin of a bed and what is done on it; cups by their places, the bed first. */
function planOf(acts: readonly Act[], mouldId = 'roundel'): Plan {
  const base = cards.bases.find((b) => b.id === 'clear-slow')!;
  let plan: Plan = { ...newPlan('where', 'Where', shelf, mouldId), steps: [] };
  plan = { ...plan, mixes: plan.mixes.map((m) => ({ ...m, baseId: base.id })) };
  plan = withNewCup(withNewCup(plan));
  plan = splitAll(plan, base.id);
  const ids = plan.cups.map((c) => c.id);
  const named = (act: Act) =>
    Object.fromEntries(Object.entries(act).map(([k, v]) => [k, k === 'cupId' ? ids[Number(v)]! : v]));
  return Plan.parse({
    ...plan,
    steps: acts.map((act, i) => ({ id: `step-${i}`, act: named(act), where: ['group-1'], gates: [] }))
  });
}

/** Where the cup of a place lies, by looking at many places of the piece between shares of its height. */
function where(plan: Plan, nth: number, from = 0, to = 1): Where {
  const { traced } = pieceOf(plan, shelf, {}, {})!;
  const { section } = traced.prism.shaped;
  const { level } = traced.engine;
  const own = plan.cups[nth]!.id;
  const chance = chanceFrom(5);
  let [n, x, y, out, high] = [0, 0, 0, 0, 0];
  for (let i = 0; i < 60_000; i++) {
    const [px, py] = [(2 * chance() - 1) * section.half.width, (2 * chance() - 1) * section.half.length];
    if (!section.contains(px, py)) continue;
    const z = (from + chance() * (to - from)) * level;
    const matter = traced.matters[traced.engine.matterAt({ x: px, y: py, z })];
    if (matter?.kind !== 'cup' || matter.cupId !== own) continue;
    const [sx, sy] = [px / section.half.width, py / section.half.length];
    n++;
    x += sx;
    y += sy;
    out += Math.hypot(sx, sy);
    high += z / level;
  }
  return { x: x / n, y: y / n, out: out / n, high: high / n };
}

const BED: Act = { kind: 'lay', cupId: 0, amount: { kind: 'to share', of: 0.7 } };
const on = (...acts: Act[]) => where(planOf([BED, ...acts]), 1);
/** At the surface, which is what a breath moves. */
const atTop = (...acts: Act[]) => where(planOf([BED, ...acts]), 1, 0.8);
const share = (of: number) => ({ kind: 'share', of });
const path = (...points: [number, number][]) => ({ points: points.map(([x, y]) => ({ x, y })) });
const SPOT: Act = { kind: 'puddle', cupId: 1, amount: share(0.06), at: { x: 0, y: 0 }, from: 'high' };

describe('what is poured lies where it was put', () => {
  it('a puddle at its place, the deeper the higher it falls from', () => {
    const low = on({ ...SPOT, at: { x: 0.5, y: -0.4 }, from: 'low' });
    expect(low.x).toBeCloseTo(0.5, 1);
    expect(low.y).toBeCloseTo(-0.4, 1);
    expect(low.high).toBeGreaterThan(on({ ...SPOT, at: { x: 0.5, y: -0.4 } }).high + 0.1);
  });

  it('a line along its way', () => {
    const line = on({
      kind: 'ribbon',
      cupId: 1,
      amount: share(0.05),
      path: path([-0.5, 0.5], [0.5, 0.5]),
      width: 6,
      how: 'piped'
    });
    expect(line.y).toBeGreaterThan(0.35);
    expect(Math.abs(line.x)).toBeLessThan(0.12);
    const upright = on({
      kind: 'ribbon',
      cupId: 1,
      amount: share(0.05),
      path: path([-0.5, -0.5], [-0.5, 0.5]),
      width: 6,
      how: 'piped'
    });
    expect(upright.x).toBeLessThan(-0.35);
  });

  it('specks over the middle, or the rim', () => {
    const specks = (over: string) =>
      on({ kind: 'specks', cupId: 1, amount: share(0.03), drops: 60, spread: 0.3, over });
    const [middle, all, rim] = ['the middle', 'all of it', 'the rim'].map(specks);
    expect(middle!.out).toBeLessThan(0.4);
    expect(rim!.out).toBeGreaterThan(0.65);
    expect(all!.out).toBeGreaterThan(middle!.out + 0.1);
    expect(all!.out).toBeLessThan(rim!.out - 0.05);
    expect(all!.high).toBeGreaterThan(0.75);
  });

  it('a region within its outline', () => {
    const square = { closed: true, ...path([0.2, 0.2], [0.6, 0.2], [0.6, 0.6], [0.2, 0.6]) };
    const patch = on({ kind: 'region', cupId: 1, amount: share(0.06), outline: square, edges: 'blurred' });
    expect(patch.x).toBeCloseTo(0.4, 1);
    expect(patch.y).toBeCloseTo(0.4, 1);
  });

  it('rounds over a post about it, and the void filled where it stood', () => {
    const post: Act = {
      kind: 'column',
      cupId: 1,
      amount: share(0.1),
      at: { x: 0.3, y: 0 },
      rounds: 2,
      post: 'round',
      across: 20
    };
    const rings = where(planOf([BED, post]), 1);
    expect(rings.x).toBeGreaterThan(0.1);
    const filled = where(
      planOf([
        BED,
        post,
        { kind: 'lift', what: 'post' },
        { kind: 'puddle', cupId: 2, amount: share(0.004), at: { x: 0, y: 0 }, from: 'low' }
      ]),
      2
    );
    expect(filled.x).toBeCloseTo(0.3, 1);
    expect(Math.abs(filled.y)).toBeLessThan(0.1);
  });

  it('each chamber’s colour in its own part across, as wide as its share', () => {
    const chamber = (i: number, cupId: number): Act => ({
      kind: 'chamber',
      cupId,
      amount: { kind: 'rim' },
      rounds: 1,
      chamberId: `c${i}`
    });
    const plan = planOf([chamber(0, 0), chamber(1, 1), chamber(2, 2), chamber(3, 0)], 'slab');
    // From the left: a tenth, then four tenths, then three.
    expect(where(plan, 1).x).toBeCloseTo(2 * 0.3 - 1, 1);
    expect(where(plan, 2).x).toBeCloseTo(2 * 0.65 - 1, 1);
  });

  it('on either side of a barrier', () => {
    const barrier: Act = { kind: 'barrier', of: 'crushed glass', path: path([-1, 0], [1, 0]), height: 4 };
    const side = (cupId: number, y: number): Act => ({
      kind: 'puddle',
      cupId,
      amount: share(0.2),
      at: { x: 0, y },
      from: 'low'
    });
    const plan = planOf([barrier, side(1, 0.5), side(2, -0.5), { ...BED, amount: { kind: 'rim' } }]);
    expect(where(plan, 1).y).toBeGreaterThan(0.3);
    expect(where(plan, 2).y).toBeLessThan(-0.3);
    expect(where(plan, 0).high).toBeGreaterThan(0.6);
  });

  it('a coat at the bottom, a top on top', () => {
    const coat = planOf([
      { kind: 'coat', cupId: 1, amount: { kind: 'deep', mm: 1 }, aside: 1 },
      { ...BED, amount: { kind: 'rim' } }
    ]);
    expect(where(coat, 1).high).toBeLessThan(0.2);
    expect(on({ kind: 'top', cupId: 1, amount: { kind: 'rim' }, how: 'spooned' }).high).toBeGreaterThan(0.7);
  });
});

describe('what is moved goes the way it was moved', () => {
  const still = on(SPOT);
  const drag = (from: [number, number], to: [number, number]) =>
    on(SPOT, {
      kind: 'drag',
      tool: 'skewer',
      path: path(from, to),
      depth: 'full',
      width: 10,
      strength: 0.9,
      strokes: 1
    });
  it('under a tool along its stroke', () => {
    expect(drag([-0.6, 0], [0.6, 0]).x).toBeGreaterThan(still.x + 0.02);
    expect(drag([0.6, 0], [-0.6, 0]).x).toBeLessThan(still.x - 0.02);
    expect(drag([0, -0.6], [0, 0.6]).y).toBeGreaterThan(still.y + 0.02);
    expect(drag([0, 0.6], [0, -0.6]).y).toBeLessThan(still.y - 0.02);
  });

  // Narrower than the breath, or what runs back beside it is its own colour too.
  const blow = (towards: number) =>
    atTop(
      { ...SPOT, amount: share(0.004) },
      { kind: 'blow', with: 'a straw', at: { x: 0, y: 0 }, towards, strength: 0.9, seconds: 10 }
    );
  it('under a breath away from it: 0° to the right, 90° away from you', () => {
    expect(blow(0).x).toBeGreaterThan(blow(180).x + 0.02);
    expect(blow(90).y).toBeGreaterThan(blow(270).y + 0.02);
  });

  it.each([
    [0, 1, 0],
    [90, 0, 1],
    [180, -1, 0],
    [270, 0, -1]
  ])('tilted towards %i°, its surface runs to the side that is lowered', (towards, x, y) => {
    const casting = new Casting(disc(45), 'tilt');
    casting.begin('bed');
    casting.lay({ matter: 0, parts: [] }, 10 * casting.section.area);
    casting.begin('tilt');
    const known = acts.read({ kind: 'tilt', towards, degrees: 30, minutes: 1 } as never)!;
    known.definition.flow!(known.act, casting, {} as never);
    const moved = { along: 0, beside: 0 };
    for (let i = 0; i < 40; i++)
      for (let k = 0; k < 40; k++) {
        const from = { x: 2 * i - 39, y: 2 * k - 39, z: 8 };
        const spot = { ...from };
        casting.flows.find((f) => f instanceof Tumble)!.redo(spot);
        moved.along += (spot.x - from.x) * x + (spot.y - from.y) * y;
        moved.beside += Math.abs((spot.x - from.x) * y) + Math.abs((spot.y - from.y) * x);
      }
    expect(moved.along).toBeGreaterThan(20);
    expect(moved.beside).toBeLessThan(1e-6);
  });

  it('towards where some is drawn out', () => {
    const draw = (x: number) =>
      on({ ...SPOT, at: { x: 0, y: 0 } }, { kind: 'withdraw', ml: 6, at: { x, y: 0 } });
    expect(draw(0.5).x).toBeGreaterThan(draw(-0.5).x + 0.02);
  });
});
