import { evenPlace } from './evenly';
import { noiseFrom } from './noise';
import { between, chanceFrom, normal, type Chance } from './seeded';
import type { Spot } from './spot';

/** A cup that is not one colour: in veins after a few strokes, in specks that were left as they fell, or with chips in it. */
export type Unstirred = 'marbled' | 'speckled' | 'chips';

/** What it is made of: matter and share, the body first; shares sum to 1. */
export interface VeinPart {
  matter: number;
  share: number;
}

/** Where it lies: half its extent and its height, mm, and how to throw points at random into it. */
export interface VeinRoom {
  width: number;
  length: number;
  low: number;
  high: number;
  contains(x: number, y: number): boolean;
}

/** Points by which the width of veins is set so that each part's share is exact. */
const POINTS = 6_000;

/**
 * The matter at each place of an unstirred cup as it was laid. Specks of all sizes in clusters, drawn out by the strokes
 * the cup was given: long and thin where they came early, shorter where they came late. Each part is where its field is
 * below the quantile of its share, so shares are exact whatever the field.
 */
export function veined(
  kind: Unstirred,
  parts: readonly VeinPart[],
  room: VeinRoom,
  seed: number
): (spot: Spot) => number {
  const [body, ...others] = [...parts].sort((a, b) => b.share - a.share);
  const fields = others.map((p, i) => ({
    ...p,
    field: (kind === 'chips' ? chipField : fieldFor(kind))(room, seed + 7919 * (i + 1))
  }));
  const points = pointsIn(room, seed);
  let left = points;
  const limits = fields.map(({ share, field }) => {
    const values = left.map(field).sort((a, b) => a - b);
    const limit = values[Math.min(values.length - 1, Math.round(share * points.length))] ?? -Infinity;
    left = left.filter((p) => field(p) >= limit);
    return limit;
  });
  return (spot) => {
    for (let i = 0; i < fields.length; i++) if (fields[i]!.field(spot) < limits[i]!) return fields[i]!.matter;
    return body!.matter;
  };
}

/** Points that fill the room evenly: far nearer to its shares than as many thrown at random. */
function pointsIn({ width, length, low, high, contains }: VeinRoom, seed: number): Spot[] {
  const spots: Spot[] = [];
  for (let i = seed % 1000; spots.length < POINTS && i < (seed % 1000) + 20 * POINTS; i++) {
    const [u, v, w] = evenPlace(i);
    const [x, y] = [width * (2 * u - 1), length * (2 * v - 1)];
    if (contains(x, y)) spots.push({ x, y, z: low + w * (high - low) });
  }
  return spots;
}

/** A family of specks that met the same strokes; the figures of families and chips are starting values, set by eye. */
interface Family {
  /** Direction of the strokes, radians, how far they drew the specks out, and how many specks they met. */
  heading: number;
  stretch: number;
  clusters: number;
}

const FAMILIES: Record<'marbled' | 'speckled', readonly Family[]> = {
  marbled: [
    { heading: 0.5, stretch: 6.4, clusters: 22 },
    { heading: 0.95, stretch: 4, clusters: 12 },
    { heading: 0, stretch: 1, clusters: 2 }
  ],
  speckled: [{ heading: 0, stretch: 1.2, clusters: 46 }]
};

interface Speck {
  x: number;
  y: number;
  z: number;
  size: number;
}

/** Sides of a broken chip, and how many there are of each sort in a piece. */
const SIDES = 5;
const CHIPS = 60;

