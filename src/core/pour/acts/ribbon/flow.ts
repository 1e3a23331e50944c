import { between, noiseFrom, lengthOf, along, sightline, wobble, type Casting } from '../../../pattern';
import { waysOf, type Poured } from '../../flowing';
import type { Ribbon } from './fields';

type Point = readonly [number, number];

/** How much a hand's line wanders afterwards: least where it was piped. */
const LOOSE = { piped: 0.05, drizzled: 0.2, 'drawn thin': 0.06 } as const;
/** Drops along a line stand so many of its widths apart: closer is slow, farther shows as beads. */
const APART = 0.32;
const MOST_BEADS = 260;

/** Lines of a width: a closed one round its own middle, an open one as drops close along it; on bare ground it stands on its own side. */
export function flow(act: Ribbon, casting: Casting, { mm3, content }: Poured): void {
  const { matter } = content(act.cupId);
  const ways = waysOf(casting, act.path);
  const long = ways.reduce((s, way) => s + lengthOf(way), 0);
  if (casting.bare) return ways.forEach((way) => casting.beside(matter, mm3 / ways.length, way));
  // The copies of one line are of one thickness, so each has its share by its length.
  for (const way of ways) {
    const own = long > 0 ? (mm3 * lengthOf(way)) / long : mm3 / ways.length;
    const closed = act.path.closed ? sightline(way.slice(0, -1)) : undefined;
    const blooms =
      act.how === 'drawn thin' ? { blooms: noiseFrom(Math.floor(between(casting.chance, 0, 1e6))) } : {};
    if (!closed || !casting.ring(matter, own, { ...closed, width: act.width, ...blooms }))
      line(casting, { matter, mm3: own, way, width: act.width, most: MOST_BEADS / ways.length });
  }
  casting.stir(wobble(casting.section, LOOSE[act.how], casting.chance));
}

interface Line {
  matter: number;
  mm3: number;
  way: readonly Point[];
  width: number;
  most: number;
}

function line(casting: Casting, { matter, mm3, way, width, most }: Line): void {
  const long = Math.max(lengthOf(way), width);
  const count = Math.max(1, Math.round(Math.min(most, long / (APART * width))));
  const sizes = Array.from({ length: count }, () => between(casting.chance, 0.8, 1.2));
  const all = sizes.reduce((s, v) => s + v, 0);
  const drops = sizes.map((size, i) => {
    const [x, y] = along(way, ((i + 0.5) / count) * long).at;
    return { x, y, mm3: (mm3 * size) / all, matter };
  });
  // A line lies as deep in the surface as its width leaves it room for.
  casting.drops(drops, Math.max(casting.still, casting.level - mm3 / (long * width)));
}
