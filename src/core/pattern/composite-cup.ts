import { Casting } from './casting/casting';
import type { Content, Falling } from './casting/content';
import type { Engine } from './engine';
import { rectangle, type Section } from './shapes/section';
import type { Spot } from './spot';
import { between, chanceFrom, type Chance } from './seeded';
import { along, lengthOf, tumbling, wobble } from './strokes';
import type { VeinPart } from './veins/veins';

type Point = readonly [number, number];

/** How a cup of several colours is poured out: along a way, in one place, or along a bar that is cut across. */
export type StreamPour = { along: readonly Point[] } | { at: Point };

/** Where colours are poured into a jug, one after another: corner, centre, opposite corner, and on. */
const INTO_JUG: readonly Point[] = [
  [-0.3, -0.3],
  [0.02, 0],
  [0.3, 0.3],
  [-0.28, 0.3],
  [0.3, -0.28],
  [0, 0.34]
];

/** A jug as a cavity of its own, one by one by one: from its lip to its back, from side to side, and deep. */
function jugOf(parts: readonly VeinPart[], chance: Chance, seed: string): Engine {
  const jug = new Casting(rectangle(0.5, 0.5), seed);
  parts.forEach((part, i) => {
    jug.begin(`${i}`);
    const content: Content = { matter: part.matter, parts: [] };
    const [x, y] = INTO_JUG[(i + INTO_JUG.length - 1) % INTO_JUG.length]!;
    if (!i) jug.lay(content, part.share);
    else jug.puddle(content, part.share, { x, y }, { from: 'high', uneven: { waves: 3, much: 0.05 } });
  });
  jug.stir(wobble(jug.section, 0.6, chance));
  return jug.engine();
}

/** What is in a jug so far back from its lip, so far across and so deep, 0..1 each; on its wall it is what stands there. */
function inJug(jug: Engine, back: number, across: number, deep: number): number {
  const inside = (v: number) => Math.min(1 - 1e-9, Math.max(1e-9, v));
  return jug.matterAt({ x: inside(back) - 0.5, y: inside(across) - 0.5, z: inside(deep) * jug.level });
}

/** What is in a pool at a spot; its very top, which rounding may pass, is in it. */
const within = (pool: Engine, spot: Spot): number =>
  pool.matterAt({ ...spot, z: Math.min(Math.max(0, spot.z), pool.level * (1 - 1e-12)) });

/** How what ran into a pool rolls over as it comes to rest, so that nothing in it stands upright: set by eye. */
const STREAM_ROLLS = { count: 44, turn: 0.9 } as const;

/** Of a swirl, what has run out before its drops find a pool to fall into. */
const FIRST = 0.14;

/**
 * A jug poured along a way: its content leaves from the lip backward, so the stream is a sequence of it; each drop carries
 * a slice, what stood left in the jug on its left.
 */
export function swirledThrough(
  casting: Casting,
  parts: readonly VeinPart[],
  mm3: number,
  way: readonly Point[]
): void {
  const long = lengthwise(casting);
  const { low, high } = { low: casting.level, high: casting.level + mm3 / casting.section.area };
  const seed = `${between(casting.chance, 0, 1e9)}`;
  const jug = jugOf(parts, casting.chance, seed);
  if (!long) {
    const pool = poured(casting.section, jug, mm3, { way, seed });
    casting.layBy((spot) => within(pool, { x: spot.x, y: spot.y, z: spot.z - low }), mm3, parts);
    return;
  }
  // Along a bar the stream is laid lengthwise: it moves in the cross-section, and hardly along the bar.
  const height = high - low;
  const cross = rectangle(long.across, height / 2);
  const pool = poured(cross, jug, cross.area * 2 * long.half, {
    way: way.map(([x, y], i) => [
      (long.turned ? x / casting.section.half.width : y / casting.section.half.length) * 0.8 * long.across,
      (way.length > 1 ? i / (way.length - 1) - 0.5 : 0) * 0.72 * height
    ]),
    seed
  });
  casting.layBy(
    (spot) => {
      const [u, v] = long.to(spot.x, spot.y);
      return within(pool, { x: v, y: spot.z - low - height / 2, z: u + long.half });
    },
    mm3,
    parts
  );
}

