/** What a scale tells: grams as displayed, and whether the display has settled. */
export interface Reading {
  grams: number;
  stable: boolean;
}

/** The inside of the stand-in scale. Grams; `shown` lags behind `load` as a real pan settles. */
export interface StandInScale {
  division: number;
  load: number;
  shown: number;
  drift: number;
  zero: number;
  /** What the stand-in hand is pouring towards, if it is. */
  pouring?: { until: number };
}

/** An empty stand-in scale with this display step, g. */
export const emptyPan = (division: number): StandInScale => ({
  division,
  load: 0,
  shown: 0,
  drift: 0,
  zero: 0
});

/** The hand's fastest and slowest pour, g/s, and the share of what is to go at which it slows down. */
const FAST = 18;
const TRICKLE = 1.2;
const SLOWS_AT = 0.2;
/** Settling time of the pan, s, and drift, g per root second. */
const SETTLES = 0.25;
const DRIFTS = 0.0008;

/**
 * Sets the hand pouring: `grams` more than the display shows now, with a small overshoot as hands have
 * (up to about 1 % and two divisions).
 * @param random 0..1
 */
export function startPouring(scale: StandInScale, grams: number, random: number): StandInScale {
  const over = random * (0.01 * grams + 2 * scale.division);
  return { ...scale, pouring: { until: scale.load + grams + over } };
}

/** Tares: what is on the pan now reads nothing. */
export const tare = (scale: StandInScale): StandInScale => ({ ...scale, zero: scale.shown + scale.drift });

/**
 * Advances the stand-in by `seconds`: the hand pours fast and then trickles, the pan settles, the zero drifts.
 * @param noise one standard normal number for the drift
 */
export function advance(scale: StandInScale, seconds: number, noise: number): StandInScale {
  let { load, pouring } = scale;
  if (pouring) {
    const toGo = pouring.until - load;
    const slow = Math.max(1, pouring.until * SLOWS_AT);
    const speed = Math.max(TRICKLE, FAST * Math.min(1, toGo / slow));
    load = Math.min(pouring.until, load + speed * seconds);
    if (load >= pouring.until - 1e-9) pouring = undefined;
  }
  const shown = load + (scale.shown - load) * Math.exp(-seconds / SETTLES);
  const drift = scale.drift * 0.999 + DRIFTS * Math.sqrt(seconds) * noise;
  const { pouring: _, ...rest } = scale;
  return { ...rest, load, shown, drift, ...(pouring ? { pouring } : {}) };
}

/**
 * What the display shows: net of the tare, with a flicker of a third of a division, rounded to the division.
 * @param noise one standard normal number
 */
export function readScale(scale: StandInScale, noise: number): Reading {
  const net = scale.shown + scale.drift - scale.zero + (noise * scale.division) / 3;
  const grams = Math.round(net / scale.division) * scale.division;
  return {
    grams: Math.round(grams * 1e6) / 1e6 + 0,
    stable: !scale.pouring && Math.abs(scale.load - scale.shown) < scale.division / 2
  };
}
