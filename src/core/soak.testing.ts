/** Whether this is `npm run soak`: the same tests with many more tries. */
const SOAK = process.env.KIRAPEN_SOAK === '1';
/** Whether nothing is left for another day: in `npm run soak`, and in `npm test -- --whole`. */
const WHOLE = SOAK || process.env.KIRAPEN_WHOLE === '1';

/** How often something is tried by chance: a few times in `npm test`, many times in `npm run soak`. */
export const times = (few: number, many: number): number => (SOAK ? many : few);

/** Days to the newest commit: what is left out one day is tried on the next. */
const DAY = Number(process.env.KIRAPEN_DAY ?? 0);

/** Whether the nth of some long tests is one of this day's: every so manieth is, the others on the days after. */
export const isToday = (n: number, every: number): boolean => WHOLE || (n + DAY) % every === 0;

/** This day's part of a list, every so manieth of it beginning with `from`, so that all kinds come up. */
export const someOf = <T>(all: readonly T[], every: number, from = 0): T[] =>
  all.filter((_, i) => isToday(i + from, every));
