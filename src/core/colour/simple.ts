import { converter, formatHex } from 'culori/fn';
import { modeLrgb, modeRgb, useMode as register } from 'culori/fn';
import type { ColourModel, PredictedColour, Tint } from './model';

register(modeRgb);
register(modeLrgb);
const linear = converter('lrgb');

/** Percent of a common oxide (strength 1) with which a cup shows 1 − 1/e of the colourant's own colour. */
const TURNING_PERCENT = 0.6;
/** Millimetres of such a cup that hide 1 − 1/e of the backing. */
const HIDING_MM = 0.8;

type Rgb = [number, number, number];
const toLinear = (hex: string): Rgb => {
  const c = linear(hex);
  return c ? [c.r, c.g, c.b] : [1, 1, 1];
};
const between = (a: Rgb, b: Rgb, share: number): Rgb => a.map((x, i) => x + (b[i]! - x) * share) as Rgb;
const shown = ([r, g, b]: Rgb): PredictedColour => ({
  hex: formatHex({ mode: 'lrgb', r, g, b }),
  onScreen: true
});

function mixed(tint: Tint): { colour: Rgb; strength: number } {
  const strength = tint.doses.reduce((s, d) => s + d.percent * d.colourant.strength, 0);
  let colour = toLinear(tint.baseColour);
  if (strength > 0) {
    const own = tint.doses.reduce<Rgb>(
      (sum, d) => {
        const share = (d.percent * d.colourant.strength) / strength;
        return toLinear(d.colourant.colour).map((x, i) => sum[i]! + x * share) as Rgb;
      },
      [0, 0, 0]
    );
    colour = between(colour, own, 1 - Math.exp(-strength / TURNING_PERCENT));
  }
  return { colour, strength };
}

/**
 * Simple mixing: colourants average in linear light by percent × strength, fade into the base when there is
 * little of them, and hide a backing by Beer's law. Good for telling cups apart; no claim to a match.
 */
export const simpleMixing: ColourModel = {
  deep: (tint) => shown(mixed(tint).colour),
  layer: (tint, thickness, backing) => {
    const { colour, strength } = mixed(tint);
    const hides = 1 - Math.exp((-strength / TURNING_PERCENT) * (thickness / HIDING_MM));
    return shown(between(toLinear(backing), colour, hides));
  }
};
