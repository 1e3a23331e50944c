/** The letter of the n-th swatch: A to Z, then A2, B2 … */
export const letterOf = (n: number): string =>
  String.fromCharCode(65 + (n % 26)) + (n >= 26 ? String(Math.floor(n / 26) + 1) : '');
