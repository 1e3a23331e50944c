import { LIGHT_OF_BYTE } from '../colour';
import { PARTS, type Raster } from '../pattern';

/** A colour as sRGB, 0..255 each. */
export type Bytes = readonly [number, number, number];

/** The colour of a code. */
export type BytesOf = (code: number) => Bytes;

/** Light as sRGB of 0..255, not rounded: what is drawn rounds once. */
const shownAs = (light: number): number =>
  255 * (light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055);

/** The pixels of a picture: one colour each, and where a pixel is parted, the mean of its parts in light, as an eye sees it. */
export function pixelsOf({ codes, edges }: Raster, bytes: BytesOf): Uint8ClampedArray<ArrayBuffer> {
  const rgba = new Uint8ClampedArray(4 * codes.length);
  codes.forEach((code, i) => {
    if (code < 0) return;
    const [r, g, b] = bytes(code);
    rgba[4 * i] = r;
    rgba[4 * i + 1] = g;
    rgba[4 * i + 2] = b;
    rgba[4 * i + 3] = 255;
  });
  edges.at.forEach((pixel, k) => {
    const parts = edges.parts.slice(k * PARTS, (k + 1) * PARTS).filter((code) => code >= 0);
    rgba[4 * pixel + 3] = Math.round((255 * parts.length) / PARTS);
    if (!parts.length) return;
    for (let c = 0; c < 3; c++) {
      const light = parts.reduce((s, code) => s + LIGHT_OF_BYTE[bytes(code)[c]!]!, 0) / parts.length;
      rgba[4 * pixel + c] = Math.round(shownAs(light));
    }
  });
  return rgba;
}
