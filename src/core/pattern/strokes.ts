import type { Roll, Vortex } from './maps/stir';
import type { Section } from './shapes/section';
import { between, type Chance } from './seeded';

type Point = readonly [number, number];

/** How a tool is drawn: half its width, mm, how much of its way the fluid under it goes along, and how far that reaches. */
export interface Tool {
  radius: number;
  /** Share of the tool's way that what lies under it is carried, 0..1.1. */
  strength: number;
  /** Share of the strength that a thick tool has on the fluid 2.4 times as far. */
  wide?: number;
  /** Whether the end runs out to a point. */
  tapers?: boolean;
}

/** Steps along a way as shares of the tool's half width. */
const STEP = 0.3;
/** Movement of the middle between two turnings that stand half a radius to each side, per step and strength. */
const CARRY = 1.125;

/** A tool drawn along a way: pairs of turnings, left about and right about, close along it, all inside the wall. */
export function stroke(section: Section, way: readonly Point[], tool: Tool): Vortex[] {
  const long = lengthOf(way);
  const vortices: Vortex[] = [];
  const pair = (at: Point, heading: Point, radius: number, strength: number) => {
    for (const side of [1, -1]) {
      const [x, y] = [at[0] - side * 0.5 * radius * heading[1], at[1] + side * 0.5 * radius * heading[0]];
      const room = Math.min(radius, section.wall(x, y));
      if (room > 0.15 * radius)
        vortices.push({
          x,
          y,
          radius: room,
          turn: (side * strength * STEP * tool.radius) / (CARRY * radius)
        });
    }
  };
  for (let s = 0; s < long; s += STEP * tool.radius) {
    const { at, heading } = along(way, s);
    const share = s / long;
    const eased = Math.min(1, share / 0.1 + 0.15);
    // A tool that tapers lets go of more and more of what it carries: its tongue runs out to a point.
    const thin = tool.tapers ? Math.max(0.22, (1 - 0.55 * share) * (1 - share) ** 0.25) : 1;
    pair(at, heading, tool.radius * thin, tool.strength * eased);
    if (tool.wide) pair(at, heading, 2.4 * tool.radius, tool.strength * tool.wide * eased);
  }
  return vortices;
}

/**
 * How long a way is, in the unit of its points.
 * @example lengthOf([[0, 0], [3, 4]]) // 5
 */
export const lengthOf = (way: readonly Point[]): number =>
  way.slice(1).reduce((s, b, i) => s + Math.hypot(b[0] - way[i]![0], b[1] - way[i]![1]), 0);

/**
 * The place and the heading so many mm along a way.
 * @example along([[0, 0], [10, 0]], 4).at // [4,0]
 */
export function along(way: readonly Point[], mm: number): { at: Point; heading: Point } {
  let left = mm;
  for (let i = 1; i < way.length; i++) {
    const [a, b] = [way[i - 1]!, way[i]!];
    const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
    if (left <= long || i === way.length - 1) {
      const heading: Point = long > 0 ? [(b[0] - a[0]) / long, (b[1] - a[1]) / long] : [1, 0];
      const t = Math.min(left, long);
      return { at: [a[0] + heading[0] * t, a[1] + heading[1] * t], heading };
    }
    left -= long;
  }
  return { at: way[0] ?? [0, 0], heading: [1, 0] };
}

/**
 * A way through the same places without corners: each corner is cut off twice, as a hand does.
 * @example smoothWay([[0, 0], [10, 0]], false)[0] // [0,0]
 */
export function smoothWay(points: readonly Point[], closed: boolean): Point[] {
  let way = [...points];
  for (let pass = 0; pass < 3 && way.length > 2; pass++) {
    const next: Point[] = closed ? [] : [way[0]!];
    const count = closed ? way.length : way.length - 1;
    for (let i = 0; i < count; i++) {
      const [a, b] = [way[i]!, way[(i + 1) % way.length]!];
      next.push([0.75 * a[0] + 0.25 * b[0], 0.75 * a[1] + 0.25 * b[1]]);
      next.push([0.25 * a[0] + 0.75 * b[0], 0.25 * a[1] + 0.75 * b[1]]);
    }
    way = closed ? next : [...next, way.at(-1)!];
  }
  return closed ? [...way, way[0]!] : way;
}

