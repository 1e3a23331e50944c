import { between, chanceFrom, normal, type Chance } from '../seeded';
import type { Spot } from '../spot';
import type { Field, VeinRoom } from './field';

/** A broken chip: its middle, and its sides, each as how far it is to them along x, y and z in its own size. */
interface Chip {
  x: number;
  y: number;
  z: number;
  size: number;
  sides: readonly (readonly [number, number, number])[];
}

/** Sides of a broken chip, and how many there are of each sort in a piece: set by eye. */
const SIDES = 5;
const CHIPS = 60;
/** How far a side is from the middle, in sizes, how far it is turned out of its even place, and how it leans. */
const REACH = { least: 0.7, most: 1.25 } as const;
const TURNED = 0.25;
const LEANS = 0.4;

/** How near a place is to the nearest of many broken chips, in its own size: flat sides, no two alike. */
export function chipField(room: VeinRoom, seed: number): Field {
  const chance = chanceFrom(seed);
  const chips = Array.from({ length: CHIPS }, () => chipIn(room, chance));
  return {
    at: (spot) => {
      let nearest = Infinity;
      for (const chip of chips) nearest = Math.min(nearest, farthestSide(chip, spot, nearest));
      return nearest;
    },
    below: (limit) => {
      const cells = chipsByPlace(chips, room, limit);
      return (spot) => {
        const { x, y, z } = spot;
        const near = z >= room.low && z <= room.high ? cells[cellAt(room, x, y)]! : chips;
        for (const chip of near) if (farthestSide(chip, spot, limit) < limit) return true;
        return false;
      };
    }
  };
}

function chipIn(room: VeinRoom, chance: Chance): Chip {
  const turned = chance() * 2 * Math.PI;
  const size = 0.11 * Math.sqrt(room.width * room.length) * Math.exp(0.4 * normal(chance));
  return {
    size,
    x: between(chance, -room.width, room.width),
    y: between(chance, -room.length, room.length),
    z: between(chance, room.low, room.high),
    sides: Array.from({ length: SIDES }, (_, k) => {
      const angle = turned + ((k + between(chance, -TURNED, TURNED)) * 2 * Math.PI) / SIDES;
      const reach = size * between(chance, REACH.least, REACH.most);
      return [
        Math.cos(angle) / reach,
        Math.sin(angle) / reach,
        between(chance, -LEANS, LEANS) / reach
      ] as const;
    })
  };
}

/** How far a place is past the side it is farthest past, 0 within; as soon as that is `enough`, so far. */
function farthestSide(chip: Chip, { x, y, z }: Spot, enough: number): number {
  let far = 0;
  for (const [a, b, c] of chip.sides) {
    const past = a * (x - chip.x) + b * (y - chip.y) + c * (z - chip.z);
    if (past > far) far = past;
    if (far >= enough) break;
  }
  return far;
}

/** Places of the grid to each side. */
const GRID = 16;

const columnOf = (at: number, half: number) =>
  Math.min(GRID - 1, Math.max(0, Math.floor(((at / half + 1) / 2) * GRID)));
const cellAt = ({ width, length }: VeinRoom, x: number, y: number) =>
  columnOf(x, width) * GRID + columnOf(y, length);

/** For each place of a grid over the room, the chips that can be nearer to it than a limit. */
function chipsByPlace(chips: readonly Chip[], room: VeinRoom, limit: number): Chip[][] {
  const cells = Array.from({ length: GRID * GRID }, (): Chip[] => []);
  // Between two sides there is a corner; the sides are never farther apart than this, so that one of them always looks that way.
  const corner = Math.cos(((1 + 2 * TURNED) * Math.PI) / SIDES);
  for (const chip of chips) {
    const far = (limit * REACH.most * chip.size + LEANS * (room.high - room.low)) / corner;
    const [left, right] = [chip.x - far, chip.x + far].map((x) => columnOf(x, room.width));
    const [near, back] = [chip.y - far, chip.y + far].map((y) => columnOf(y, room.length));
    for (let i = left!; i <= right!; i++)
      for (let j = near!; j <= back!; j++) cells[i * GRID + j]!.push(chip);
  }
  return cells;
}
