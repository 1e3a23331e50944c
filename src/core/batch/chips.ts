/** Loose chips of mixed sizes pack to about six tenths by volume: past it the body cannot fill between them. */
export const MOST_CHIPS = 0.6;
/** Of that, so much leaves the body room to flow between them. */
const FLOWS = 0.95;

/** Sorts of chips in a cup: % of its weight, g/ml. */
type Chips = readonly { percent: number; density: number }[];

/**
 * The share of a cup's volume that is chips, 0..1; `whole` is the density of all that is in it, g/ml.
 *
 * @example chipsByVolume([{ percent: 45, density: 1.8 }], 1.8) // 0.45
 */
export const chipsByVolume = (chips: Chips, whole: number): number =>
  chips.reduce((s, f) => s + (f.percent / 100 / f.density) * whole, 0);

/**
 * As many chips as a body flows between, % of the cup's weight, whole; each sort in the measure it has. `body` is its density, g/ml.
 *
 * @example mostChips([{ percent: 70, density: 2.4 }], 1.8) // 63
 */
export function mostChips(chips: Chips, body: number): number {
  const volume = FLOWS * MOST_CHIPS;
  const all = chips.reduce((s, f) => s + f.percent, 0);
  // Grams of chips and of body in one ml of the finished cup.
  const grams = volume / chips.reduce((s, f) => s + f.percent / all / f.density, 0);
  return Math.floor((100 * grams) / (grams + (1 - volume) * body));
}
