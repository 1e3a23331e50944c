import { median } from '../quantity';

/** What one cup of a past run lost: mixed, poured and left over as weighed, g. */
export interface CupLoss {
  mixed: number;
  poured: number;
  left: number;
  /** What its vessels were reckoned to keep, g. */
  vessel: number;
  /** The base it was made of. */
  baseId: string;
}

/** Cups that must have been weighed empty before the record says what clings. */
const ENOUGH = 3;

/**
 * The share of what is poured that really clings, as the median over past cups, with the vessels' own loss taken
 * off: (mixed − poured − left − vessel) / poured. Undefined until three cups tell; never below nothing.
 * @example learnedCling([]) // undefined
 */
export function learnedCling(cups: readonly CupLoss[]): { cling: number; cups: number } | undefined {
  const shares = cups
    .filter((c) => c.poured > 0)
    .map((c) => Math.max(0, (c.mixed - c.poured - c.left - c.vessel) / c.poured));
  if (shares.length < ENOUGH) return undefined;
  return { cling: Math.min(0.5, median(shares)), cups: shares.length };
}
