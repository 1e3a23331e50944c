import { times } from '../../soak.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { signedArea, within } from '../shapes/outline-parts';
import { Casting } from './casting';
import type { Content } from './content';
import { dirtyPour, swirledThrough } from '../composite-cup';
import { counted, FOOTPRINTS, spotIn } from '../pattern.testing';
import { chanceFrom } from '../seeded';
import { EMPTY } from '../spot';
import { stroke, tumbling, wobble } from '../strokes';

const plain = (matter: number): Content => ({ matter, parts: [] });
/** mm³ that a share of a mould 10 mm deep is. */
const PLACES = 12_000;
/** A share counted in so many places is off by less than this, at three and a half times its own chance, and by the engine's 1 %. */
const OFF = 0.016;

type Deed = (casting: Casting, matter: number, mm3: number) => void;

/** Every kind of thing that is done in a casting; those that pour take all of their volume. */
const LEAF = [
  [-11, -6],
  [2, -9],
  [10, 1],
  [0, 2],
  [-4, 9]
] as const;

const POURS: Record<string, Deed> = {
  lay: (c, m, v) => c.lay(plain(m), v),
  low: (c, m, v) => c.puddle(plain(m), v, { x: 6, y: 4 }, { from: 'low' }),
  high: (c, m, v) => c.puddle(plain(m), v, { x: -9, y: 2 }, { from: 'high' }),
  aside: (c, m, v) => c.puddle(plain(m), v, { x: 70, y: 90 }, { from: 'high' }),
  ring: (c, m, v) => {
    const done = c.ring(m, v, { at: { x: 0, y: 0 }, radius: () => 14, width: 3 });
    if (!done) c.lay(plain(m), v);
  },
  drops: (c, m, v) =>
    c.drops(
      Array.from({ length: 9 }, (_, i) => ({ x: 5 * (i - 4), y: 3 * (i % 3), mm3: v / 9, matter: m })),
      c.level * 0.5
    ),
  heavy: (c, m, v) => {
    if (c.level > 1) c.keepHeavy(m, v);
    else c.lay(plain(m), v);
  },
  strip: (c, m, v) => c.strip(m, v),
  beside: (c, m, v) => c.beside(m, v, [[-20, 3]]),
  jug: (c, m, v) =>
    swirledThrough(
      c,
      [
        { matter: m, share: 0.6 },
        { matter: m, share: 0.4 }
      ],
      v,
      [
        [-18, -6],
        [18, -6],
        [18, 6],
        [-18, 6]
      ]
    ),
  stacked: (c, m, v) =>
    dirtyPour(
      c,
      [
        { matter: m, share: 0.5 },
        { matter: m, share: 0.5 }
      ],
      v,
      [2, 1]
    ),
  region: (c, m, v) => c.region({ matter: m, parts: [] }, v, LEAF)
};
const MOVES: Record<string, (c: Casting) => void> = {
  none: () => undefined,
  wobble: (c) => c.stir(wobble(c.section, 1, c.chance)),
  drag: (c) =>
    c.stir(
      stroke(
        c.section,
        [
          [-12, -3],
          [12, 5]
        ],
        { radius: 5, strength: 0.9, wide: 0.4 }
      ),
      {
        from: c.level / 2,
        top: c.level
      }
    ),
  tumble: (c) =>
    c.tumble(tumbling(c.section, { low: c.still, high: c.level }, { count: 8, turn: 0.6 }, c.chance)),
  gel: (c) => c.setStill(),
  settle: (c) => c.settle()
};

const sequence = fc.array(
  fc.record({
    pour: fc.constantFrom(...Object.keys(POURS)),
    part: fc.integer({ min: 1, max: 8 }),
    move: fc.constantFrom(...Object.keys(MOVES))
  }),
  { minLength: 2, maxLength: 7 }
);

