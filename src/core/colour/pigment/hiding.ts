import { filmReflectance } from './pigment';
import type { Optics } from './optics';
import { flat, xyzOf } from '../spectrum/spectrum';

/** Backings of a drawdown card: luminance of its black and its white. */
const BLACK = flat(0.01);
const PAPER = flat(0.85);
/** Contrast ratio from which a film counts as hiding. */
export const HIDES = 0.98;
/** Thicker than this nothing here is cast; a film that needs more does not hide, mm. */
const THICK = 500;

/** Contrast ratio of a film so many mm thick: its luminance over black by that over white, 0..1. */
export function contrastRatio(optics: Optics, mm: number): number {
  const over = xyzOf(filmReflectance(optics, mm, BLACK))[1];
  const white = xyzOf(filmReflectance(optics, mm, PAPER))[1];
  return white > 0 ? Math.min(1, over / white) : 1;
}

/**
 * Thickness, mm, from which a film hides 98 % of what is behind it; infinite where it never does.
 * @example hidingThickness({ k: flat(1), s: flat(10) }) // 0.42725
 */
export function hidingThickness(optics: Optics, ratio = HIDES): number {
  if (contrastRatio(optics, THICK) < ratio) return Infinity;
  let low = 0;
  let high = THICK;
  for (let round = 0; round < 40 && high - low > 1e-3; round++) {
    const middle = (low + high) / 2;
    if (contrastRatio(optics, middle) < ratio) low = middle;
    else high = middle;
  }
  return high;
}
