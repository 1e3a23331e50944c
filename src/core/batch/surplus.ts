import type { Cavity } from '../mould';

/** A spare cavity that waits for what is left over. */
export interface Spare {
  id: string;
  name: string;
  cavity: Cavity;
  count: number;
}

/** Where a surplus goes: into spare cavities in the maker's order, then to the leftovers. ml and grams. */
export interface Surplus {
  spares: { id: string; name: string; ml: number; of: number; filled: number; letters: string }[];
  leftovers: { letter: string; ml: number; grams: number }[];
}

/** Less than this is what rounding leaves, not a leftover, ml. */
const SPILL = 0.05;

/**
 * Sends each cup's surplus, in the order of the cups, to the spare cavities in their order; the rest is leftover.
 * @example placeSurplus([{ letter: 'A', left: 12, density: 1.2 }], []).leftovers // [{'letter':'A','ml':10,'grams':12}]
 */
export function placeSurplus(
  cups: readonly { letter: string; left: number; density: number }[],
  spares: readonly Spare[]
): Surplus {
  const rooms = spares.map((s) => ({
    id: s.id,
    name: s.name,
    ml: 0,
    of: s.cavity.capacity * s.count,
    letters: ''
  }));
  const leftovers: Surplus['leftovers'] = [];
  for (const cup of cups) {
    let ml = cup.density > 0 ? Math.max(0, cup.left) / cup.density : 0;
    for (const room of rooms) {
      const take = Math.min(ml, room.of - room.ml);
      if (take <= 1e-6) continue;
      room.ml += take;
      ml -= take;
      if (!room.letters.includes(cup.letter)) room.letters += cup.letter;
    }
    if (ml > SPILL) leftovers.push({ letter: cup.letter, ml, grams: ml * cup.density });
  }
  return { spares: rooms.map((r) => ({ ...r, filled: r.of > 0 ? r.ml / r.of : 0 })), leftovers };
}