describe('any sequence of acts', () => {
  it.each(Object.keys(FOOTPRINTS))(
    'in a %s leaves each colour the share that was poured of it, wherever it lies',
    (footprint) => {
      const section = FOOTPRINTS[footprint]!;
      fc.assert(
        fc.property(sequence, fc.integer({ min: 1, max: 9999 }), (steps, seed) => {
          const casting = new Casting(section, `${seed}`);
          const whole = steps.reduce((s, x) => s + x.part, 0);
          const each = (section.area * 10) / whole;
          steps.forEach(({ pour, part, move }, i) => {
            casting.begin(`step ${i}`);
            POURS[pour]!(casting, i, part * each);
            MOVES[move]!(casting);
          });
          const engine = casting.engine();
          expect(engine.level).toBeCloseTo(10, 6);
          const shares = counted(section, engine, PLACES, chanceFrom(seed));
          expect(shares.get(EMPTY) ?? 0).toBeLessThan(0.001);
          // The books of the casting are those of the pour.
          steps.forEach(({ part }, i) => expect(casting.held.get(i)).toBeCloseTo(part * each, 4));
          steps.forEach(({ part }, i) =>
            expect(Math.abs((shares.get(i) ?? 0) - part / whole)).toBeLessThan(OFF)
          );
        }),
        { numRuns: times(3, 12), seed: 20_261 }
      );
    },
    60_000
  );

  it('is the same again from the same seed, and another from another', () => {
    const made = (seed: string) => {
      const casting = new Casting(FOOTPRINTS.round!, seed);
      casting.begin('a');
      casting.lay(plain(0), 40_000);
      casting.begin('b');
      casting.puddle(plain(1), 15_000, { x: 3, y: 0 }, { from: 'low' });
      casting.stir(wobble(casting.section, 1, casting.chance));
      const engine = casting.engine();
      const chance = chanceFrom(1);
      return Array.from({ length: 600 }, () =>
        engine.matterAt(spotIn(casting.section, 0, engine.level, chance))
      ).join('');
    };
    expect(made('1')).toBe(made('1'));
    expect(made('1')).not.toBe(made('2'));
  });
});

describe('a puddle stack of full depth', () => {
  it('has its rings where the volumes put them: 14.23 and 28.46 mm of 45', () => {
    const casting = new Casting(FOOTPRINTS.round!, 'worked');
    const even = { from: 'high', uneven: { waves: 0, much: 0 } } as const;
    casting.lay(plain(0), 30_000);
    casting.puddle(plain(1), 15_000, { x: 0, y: 0 }, even);
    casting.puddle(plain(2), 5_000, { x: 0, y: 0 }, even);
    const engine = casting.engine();
    const at = (r: number, z: number) => engine.matterAt({ x: 0, y: r, z });
    for (const z of [0.1, 3, 7.5]) {
      expect([at(14.2, z), at(14.26, z)]).toEqual([2, 1]);
      expect([at(28.43, z), at(28.49, z)]).toEqual([1, 0]);
      expect(at(44.99, z)).toBe(0);
    }
  });
});

describe('what has set', () => {
  it('is not moved by what is done above it', () => {
    const casting = new Casting(FOOTPRINTS.oblong!, '1');
    casting.lay(plain(0), 10_000);
    casting.setStill();
    const ground = casting.level;
    casting.lay(plain(1), 10_000);
    casting.puddle(plain(2), 8_000, { x: 0, y: 0 }, { from: 'high' });
    casting.stir(wobble(casting.section, 1, casting.chance));
    const engine = casting.engine();
    const chance = chanceFrom(4);
    for (let i = 0; i < 300; i++) {
      expect(engine.matterAt(spotIn(casting.section, 0, ground - 1e-6, chance))).toBe(0);
      expect(engine.matterAt(spotIn(casting.section, ground + 1e-6, engine.level, chance))).not.toBe(0);
    }
  });
});

describe('a column', () => {
  it('never fills its post, keeps its shares, and takes the last pour into the void', () => {
    const casting = new Casting(FOOTPRINTS.round!, '1');
    const at = { x: 0, y: 0 };
    for (let round = 0; round < 4; round++)
      for (const matter of [0, 1]) {
        casting.begin(`${round} ${matter}`);
        casting.overPost(matter, 5_000, at, () => 8);
      }
    const ground = casting.level;
    casting.liftPost();
    const hole = Math.PI * 64 * ground;
    casting.begin('void');
    casting.puddle(plain(2), hole, at, { from: 'high' });
    const engine = casting.engine();
    expect(engine.level).toBeCloseTo(ground, 6);
    expect(engine.matterAt({ x: 1, y: 2, z: ground / 2 })).toBe(2);
    const shares = counted(casting.section, engine, PLACES, chanceFrom(3));
    const all = 40_000 + hole;
    expect(shares.get(0)).toBeCloseTo(20_000 / all, 1.7);
    expect(shares.get(2)).toBeCloseTo(hole / all, 1.7);
  });
});

describe('what is drawn out', () => {
  it('is booked by what it was, and the rest keeps its volume', () => {
    const casting = new Casting(FOOTPRINTS.round!, '1');
    casting.lay(plain(0), 30_000);
    casting.puddle(plain(1), 20_000, { x: 0, y: 0 }, { from: 'high' });
    casting.withdraw(8_000, { x: 0, y: 0 });
    expect(casting.held.get(0)! + casting.held.get(1)!).toBeCloseTo(42_000, 6);
    // From the middle of what was dug in only that can leave.
    expect(casting.held.get(1)).toBeCloseTo(12_000, -2);
    const engine = casting.engine();
    const shares = counted(casting.section, engine, PLACES, chanceFrom(8));
    expect(shares.get(1)).toBeCloseTo(12_000 / 42_000, 1.7);
  });
});

