import { deltaE } from './spectrum/difference';
import type { Lab } from './spectrum/spectrum';

/** Under this two touching colours read as one in the cut; under the next they are close. ΔE00. */
const AS_ONE = 5;
export const CLOSE = 12;
/** Under this difference of lightness L* two colours are told apart by hue alone. */
const LIGHTNESS = 10;

/** How two touching colours are told apart. */
export interface Contrast {
  deltaE: number;
  /** Difference of lightness alone, L*: what is left for colour-blind makers and buyers. */
  lightness: number;
  verdict: 'clear' | 'close' | 'reads as one';
  /** Whether lightness alone tells them apart. */
  byLightness: boolean;
}

/**
 * Judges two touching colours by CIEDE2000, and by lightness alone.
 * @example contrastOf(labOfHex('#ffffff'), labOfHex('#000000')) // {'deltaE':100,'lightness':100,'verdict':'clear','byLightness':true}
 */
export function contrastOf(a: Lab, b: Lab): Contrast {
  const d = deltaE(a, b);
  const lightness = Math.abs(a.l - b.l);
  return {
    deltaE: d,
    lightness,
    verdict: d < AS_ONE ? 'reads as one' : d < CLOSE ? 'close' : 'clear',
    byLightness: lightness >= LIGHTNESS
  };
}
