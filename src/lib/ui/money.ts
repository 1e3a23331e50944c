/** An amount of the maker's own money: two decimals, no currency guessed. */
export const money = (amount: number): string => amount.toFixed(2);
