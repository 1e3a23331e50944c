/** Relative luminance of an sRGB hex colour, 0..1 (WCAG 2). */
function luminance(hex: string): number {
  const channel = (i: number) => {
    const c = parseInt(hex.slice(i, i + 2), 16) / 255;
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  };
  return 0.2126 * channel(1) + 0.7152 * channel(3) + 0.0722 * channel(5);
}

/** Ink that reads on a cup's colour: near-black or warm white, whichever contrasts more. */
export const inkOn = (hex: string): string => (luminance(hex) > 0.2 ? '#14171a' : '#fbf7ee');

/** Ink for the hatch on a cup's colour: the same, but quiet. */
export const hatchOn = (hex: string): string =>
  luminance(hex) > 0.2 ? 'rgb(20 23 26 / 0.42)' : 'rgb(251 247 238 / 0.5)';
