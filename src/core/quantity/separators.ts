/**
 * How the world writes a number: thousands parted by a space, a point, a comma or an apostrophe, decimals after a point or a
 * comma, digits of several scripts. Everything comes out with plain digits, no thousands and a point, or it is asked about.
 */

/** Zeros of scripts whose digits stand in a row after them: Arabic, Persian, Devanagari, Bengali, Thai, full width. */
const ZEROS = [0x660, 0x6f0, 0x966, 0x9e6, 0xe50, 0xff10];
const ANY_DIGIT = /[٠-٩۰-۹०-९০-৯๐-๙０-９]/gu;

const plainDigit = (digit: string): string => {
  const code = digit.codePointAt(0)!;
  return String(code - ZEROS.findLast((zero) => zero <= code)!);
};

/** A text whose numbers can be read one way, or the number that can be read two ways. */
export type Plain = { text: string } | { twoWays: string } | { wrong: string };

/**
 * The numbers of a text with plain digits, without thousands and with a point for decimals: `1.234,5 g` is `1234.5 g`.
 */
export function plainNumbers(typed: string): Plain {
  const spaced = typed
    .replace(ANY_DIGIT, plainDigit)
    .replace(/٫/g, ',')
    .replace(/٬/g, "'")
    .replace(/[\s\u00a0\u2007\u2009\u202f]+/gu, ' ')
    // An apostrophe or a space parts thousands where three digits follow, and more of the number does not stand before.
    .replace(/(?<![\d.,/])\d{1,3}(?:['’ʼ]\d{3})+(?!\d)/g, (n) => n.replace(/['’ʼ]/g, ''))
    .replace(/(?<![\d.,/] ?)\d{1,3}(?: \d{3})+(?![\d/])/g, (n) => n.replaceAll(' ', ''));
  let asked: Plain | undefined;
  const text = spaced.replace(/\d[\d.,]*\d|[.,]\d+/g, (number) => {
    const read = oneNumber(number);
    if (typeof read === 'string') return read;
    asked ??= read;
    return number;
  });
  return asked ?? { text };
}

/** One number with points and commas in it. */
function oneNumber(number: string): string | Plain {
  const marks = [...number.replace(/\d/g, '')];
  const [last] = marks.slice(-1);
  if (last === undefined) return number;
  const others = marks.slice(0, -1);
  if (!others.length) return oneMark(number, last);
  // The last of two kinds is the decimal one; of one kind, all part thousands.
  const decimals = others.every((m) => m !== last) && new Set(others).size === 1;
  if (!decimals && others.some((m) => m !== last)) return { wrong: number };
  const at = decimals ? number.lastIndexOf(last) : number.length;
  const whole = number.slice(0, at);
  if (!/^\d{1,3}(?:[.,]\d{3})+$/.test(whole)) return { wrong: number };
  return `${whole.replace(/[.,]/g, '')}${decimals ? `.${number.slice(at + 1)}` : ''}`;
}

/** A comma before three digits parts thousands for some and decimals for others; one after a zero can only be decimal. */
const oneMark = (number: string, mark: string): string | Plain =>
  mark === ',' && /^[1-9]\d{0,2},\d{3}$/.test(number) ? { twoWays: number } : number.replace(',', '.');
