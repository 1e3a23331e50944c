import type { Colourant } from '../material';

/** What colours a cup: the base's own colour and its colourants in percent of the material's basis. */
export interface Tint {
  baseColour: string;
  doses: readonly { colourant: Colourant; percent: number }[];
}

/** A predicted colour, as sRGB hex, and whether the screen can show it. */
export interface PredictedColour {
  hex: string;
  onScreen: boolean;
}

/**
 * Predicts colours of cups. A cup is deep and hides what is behind it; a layer may not.
 * Screens ask through this door only, so a better model changes every picture at once.
 */
export interface ColourModel {
  /** The colour of the full cup. */
  deep(tint: Tint): PredictedColour;
  /** The colour of a layer this many millimetres thick over a backing colour (sRGB hex). */
  layer(tint: Tint, thickness: number, backing: string): PredictedColour;
}
