import { converter, formatHex } from 'culori/fn';
import '../spectrum/spectrum';

const linear = converter('lrgb');
/** Reflectance that a sheet of white paper or a white card is taken to have. */
export const WHITE_CARD = 0.88;

/**
 * A colour picked from a photo, freed of the camera's cast: each channel of linear light is scaled so that the white
 * reference in the same photo becomes a neutral white of paper. Both as sRGB hex.
 * @example castCorrected('#808080', '#ffffff') // '#797979'
 */
export function castCorrected(picked: string, white: string): string {
  const p = linear(picked);
  const w = linear(white);
  if (!p || !w) return picked;
  const scaled = (v: number, by: number) => Math.min(1, (v / Math.max(0.02, by)) * WHITE_CARD);
  return formatHex({ mode: 'lrgb', r: scaled(p.r, w.r), g: scaled(p.g, w.g), b: scaled(p.b, w.b) });
}

/**
 * A whole picture freed of its cast, by a white in it: sRGB bytes, four a pixel; the picture that is given stays.
 * @example pictureCorrected(new Uint8ClampedArray([128, 128, 128, 255]), '#ffffff')[0] // 121
 */
export function pictureCorrected(pixels: Uint8ClampedArray, white: string): Uint8ClampedArray {
  // Each channel follows for itself: 256 greys say what becomes of every value of every channel.
  const greys = Array.from({ length: 256 }, (_, v) => {
    const hex = castCorrected(`#${v.toString(16).padStart(2, '0').repeat(3)}`, white);
    return [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16));
  });
  return pixels.map((v, i) => (i % 4 === 3 ? v : greys[v]![i % 4]!));
}