/** Octaves of a wobble, starting values set by eye on drawn pieces: how many turnings, how large against √area, and how far each turns. */
const OCTAVES = [
  { count: 10, small: 0.15, large: 0.4, turn: 0.2 },
  { count: 20, small: 0.06, large: 0.15, turn: 0.14 },
  { count: 30, small: 0.025, large: 0.07, turn: 0.09 }
] as const;

/** Near ones together, so that few of them have to be looked at for any place. */
const nearTogether = (vortices: readonly Vortex[], scale: number): Vortex[] => {
  const key = (v: Vortex) => Math.round((4 * v.y) / scale) * 1000 + v.x / scale;
  return [...vortices].sort((a, b) => key(a) - key(b));
};

/**
 * The unevenness that a hand, a fall and a fluid leave: seeded turnings of three sizes. `much` 1 is a free pour.
 * @example wobble(disc(30), 1, () => 0.5).length // 60
 */
export function wobble(section: Section, much: number, chance: Chance): Vortex[] {
  const scale = Math.sqrt(section.area);
  // What hardly moves is not worth many turnings.
  const many = Math.min(1, 0.4 + 2 * much);
  return OCTAVES.flatMap(({ count, small, large, turn }) => {
    const made = Array.from({ length: Math.round(count * many) }, () => {
      const { x, y, wall } = placeIn(section, chance);
      const radius = Math.min(between(chance, small, large) * scale, wall);
      return { x, y, radius, turn: between(chance, -1, 1) * turn * much * 2 };
    }).filter((v) => v.radius > 0.004 * scale);
    return nearTogether(made, scale);
  });
}

/** A tool leans by so much at the most, mm a mm of depth, and keeps at the ground so much of what it does at the surface: set by eye. */
const LEANS = 0.7;
const LEFT = { least: 0.25, most: 0.9 } as const;

/**
 * Turnings as a hand does them: none goes straight down, and all grow weaker on their way, each within the wall at every depth.
 * @param deep how far down they go, mm
 * @example leaning(disc(30), [{ x: 0, y: 0, radius: 5, turn: 1 }], 10, () => 0.5)[0].turn // 1
 */
export function leaning(
  section: Section,
  vortices: readonly Vortex[],
  deep: number,
  chance: Chance
): Vortex[] {
  return vortices.map((v) => {
    const [angle, much] = [chance() * 2 * Math.PI, LEANS * chance()];
    const left = between(chance, LEFT.least, LEFT.most);
    // A middle that keeps its radius from the wall at the ground keeps it all the way: footprints that see it whole have no bay.
    for (let k = much; k > 0.02; k /= 2) {
      const [x, y] = [k * Math.cos(angle), k * Math.sin(angle)];
      const stays = [0.5, 1].every((d) => section.wall(v.x + x * d * deep, v.y + y * d * deep) >= v.radius);
      if (stays) return { ...v, lean: { x, y, left } };
    }
    return { ...v, lean: { x: 0, y: 0, left } };
  });
}

/** Seeded rolls in upright planes between two levels: how what lies in layers comes to differ with depth. */
export function tumbling(
  section: Section,
  levels: { low: number; high: number },
  { count, turn }: { count: number; turn: number },
  chance: Chance
): Roll[] {
  const scale = Math.sqrt(section.area);
  const height = levels.high - levels.low;
  return Array.from({ length: count }, (): Roll => {
    const { x, y, wall } = placeIn(section, chance);
    const up = height * between(chance, 0.15, 0.48);
    // A box as long and as wide stands inside a disc that reaches to the wall.
    const reach = Math.min(between(chance, 0.08, 0.25) * scale, wall / Math.SQRT2);
    return {
      x,
      y,
      z: between(chance, levels.low + up, levels.high - up),
      heading: chance() * Math.PI,
      along: reach,
      up,
      across: reach,
      turn: between(chance, -1, 1) * turn
    };
  }).filter((r) => r.along > 0.004 * scale && r.up > 0);
}

function placeIn(section: Section, chance: Chance): { x: number; y: number; wall: number } {
  for (;;) {
    const x = between(chance, -section.half.width, section.half.width);
    const y = between(chance, -section.half.length, section.half.length);
    const wall = section.wall(x, y);
    if (wall > 0) return { x, y, wall };
  }
}
