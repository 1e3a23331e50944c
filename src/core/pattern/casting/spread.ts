import { between } from '../seeded';
import type { Casting } from './casting';
import type { At } from './content';

/** Tries at one clearance before less of it has to do. */
const TRIES = 120;
const LESS = 0.85;

/**
 * Places for so many round things of a radius, mm, each clear of the others and of the wall where there is room, nearer where there
 * is not: all of them are placed. Of a bar they stand in a row, one to each of as many equal lengths.
 *
 * @param about where they are spread about, and how far; the whole footprint when absent
 */
export function spread(
  casting: Casting,
  count: number,
  radius: number,
  about?: { middle: At; reach: number }
): At[] {
  if (casting.bar && !about) return inARow(casting, count);
  const { section, chance } = casting;
  const { width, length } = section.half;
  const thrown = (): At =>
    about
      ? {
          x: about.middle.x + between(chance, -about.reach, about.reach),
          y: about.middle.y + between(chance, -about.reach, about.reach)
        }
      : { x: between(chance, -width, width), y: between(chance, -length, length) };
  const set: At[] = [];
  for (let clear = 1; set.length < count; clear *= LESS) {
    for (let tries = 0; tries < TRIES && set.length < count; tries++) {
      const at = thrown();
      const isClear = set.every((s) => Math.hypot(s.x - at.x, s.y - at.y) > 2 * clear * radius);
      if (isClear && section.wall(at.x, at.y) > clear * radius) set.push(at);
    }
    // A footprint smaller than the thing itself has one place.
    if (clear < 1e-3) return Array.from({ length: count }, (_, i) => set[i] ?? { x: 0, y: 0 });
  }
  return set;
}

/** One to each of as many equal lengths of a bar, a little off its middle line as hands leave it. */
function inARow({ section, chance }: Casting, count: number): At[] {
  const { width, length } = section.half;
  const [long, across] = width >= length ? [width, length] : [length, width];
  return Array.from({ length: count }, (_, i) => {
    const [along, off] = [long * ((2 * i + 1) / count - 1), across * between(chance, -0.1, 0.1)];
    return width >= length ? { x: along, y: off } : { x: off, y: along };
  });
}
