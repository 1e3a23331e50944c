/** The inside of the stand-in probe: what its tip shows lags behind what it stands in, as a real one’s does. °C. */
export interface StandInProbe {
  shown: number;
}

/** Seconds in which the tip comes two thirds of the way, and what it wavers by, °C. */
const LAG = 6;
const WAVERS = 0.05;

/** A probe that has lain in a room of so many °C. */
export const restingProbe = (celsius: number): StandInProbe => ({ shown: celsius });

/** The probe so many seconds later in something of so many °C. */
export const warmed = ({ shown }: StandInProbe, celsius: number, seconds: number): StandInProbe => ({
  shown: celsius + (shown - celsius) * Math.exp(-seconds / LAG)
});

/**
 * What its display reads, in tenths of a degree.
 * @param noise one standard normal number
 */
export const readProbe = ({ shown }: StandInProbe, noise: number): number =>
  Math.round((shown + WAVERS * noise) * 10) / 10;
