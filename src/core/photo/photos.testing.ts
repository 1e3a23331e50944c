import type { Placed } from './upright';

/** A face painted by a rule: bytes of a colour at shares of the sides from the upper left. */
export function painted(side: number, colourAt: (x: number, y: number) => string) {
  const rgba = new Uint8ClampedArray(4 * side * side).fill(255);
  for (let p = 0; p < side * side; p++) {
    const hex = colourAt(((p % side) + 0.5) / side, (Math.floor(p / side) + 0.5) / side);
    for (let k = 0; k < 3; k++) rgba[4 * p + k] = parseInt(hex.slice(1 + 2 * k, 3 + 2 * k), 16);
  }
  return { width: side, height: side, rgba };
}

/** The whole of a photo is the piece, seen straight on. */
export const WHOLE: Placed = {
  corners: [
    { x: 0, y: 0 },
    { x: 1, y: 0 },
    { x: 1, y: 1 },
    { x: 0, y: 1 }
  ],
  outline: 'square'
};
