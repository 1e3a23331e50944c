import { Matrix, solve } from 'ml-matrix';
import { luminanceAt } from './pixel-lab';
import type { Upright } from './upright';

/** How uneven light may be at one place and still be light: beyond this it is another colour, as a logarithm. */
const MOST = 0.6;
/** A fit is held to nothing by so much of its pixels. */
const RIDGE = 0.01;

const TERMS = 6;
function termsAt(x: number, y: number): number[] {
  return [1, x, y, x * x, x * y, y * y];
}

/**
 * The picture as if it were lit evenly: how much lighter each place is than the colour it belongs to is fitted by a smooth
 * curved surface over the piece, and divided out.
 * @param luminance of the colour a pixel belongs to; undefined where it does not count
 */
export function litEvenly(upright: Upright, luminance: (pixel: number) => number | undefined): Upright {
  const { width, height, linear } = upright;
  const [sums, right] = [new Float64Array(TERMS * TERMS), new Float64Array(TERMS)];
  const placeOf = (p: number) =>
    termsAt((2 * ((p % width) + 0.5)) / width - 1, (2 * (Math.floor(p / width) + 0.5)) / height - 1);
  let n = 0;
  for (let p = 0; p < width * height; p++) {
    const own = luminance(p);
    if (own === undefined) continue;
    const v = Math.log(Math.max(1e-4, luminanceAt(linear, 3 * p)) / Math.max(1e-4, own));
    if (Math.abs(v) >= MOST) continue;
    const t = placeOf(p);
    for (let i = 0; i < TERMS; i++) {
      right[i]! += t[i]! * v;
      for (let j = 0; j < TERMS; j++) sums[TERMS * i + j]! += t[i]! * t[j]!;
    }
    n++;
  }
  if (n < TERMS) return upright;
  for (let i = 0; i < TERMS; i++) sums[(TERMS + 1) * i]! += RIDGE * n;
  const fit = solve(Matrix.from1DArray(TERMS, TERMS, sums), Matrix.columnVector(right)).to1DArray();
  const even = linear.slice();
  for (let p = 0; p < width * height; p++) {
    const t = placeOf(p);
    let v = 0;
    for (let i = 0; i < TERMS; i++) v += fit[i]! * t[i]!;
    const by = Math.exp(-v);
    for (let k = 0; k < 3; k++) even[3 * p + k]! *= by;
  }
  return { ...upright, linear: even };
}