/** The pool that a stream makes of a jug's content, in a footprint of its own. */
function poured(
  section: Section,
  jug: Engine,
  mm3: number,
  { way, seed }: { way: readonly Point[]; seed: string }
): Engine {
  const pool = new Casting(section, seed);
  pool.begin('stream');
  const chart = section.chartAt(0, 0);
  const { width, length } = chart.onto.half;
  const first = (FIRST * mm3) / section.area;
  pool.layBy(
    ({ x, y, z }) => {
      const [u, v] = chart.to(x, y);
      return inJug(jug, (FIRST * z) / first, u / (2 * width) + 0.5, v / (2 * length) + 0.5);
    },
    FIRST * mm3,
    []
  );
  const long = lengthOf(way);
  const count = Math.round(Math.min(240, Math.max(90, (long / Math.sqrt(section.area)) * 90)));
  const rest = (1 - FIRST) / count;
  const chance = chanceFrom(seed.length);
  const falling = Array.from({ length: count }, (_, i): Falling => {
    const { at, heading } = along(way, ((i + 0.5) / count) * long);
    const [from, ahead] = [FIRST + i * rest, Math.atan2(heading[1], heading[0])];
    const sway = 0.012 * Math.sqrt(section.area);
    return {
      x: at[0] + between(chance, -sway, sway),
      y: at[1] + between(chance, -sway, sway),
      mm3: rest * mm3,
      matter: ({ inward, angle, up }) => {
        const turn = (angle - ahead) / (2 * Math.PI);
        return inJug(jug, from + rest * inward, turn - Math.floor(turn), up);
      }
    };
  });
  pool.drops(falling);
  pool.stir(wobble(section, 0.45, pool.chance));
  pool.tumble(tumbling(section, { low: 0, high: pool.level }, STREAM_ROLLS, pool.chance));
  return pool.engine();
}

/** How often the colours of a stacked cup follow one another. */
const ROUNDS = 3;
const DROPS_A_BAND = 4;

/** Colours stacked in one cup and turned out in one place: what lay first runs outward, ring after ring. */
export function dirtyPour(casting: Casting, parts: readonly VeinPart[], mm3: number, at: Point): void {
  const { chance, section } = casting;
  const weights = parts.map(() => Array.from({ length: ROUNDS }, (_, r) => roundOf(r, chance)));
  const bands = Array.from({ length: ROUNDS }, (_, r) =>
    parts.map(({ matter, share }, i) => {
      const whole = weights[i]!.reduce((sum, w) => sum + w, 0);
      return { matter, mm3: (mm3 * share * weights[i]![r]!) / whole };
    })
  );
  const pool = new Casting(section, `${between(chance, 0, 1e9)}`);
  pool.begin('cup');
  const drift = 0.05 * Math.sqrt(section.area);
  let [x, y] = at;
  bands.flat().forEach((band, i) => {
    const own = band.mm3;
    const content: Content = { matter: band.matter, parts: [] };
    if (!i) pool.lay(content, own);
    else
      for (let d = 0; d < DROPS_A_BAND; d++) {
        [x, y] = [x + between(chance, -drift, drift) / 2, y + between(chance, -drift, drift) / 2];
        pool.puddle(content, own / DROPS_A_BAND, { x, y }, { from: 'high', uneven: { waves: 5, much: 0.1 } });
      }
    if (i % 4 === 3) pool.stir(wobble(section, 0.22, pool.chance));
  });
  pool.tumble(tumbling(section, { low: 0, high: pool.level }, STREAM_ROLLS, pool.chance));
  const engine = pool.engine();
  const low = casting.level;
  casting.layBy((spot) => within(engine, { x: spot.x, y: spot.y, z: spot.z - low }), mm3, parts);
}

/** Later bands are thinner, and none is like the one before. */
const roundOf = (round: number, chance: Chance): number => between(chance, 0.5, 1.5) / (1 + 0.4 * round);

/** The long way of a bar that will be cut across, in the chart of its footprint; undefined where it is none. */
function lengthwise(casting: Casting) {
  if (!casting.bar) return undefined;
  const { width, length } = casting.section.half;
  const turned = length > width;
  const chart = casting.section.chartAt(0, 0);
  const { half: onto } = chart.onto;
  return {
    turned,
    half: turned ? onto.length : onto.width,
    across: turned ? onto.width : onto.length,
    to: (x: number, y: number): Point => {
      const [u, v] = chart.to(x, y);
      return turned ? [v, u] : [u, v];
    }
  };
}
