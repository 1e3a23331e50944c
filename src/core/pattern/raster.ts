/** What stands at a place of a picture, as a whole number; less than 0 outside. Shares of the picture's sides, 0..1. */
export type Sample = (x: number, y: number) => number;

/** A picture being drawn: so many codes in rows, those that are not known yet filled with what stands near them. */
export interface Raster {
  width: number;
  height: number;
  codes: Int32Array;
  /** Pixels on a border, by their place in `codes`, and the codes at `PARTS` places within each, one after another. */
  edges: { at: number[]; parts: number[] };
  /** Samples that were taken. */
  taken: number;
}

/** Places within a pixel on a border, turned so that no two share a row or a column: shares of its side. */
const WITHIN = [
  [0.375, 0.125],
  [0.875, 0.375],
  [0.125, 0.625],
  [0.625, 0.875]
] as const;
export const PARTS = WITHIN.length;
/** Pixels of borders between two looks at what there is so far. */
const EDGES_AT_ONCE = 2000;

/** Side of the first coarse blocks, pixels. */
const COARSE = 8;

/** Whether two codes look alike: `nearly` where a whole pixel takes the place of its parts, else as one colour. */
export type Alike = (code: number, other: number, nearly: boolean) => boolean;

const SAME: Alike = (code, other) => code === other;

/**
 * Draws a picture from coarse to fine, yielding after each refinement and now and then between. A block whose corners and
 * middle are of one code, and whose neighbours are, is filled; only where something changes is looked more closely, so that
 * the cost follows the borders and not the area. The last pixels and the parts of pixels are looked at only where codes do
 * not look `alike`: clear of one thickness beside clear of another is no border.
 */
export function* drawing(
  width: number,
  height: number,
  sample: Sample,
  looksAlike = SAME
): Generator<Raster, Raster> {
  const codes = new Int32Array(width * height).fill(-1);
  const known = new Uint8Array(width * height);
  const raster: Raster = { width, height, codes, edges: { at: [], parts: [] }, taken: 0 };
  const at = (x: number, y: number): number => {
    const i = y * width + x;
    if (!known[i]) {
      codes[i] = sample((x + 0.5) / width, (y + 0.5) / height);
      known[i] = 1;
      raster.taken++;
    }
    return codes[i]!;
  };
  const fill = (x: number, y: number, size: number, code: number) => {
    for (let j = y; j < Math.min(height, y + size); j++)
      for (let i = x; i < Math.min(width, x + size); i++)
        if (!known[j * width + i]) codes[j * width + i] = code;
  };
  // A quarter of the coarse blocks already make a picture: it is shown while the others are looked at.
  for (let y = 0; y < height; y += 2 * COARSE)
    for (let x = 0; x < width; x += 2 * COARSE) fill(x, y, 2 * COARSE, at(x, y));
  yield raster;
  let blocks: [number, number][] = [];
  for (let y = 0; y < height; y += COARSE)
    for (let x = 0; x < width; x += COARSE) {
      fill(x, y, COARSE, at(x, y));
      blocks.push([x, y]);
    }
  yield raster;
  for (let size = COARSE; size > 1; size /= 2) {
    const same = size > 2 ? SAME : looksAlike;
    const mixed = blocks.filter(([x, y]) => !alike(at, same, { x, y, size, width, height }));
    const half = size / 2;
    blocks = [];
    let count = 0;
    for (const [x, y] of mixed) {
      for (const [i, j] of [
        [x, y],
        [x + half, y],
        [x, y + half],
        [x + half, y + half]
      ] as const) {
        if (i >= width || j >= height) continue;
        fill(i, j, half, at(i, j));
        blocks.push([i, j]);
      }
      if (++count % 400 === 0) yield raster;
    }
    yield raster;
  }
  yield* softened(raster, sample, looksAlike);
  return raster;
}

/** Looks within each pixel that borders on another code: a border is as smooth as what it parts. */
function* softened(raster: Raster, sample: Sample, looksAlike: Alike): Generator<Raster, void> {
  const { width, height, codes, edges } = raster;
  const borders = new Uint8Array(codes.length);
  for (let i = 0; i < codes.length; i++) {
    const right = (i + 1) % width ? i + 1 : i;
    const below = i + width < codes.length ? i + width : i;
    for (const other of [right, below])
      if (!looksAlike(codes[other]!, codes[i]!, true)) borders[i] = borders[other] = 1;
  }
  for (let i = 0; i < codes.length; i++) {
    if (!borders[i]) continue;
    edges.at.push(i);
    for (const [dx, dy] of WITHIN)
      edges.parts.push(sample(((i % width) + dx) / width, (Math.floor(i / width) + dy) / height));
    raster.taken += PARTS;
    if (edges.at.length % EDGES_AT_ONCE === 0) yield raster;
  }
}

/** Whether a block and what borders on it are the same, by its corners, its middle and the blocks about it. */
function alike(
  at: (x: number, y: number) => number,
  same: Alike,
  b: { x: number; y: number; size: number; width: number; height: number }
): boolean {
  const clampX = (x: number) => Math.min(b.width - 1, Math.max(0, x));
  const clampY = (y: number) => Math.min(b.height - 1, Math.max(0, y));
  const own = at(b.x, b.y);
  const half = b.size >> 1;
  for (let dy = -b.size; dy <= b.size; dy += b.size)
    for (let dx = -b.size; dx <= b.size; dx += b.size)
      if (!same(at(clampX(b.x + dx), clampY(b.y + dy)), own, false)) return false;
  return same(at(clampX(b.x + half), clampY(b.y + half)), own, false);
}