describe('a barrier', () => {
  const pair = (casting: Casting, low: number) => {
    casting.beside(low, 4_000, [[-15, 12]]);
    casting.beside(low + 1, 4_000, [[15, -12]]);
  };
  const line = [
    [-60, 0],
    [60, 0]
  ] as const;
  it('keeps apart what is poured next on either side, and not what comes on top of that', () => {
    const casting = new Casting(FOOTPRINTS.oblong!, '1');
    casting.standBarrier(line, 3);
    pair(casting, 0);
    casting.setStill();
    const ground = casting.level;
    pair(casting, 2);
    const engine = casting.engine();
    // Below it is the line that parts them; above, each place belongs to the nearer.
    expect(engine.matterAt({ x: 40, y: 8, z: ground / 2 })).toBe(0);
    expect(engine.matterAt({ x: 40, y: 8, z: ground * 1.5 })).toBe(3);
    expect(casting.solidAt({ x: 5, y: 0.2, z: 1 })).toBeDefined();
  });

  it('is gone once it is lifted; what it kept apart stays', () => {
    const casting = new Casting(FOOTPRINTS.oblong!, '1');
    casting.standBarrier(line, 3);
    pair(casting, 0);
    casting.liftBarrier();
    const engine = casting.engine();
    expect(casting.solidAt({ x: 5, y: 0.2, z: 1 })).toBeUndefined();
    expect(engine.matterAt({ x: 40, y: 8, z: 0.5 })).toBe(0);
  });
});

describe('a post', () => {
  it('is not stirred through: nothing of the fluid comes to lie where it stands', () => {
    const casting = new Casting(FOOTPRINTS.round!, '1');
    for (let round = 0; round < 3; round++) {
      casting.begin(`${round}`);
      casting.overPost(round, 6_000, { x: 0, y: 0 }, () => 8);
      casting.stir(wobble(casting.section, 1, casting.chance));
    }
    const { flows, level } = casting;
    const chance = chanceFrom(2);
    for (let i = 0; i < 500; i++) {
      const [a, r] = [2 * Math.PI * chance(), 8.05 + 30 * chance()];
      const spot = { x: r * Math.cos(a), y: r * Math.sin(a), z: 0.99 * level * chance() };
      for (let f = flows.length - 1; f >= 0 && flows[f]!.undo(spot) < 0; f--)
        expect(Math.hypot(spot.x, spot.y)).toBeGreaterThan(7.99);
    }
  });
});

describe('a region', () => {
  const bed = () => {
    const casting = new Casting(FOOTPRINTS.round!, 'region');
    casting.begin('bed');
    casting.lay({ matter: 0, parts: [] }, casting.section.area * 10);
    casting.begin('leaf');
    return casting;
  };
  /** mm² of the leaf: 0.5·|Σ(x·y' − x'·y)| of its corners, by hand. */
  const LEAF_AREA = 177;
  const seen = (casting: Casting, z: number) => {
    const engine = casting.engine();
    let [wrong, places] = [0, 0];
    for (let x = -20; x <= 20; x += 0.8)
      for (let y = -20; y <= 20; y += 0.8) {
        places++;
        if ((engine.matterAt({ x, y, z }) === 1) !== within(LEAF, x, y)) wrong++;
      }
    return wrong / places;
  };

  it('poured as deep as it fits shows on top just where it was traced', () => {
    expect(Math.abs(signedArea(LEAF))).toBe(LEAF_AREA);
    const casting = bed();
    casting.region({ matter: 1, parts: [] }, LEAF_AREA * 3, LEAF);
    expect(casting.level).toBeCloseTo(10 + (LEAF_AREA * 3) / casting.section.area, 9);
    expect(seen(casting, casting.level - 0.01)).toBeLessThan(0.02);
  });

  it('milled out and refilled is just what was traced, flush, and the ground it took is booked off', () => {
    const casting = bed();
    casting.setStill();
    casting.refill({ matter: 1, parts: [] }, LEAF_AREA * 2, LEAF);
    expect(casting.level).toBe(10);
    // To the line on top, and two millimetres down.
    expect(seen(casting, 9.9)).toBeLessThan(0.003);
    expect(casting.engine().matterAt({ x: 0, y: 0, z: 8.1 })).toBe(1);
    expect(casting.engine().matterAt({ x: 0, y: 0, z: 7.9 })).toBe(0);
    expect(casting.held.get(1)).toBeCloseTo(LEAF_AREA * 2, 9);
    expect(casting.held.get(0)! / (casting.section.area * 10 - LEAF_AREA * 2)).toBeCloseTo(1, 9);
  });

  it('deeper than what stands there is not refilled', () => {
    const casting = bed();
    casting.refill({ matter: 1, parts: [] }, LEAF_AREA * 11, LEAF);
    expect(casting.held.get(1)).toBeUndefined();
  });
});
