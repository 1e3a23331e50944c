/** Whether this is `npm run soak`: the same tests with many more tries. */
const SOAK = process.env.KIRAPEN_SOAK === '1';

/** How often something is tried by chance: a few times in `npm test`, many times in `npm run soak`. */
export const times = (few: number, many: number): number => (SOAK ? many : few);

/** Days to the newest commit: what is left out one day is tried on the next. */
const DAY = Number(process.env.KIRAPEN_DAY ?? 0);

/** All of a list in `npm run soak`; every so manieth of it in `npm test`, others on another day, beginning with `from`, so that all kinds come up. */
export const someOf = <T>(all: readonly T[], every: number, from = 0): T[] =>
  all.filter((_, i) => SOAK || (i + from + DAY) % every === 0);
