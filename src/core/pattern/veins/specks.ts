import { noiseFrom } from '../noise';
import { between, chanceFrom, normal, type Chance } from '../seeded';
import type { Field, VeinRoom } from './field';

/** A family of specks that met the same strokes; the figures of families are starting values, set by eye. */
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

/** How much two waves of slow noise, each between −1 and 1, make a field uneven. */
const UNEVEN = [
  { wave: 3.2, much: 0.75 },
  { wave: 11, much: 0.35 }
] as const;
const MOST_UNEVEN = UNEVEN[0].much + UNEVEN[1].much;

/** How near a place is to the specks of all families, in their own sizes, made uneven by slow noise. */
export const speckField =
  (kind: 'marbled' | 'speckled') =>
  (room: VeinRoom, seed: number): Field => {
    const chance = chanceFrom(seed);
    const scale = Math.sqrt(room.width * room.length);
    const turned = chance() * Math.PI;
    const families = FAMILIES[kind].map((f) => new DrawnOut(f, turned, room, chance));
    const noise = noiseFrom(seed);
    const warp = noiseFrom(seed + 1);
    // A slow bending of the whole cup: strokes are never straight.
    const bend = 0.2 * scale;
    const bentX = (x: number, y: number, z: number) => x + bend * warp(x / scale, y / scale, 3.1 + z / scale);
    const bentY = (x: number, y: number, z: number) => y + bend * warp(y / scale + 9.7, x / scale, z / scale);
    const waves = (k: number, bx: number, by: number, z: number) =>
      noise((k * bx) / scale, (k * by) / scale, (2 * z) / scale);
    const uneven = (bx: number, by: number, z: number) => {
      const [slow, quick] = UNEVEN;
      return slow.much * waves(slow.wave, bx, by, z) + quick.much * waves(quick.wave, bx, by, z);
    };
    return {
      at: ({ x, y, z }) => {
        const [bx, by] = [bentX(x, y, z), bentY(x, y, z)];
        let nearest = Infinity;
        for (const family of families) nearest = Math.min(nearest, family.nearest(bx, by, z));
        return Math.sqrt(nearest) + uneven(bx, by, z);
      },
      below: (limit) => {
        const close = families.map((family) => family.within(limit + MOST_UNEVEN));
        return ({ x, y, z }) => {
          const [bx, by] = [bentX(x, y, z), bentY(x, y, z)];
          const left = limit - uneven(bx, by, z);
          if (left <= 0) return false;
          for (const family of close) if (family.isNear(bx, by, z, left * left)) return true;
          return false;
        };
      }
    };
  };

/** Places of a family's grid of specks, along the strokes and across them. */
const ALONG = 12;
const ACROSS = 24;
const FIELDS = 4;

/** Specks that one family of strokes drew out, seen in a frame in which they are round. */
class DrawnOut {
  readonly #c: number;
  readonly #s: number;
  readonly #stretch: number;
  /** Per speck: along, across, height in the room, mm, and 1 over the square of its size. */
  readonly #specks: Float64Array;
  readonly #low: number;
  /** The field repeats across the strokes after so much, where drawing out has brought far specks near; along them after the other. */
  readonly #repeat: number;
  readonly #wide: number;
  readonly #scale: number;

  constructor(family: Family, turned: number, { width, length, low, high }: VeinRoom, chance: Chance) {
    this.#scale = Math.sqrt(width * length);
    const angle = family.heading + turned;
    [this.#c, this.#s, this.#stretch] = [Math.cos(angle), Math.sin(angle), family.stretch];
    this.#low = low;
    this.#repeat = 2 * this.#scale * family.stretch ** 0.6;
    this.#wide = 4 * this.#scale;
    const specks = specksOf(family, this.#scale, chance);
    this.#specks = Float64Array.from(
      specks.flatMap(({ x, y, z, size }) => [x, y, z * (high - low), 1 / (size * size)])
    );
  }

  /** The square of how far it is to the nearest speck, in its own size. */
  nearest(x: number, y: number, z: number): number {
    const [u, v] = [this.#along(x, y), this.#across(x, y)];
    let nearest = Infinity;
    for (let at = 0; at < this.#specks.length; at += FIELDS)
      nearest = Math.min(nearest, this.#squared(at, u, v, z));
    return nearest;
  }

  /** The same specks, sorted by where a place can be within so many of their sizes of them. */
  within(reach: number): { isNear(x: number, y: number, z: number, squared: number): boolean } {
    const cells = this.#cells(reach);
    return {
      isNear: (x, y, z, squared) => {
        const [u, v] = [this.#along(x, y), this.#across(x, y)];
        const turn = v / this.#repeat;
        const cell = cells[this.#column(u) * ACROSS + Math.floor((turn - Math.floor(turn)) * ACROSS)]!;
        for (let i = 0; i < cell.length; i++) if (this.#squared(cell[i]!, u, v, z) < squared) return true;
        return false;
      }
    };
  }

  #along(x: number, y: number): number {
    return ((this.#c * x + this.#s * y) / this.#stretch) % this.#wide;
  }

  #across(x: number, y: number): number {
    return (-this.#s * x + this.#c * y) * this.#stretch;
  }

  #squared(at: number, u: number, v: number, z: number): number {
    const specks = this.#specks;
    const du = u - specks[at]!;
    const dv = wrapped(v - specks[at + 1]!, this.#repeat);
    const dz = (z - specks[at + 2]! - this.#low) * 0.7;
    return (du * du + dv * dv + dz * dz) * specks[at + 3]!;
  }

  /** The column of the grid for a place along the strokes; what lies past its ends is in the last. */
  #column(u: number): number {
    const share = (u / this.#scale + 2) / 4;
    return Math.min(ALONG - 1, Math.max(0, Math.floor(share * ALONG)));
  }

  /** For each place of the grid the specks that can be so near. */
  #cells(reach: number): Int32Array[] {
    const cells = Array.from({ length: ALONG * ACROSS }, (): number[] => []);
    for (let at = 0; reach > 0 && at < this.#specks.length; at += FIELDS) {
      const far = reach / Math.sqrt(this.#specks[at + 3]!);
      const [u, v] = [this.#specks[at]!, this.#specks[at + 1]!];
      const rows = rowsOf((v - far) / this.#repeat, (v + far) / this.#repeat);
      for (let column = this.#column(u - far); column <= this.#column(u + far); column++)
        for (const row of rows) cells[column * ACROSS + row]!.push(at);
    }
    return cells.map((cell) => Int32Array.from(cell));
  }
}

/** The rows of a grid that repeats, from one turn to another, each once. */
function rowsOf(from: number, to: number): number[] {
  const first = Math.floor(from * ACROSS);
  const count = Math.min(ACROSS, Math.floor(to * ACROSS) - first + 1);
  return Array.from({ length: count }, (_, i) => (((first + i) % ACROSS) + ACROSS) % ACROSS);
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
