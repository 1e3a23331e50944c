/**
 * So many of a thing, in words: “1 piece”, “22 pieces”. @param n a whole number @param many of a thing whose plural is its own
 * @example counted(2, 'piece') // '2 pieces'
 */
export const counted = (n: number, thing: string, many = `${thing}s`): string =>
  `${n} ${n === 1 ? thing : many}`;

/**
 * Into what something is poured: each of several cavities, or the one there is by its name.
 * @example intoEach(6, 'knobs 1–6') // 'into each of 6'
 */
export const intoEach = (n: number, name: string): string => (n === 1 ? `into ${name}` : `into each of ${n}`);