/** How near a place is to the nearest of many broken chips, in its own size: flat sides, no two alike. */
function chipField(room: VeinRoom, seed: number): (spot: Spot) => number {
  const chance = chanceFrom(seed);
  const scale = Math.sqrt(room.width * room.length);
  const chips = Array.from({ length: CHIPS }, () => {
    const turned = chance() * 2 * Math.PI;
    const size = 0.11 * scale * Math.exp(0.4 * normal(chance));
    return {
      x: between(chance, -room.width, room.width),
      y: between(chance, -room.length, room.length),
      z: between(chance, room.low, room.high),
      sides: Array.from({ length: SIDES }, (_, k) => {
        const angle = turned + ((k + between(chance, -0.25, 0.25)) * 2 * Math.PI) / SIDES;
        const reach = size * between(chance, 0.7, 1.25);
        return [
          Math.cos(angle) / reach,
          Math.sin(angle) / reach,
          between(chance, -0.4, 0.4) / reach
        ] as const;
      })
    };
  });
  return ({ x, y, z }) => {
    let nearest = Infinity;
    for (const chip of chips) {
      let far = 0;
      for (const [a, b, c] of chip.sides) {
        const d = a * (x - chip.x) + b * (y - chip.y) + c * (z - chip.z);
        if (d > far) far = d;
        if (far >= nearest) break;
      }
      if (far < nearest) nearest = far;
    }
    return nearest;
  };
}

/** How near a place is to the specks of all families, in their own sizes, made uneven by slow noise. */
const fieldFor = (kind: 'marbled' | 'speckled') => (room: VeinRoom, seed: number) =>
  fieldOf(kind, room, seed);

function fieldOf(kind: 'marbled' | 'speckled', room: VeinRoom, seed: number): (spot: Spot) => number {
  const chance = chanceFrom(seed);
  const scale = Math.sqrt(room.width * room.length);
  const turned = chance() * Math.PI;
  const families = FAMILIES[kind].map((f) => {
    const angle = f.heading + turned;
    return { ...f, c: Math.cos(angle), s: Math.sin(angle), specks: specksOf(f, scale, chance) };
  });
  const noise = noiseFrom(seed);
  const warp = noiseFrom(seed + 1);
  const flat = (room.high - room.low) / scale;
  return ({ x, y, z }) => {
    // A slow bending of the whole cup: strokes are never straight.
    const bend = 0.2 * scale;
    const bx = x + bend * warp(x / scale, y / scale, 3.1 + z / scale);
    const by = y + bend * warp(y / scale + 9.7, x / scale, z / scale);
    let nearest = Infinity;
    for (const f of families) {
      const u = ((f.c * bx + f.s * by) / f.stretch) % (4 * scale);
      const v = (-f.s * bx + f.c * by) * f.stretch;
      for (const speck of f.specks) {
        // The field repeats across the strokes, where drawing out has brought far specks near.
        const dv = wrapped(v - speck.y, 2 * scale * f.stretch ** 0.6);
        const dz = (z - speck.z * flat * scale - room.low) * 0.7;
        const d = ((u - speck.x) ** 2 + dv * dv + dz * dz) / (speck.size * speck.size);
        if (d < nearest) nearest = d;
      }
    }
    const waves = (k: number) => noise((k * bx) / scale, (k * by) / scale, (2 * z) / scale);
    return Math.sqrt(nearest) + 0.75 * waves(3.2) + 0.35 * waves(11);
  };
}

/** A distance on a circle of a length, from −half to half of it. */
const wrapped = (d: number, length: number) => d - length * Math.round(d / length);

/** Specks of very uneven size: one large with small ones about it. */
function specksOf({ clusters, stretch }: Family, scale: number, chance: Chance): Speck[] {
  return Array.from({ length: clusters }, (): Speck[] => {
    const x = between(chance, -1, 1) * scale * 1.1;
    const y = between(chance, -1, 1) * scale * stretch ** 0.6;
    const z = chance();
    const size = 0.085 * scale * Math.exp(0.45 * normal(chance));
    const about = Array.from({ length: 2 }, () => ({
      x: x + normal(chance) * size * 1.6,
      y: y + normal(chance) * size * 1.6,
      z: Math.min(1, Math.max(0, z + 0.1 * normal(chance))),
      size: size * between(chance, 0.25, 0.5)
    }));
    return [{ x, y, z, size }, ...about];
  }).flat();
}
