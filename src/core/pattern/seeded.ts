/** Numbers that look like chance and are the same again from the same seed. */
export type Chance = () => number;

/**
 * A seed from words, by the FNV-1a hash.
 * @example seedOf('') // 2166136261
 */
export function seedOf(words: string): number {
  let h = 0x811c9dc5;
  for (let i = 0; i < words.length; i++) h = Math.imul(h ^ words.charCodeAt(i), 0x01000193);
  return h >>> 0;
}

/**
 * Uniform numbers in [0, 1) from a seed: a 32-bit counter mixed by multiplications and shifts.
 * @example chanceFrom(1)() === chanceFrom(1)() // true
 */
export function chanceFrom(seed: number): Chance {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/**
 * A number between two.
 * @example between(() => 0.5, 2, 4) // 3
 */
export const between = (chance: Chance, low: number, high: number): number => low + (high - low) * chance();

/**
 * A number around 0 with deviation 1, as sums of chance fall (Box and Muller's transform).
 * @example normal(() => 0) // 0
 */
export function normal(chance: Chance): number {
  return Math.sqrt(-2 * Math.log(1 - chance())) * Math.cos(2 * Math.PI * chance());
}
