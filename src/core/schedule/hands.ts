/** Share of a window kept in reserve for a slip. */
export const RESERVE = 0.15;

/**
 * Minutes one mix keeps the hands busy: mixing, colouring each cup, and each cavity's steps.
 * Source: one pair of hands does one thing at a time; waiting can overlap, attended steps cannot.
 */
export const busyMinutes = (mix: number, colouring: number, cavities: number, each: number): number =>
  mix + colouring + cavities * each;

/** How many cavities one mix serves inside its window less a 15 % reserve; minutes, ≥ 0. */
export function cavitiesInHand(window: number, mix: number, colouring: number, each: number): number {
  const room = window * (1 - RESERVE) - mix - colouring;
  return each > 0 ? Math.max(0, Math.floor(room / each + 1e-9)) : Infinity;
}
