/** Perceived lightness of an sRGB hex colour, 0..1: luma, enough to put cups in order. */
export function lightness(hex: string): number {
  const at = (i: number) => parseInt(hex.slice(i, i + 2), 16) / 255;
  return 0.2126 * at(1) + 0.7152 * at(3) + 0.0722 * at(5);
}

/** Ids of cups from light to dark, so that one tool serves them all; equals keep their order. */
export const lightToDark = (cups: readonly { cupId: string; colour: string }[]): string[] =>
  [...cups].sort((a, b) => lightness(b.colour) - lightness(a.colour)).map((c) => c.cupId);
