import { converter, formatHex } from 'culori/fn';
import './spectrum';

const linear = converter('lrgb');
/** Reflectance that a sheet of white paper or a white card is taken to have. */
const PAPER = 0.88;

/**
 * A colour picked from a photo, freed of the camera's cast: each channel of linear light is scaled so that the white
 * reference in the same photo becomes a neutral white of paper. Both as sRGB hex.
 */
export function castCorrected(picked: string, white: string): string {
  const p = linear(picked);
  const w = linear(white);
  if (!p || !w) return picked;
  const scaled = (v: number, by: number) => Math.min(1, (v / Math.max(0.02, by)) * PAPER);
  return formatHex({ mode: 'lrgb', r: scaled(p.r, w.r), g: scaled(p.g, w.g), b: scaled(p.b, w.b) });
}

/** A whole picture freed of its cast, by a white in it: sRGB bytes, four a pixel; the picture that is given stays. */
export function pictureCorrected(pixels: Uint8ClampedArray, white: string): Uint8ClampedArray {
  const w = linear(white);
  if (!w) return pixels;
  const by = [w.r, w.g, w.b].map((v) => PAPER / Math.max(0.02, v));
  // 256 values a channel: each is worked out once.
  const tables = by.map((k) =>
    Uint8ClampedArray.from({ length: 256 }, (_, v) => coded(lightOf(v / 255) * k) * 255)
  );
  return pixels.map((v, i) => (i % 4 === 3 ? v : tables[i % 4]![v]!));
}

/** Linear light of an sRGB channel, and back; 0..1. Source: IEC 61966-2-1. */
const lightOf = (v: number) => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);
const coded = (v: number) => {
  const inside = Math.min(1, v);
  return inside <= 0.0031308 ? 12.92 * inside : 1.055 * inside ** (1 / 2.4) - 0.055;
};
