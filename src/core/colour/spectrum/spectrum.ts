import {
  clampChroma,
  converter,
  formatHex,
  modeLab65,
  modeLch65,
  modeLrgb,
  modeRgb,
  modeXyz65,
  useMode as register
} from 'culori/fn';
import { BANDS, WEIGHTS, WHITE_POINT } from './bands';

for (const mode of [modeRgb, modeLrgb, modeXyz65, modeLab65, modeLch65]) register(mode);
const toRgb = converter('rgb');
const toLab65 = converter('lab65');

/** Reflectance (or K, or S) in 36 bands, 380–730 nm. */
export type Spectrum = Float64Array;
/** CIE L*a*b* under D65, 2° observer. */
export interface Lab {
  l: number;
  a: number;
  b: number;
}
/** A colour as it is and as the screen shows it; `onScreen` is false where the screen had to give way. */
export interface Look {
  hex: string;
  lab: Lab;
  onScreen: boolean;
}

/**
 * The same value in every band.
 * @example flat(0.8)[0] // 0.8
 */
export const flat = (value: number): Spectrum => new Float64Array(BANDS).fill(value);

/** XYZ of a reflectance under D65, Y = 1 for a perfect reflector. */
export function xyzOf(r: Spectrum): [number, number, number] {
  let x = 0;
  let y = 0;
  let z = 0;
  for (let i = 0; i < BANDS; i++) {
    const w = WEIGHTS[i]!;
    const v = r[i]!;
    x += w[0] * v;
    y += w[1] * v;
    z += w[2] * v;
  }
  return [x, y, z];
}

const curve = (t: number) => (t > 216 / 24389 ? Math.cbrt(t) : ((24389 / 27) * t + 16) / 116);

/**
 * Lab of XYZ (D65). Source: the CIE's definition of L*a*b*.
 * @example labOfXyz([0.95047, 1, 1.08883]).l // 100
 */
export function labOfXyz([x, y, z]: readonly [number, number, number]): Lab {
  const fx = curve(x / WHITE_POINT[0]);
  const fy = curve(y / WHITE_POINT[1]);
  const fz = curve(z / WHITE_POINT[2]);
  return { l: 116 * fy - 16, a: 500 * (fx - fy), b: 200 * (fy - fz) };
}

/**
 * Lab of a reflectance.
 * @example labOf(flat(0.5)).l // 76.069
 */
export const labOf = (r: Spectrum): Lab => labOfXyz(xyzOf(r));

/** Share of the screen's range within which a colour still counts as shown. */
const SLACK = 0.004;

/**
 * A colour as the screen shows it: mapped into sRGB by lowering its chroma, and flagged, where it lies outside.
 * @example lookOf(labOfHex('#5b7d95')).hex // '#5b7d95'
 */
export function lookOf(lab: Lab): Look {
  const colour = { mode: 'lab65' as const, ...lab };
  const rgb = toRgb(colour);
  const inside = [rgb.r, rgb.g, rgb.b].every((c) => c >= -SLACK && c <= 1 + SLACK);
  return { lab, onScreen: inside, hex: formatHex(inside ? rgb : clampChroma(colour, 'lch65', 'rgb')) };
}

/**
 * Lab of an sRGB hex colour.
 * @example labOfHex('#ffffff').l // 100
 */
export function labOfHex(hex: string): Lab {
  const c = toLab65(hex);
  return c ? { l: c.l, a: c.a, b: c.b } : { l: 100, a: 0, b: 0 };
}
