/**
 * So many of a thing, in words: “1 piece”, “22 pieces”. @param n a whole number
 * @example counted(2, 'piece') // '2 pieces'
 */
export const counted = (n: number, thing: string): string => `${n} ${thing}${n === 1 ? '' : 's'}`;
