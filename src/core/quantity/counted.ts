/**
 * So many of a thing, in words: “1 piece”, “22 pieces”. @param n a whole number @param many of a thing whose plural is its own
 * @example counted(2, 'piece') // '2 pieces'
 */
export const counted = (n: number, thing: string, many = `${thing}s`): string =>
  `${n} ${n === 1 ? thing : many}`;

/**
 * Which cavities of a group, counted from 1, as they follow its name; nothing where it is all of them.
 * @example numbersIn({ from: 4, to: 6 }) // ', numbers 4 to 6'
 */
export const numbersIn = (numbers?: { from: number; to: number }): string => {
  if (!numbers) return '';
  const { from, to } = numbers;
  return from === to ? `, number ${from}` : `, numbers ${from} to ${to}`;
};

/**
 * Into what something is poured: each of several cavities, or the one there is by its name.
 * @param numbers which of the named they are, where not all
 * @example intoEach(6, 'knobs 1–6') // 'into each of 6'
 * @example intoEach(1, 'tiles 1–2', { from: 2, to: 2 }) // 'into tiles 1–2, number 2'
 */
export const intoEach = (n: number, name: string, numbers?: { from: number; to: number }): string => {
  if (n === 1) return `into ${name}${numbersIn(numbers)}`;
  return numbers ? `into each of ${n}${numbersIn(numbers)}` : `into each of ${n}`;
};
