/** Linear light of each sRGB byte, 0..1. Source: IEC 61966-2-1. */
export const LIGHT_OF_BYTE = Float64Array.from({ length: 256 }, (_, v) => {
  const c = v / 255;
  return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
});

/**
 * The sRGB byte of linear light; what is below nothing or above white is cut off. Source: IEC 61966-2-1.
 * @example byteOfLight(1) // 255
 */
export function byteOfLight(light: number): number {
  const c = Math.min(1, Math.max(0, light));
  return Math.round(255 * (c <= 0.0031308 ? 12.92 * c : 1.055 * c ** (1 / 2.4) - 0.055));
}
