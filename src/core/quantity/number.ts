const GLYPHS: Record<string, string> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅕': '1/5',
  '⅖': '2/5',
  '⅗': '3/5',
  '⅘': '4/5',
  '⅙': '1/6',
  '⅚': '5/6',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8'
};

/** The text of one number, its decimals after a point: `12`, `1.5`, `1/3`, `2 1/2`; a sign may stand first. */
export const NUMBER_PATTERN = String.raw`[-+−]?(?:\d+\s+\d+\/\d+|\d+\/\d+|\d+(?:\.\d+)?|\.\d+)`;

/**
 * Replaces fraction glyphs (`½`, `2½`) with plain fractions, so that one pattern reads all.
 * @example plainFractions('1½') // '1 1/2'
 */
export function plainFractions(text: string): string {
  return text.replace(/(\d*)\s*([½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞])/gu, (_, whole: string, glyph: string) =>
    whole ? `${whole} ${GLYPHS[glyph]}` : (GLYPHS[glyph] ?? '')
  );
}

/** Reads one number as matched by `NUMBER_PATTERN`. Division by zero gives NaN. */
export function readNumber(text: string): number {
  const sign = /^[-−]/.test(text) ? -1 : 1;
  const body = text.replace(/^[-+−]/, '').trim();
  const mixed = /^(?:(\d+)\s+)?(\d+)\/(\d+)$/.exec(body);
  if (mixed) {
    const below = Number(mixed[3]);
    return below === 0 ? NaN : sign * (Number(mixed[1] ?? 0) + Number(mixed[2]) / below);
  }
  return sign * Number(body);
}
