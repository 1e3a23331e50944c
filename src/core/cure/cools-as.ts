/** A piece deeper than this share of its width is compact: it cools by its sides as well. */
const COMPACT = 0.25;
/** A layer that is so much of its piece is poured at once: nothing set below it or left to come keeps its heat in. */
const AT_ONCE = 0.9;

/**
 * How deep a wide layer is that cools as fast as this one, mm. A wide layer cools by its two faces, as the cure model takes
 * it: it is as deep as it is, and so is one of several in a piece. A compact piece poured at once (a dome, a ball, a cube, a
 * hook) cools by all of its outside: the wide layer with as much outside for its volume is thinner, 2 V/A, with the sides
 * those of a disc of the same area.
 * @param ml volume of the layer in one cavity, over 0
 * @param mm its depth, over 0
 * @param piece volume of all that is poured into that cavity, ml
 * @example Math.round(coolsAs(10.3, 17, 10.3) * 10) / 10 // 7.6
 */
export function coolsAs(ml: number, mm: number, piece: number): number {
  const area = (ml * 1000) / mm;
  const wide = 2 * Math.sqrt(area / Math.PI);
  if (ml < AT_ONCE * piece || mm <= COMPACT * wide) return mm;
  return (2 * area * mm) / (2 * area + Math.PI * wide * mm);
}
