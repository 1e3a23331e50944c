import { fail, ok, type Result } from '../problem';
import { figure } from '../quantity';

/**
 * Density of air-free water, g/ml, at 0–40 °C and one atmosphere.
 * Source: Kell (1975), the five-parameter rational formula; 0.9982 at 20 °C, 0.9970 at 25 °C.
 */
export function waterDensity(celsius: number): number {
  const t = celsius;
  const above =
    999.83952 +
    16.945176 * t -
    7.9870401e-3 * t ** 2 -
    46.170461e-6 * t ** 3 +
    105.56302e-9 * t ** 4 -
    280.54253e-12 * t ** 5;
  return above / (1 + 16.87985e-3 * t) / 1000;
}

/** A fill with water on a scale: the mould empty and full, grams, and the water's temperature, °C. */
export interface WaterFill {
  emptyGrams: number;
  fullGrams: number;
  waterCelsius: number;
  /** How many cavities the water stood in: all of them at once, or one. */
  cavitiesFilled: number;
}

/** Capacity of one cavity, ml, from a water fill, with the working. */
export function capacityFromWater(fill: WaterFill): Result<{ ml: number; working: string }> {
  const path = 'capacity';
  if (!(fill.emptyGrams >= 0) || !(fill.fullGrams > fill.emptyGrams)) {
    return fail({
      code: 'water-fill-order',
      path: `${path}/fullGrams`,
      sentence: `Full (${figure(fill.fullGrams, 'g')}) is not heavier than empty (${figure(fill.emptyGrams, 'g')}).`,
      mend: 'Weigh the dry mould first, then the same mould filled to the rim.'
    });
  }
  if (!(fill.waterCelsius >= 0 && fill.waterCelsius <= 40)) {
    return fail({
      code: 'water-temperature',
      path: `${path}/waterCelsius`,
      sentence: `Water at ${figure(fill.waterCelsius, '°C')} is outside the range the density is known for.`,
      mend: `Use water between ${figure([0, 40], '°C', undefined, ' and ')}; tap water at room temperature is best.`
    });
  }
  if (!(Number.isInteger(fill.cavitiesFilled) && fill.cavitiesFilled >= 1)) {
    return fail({
      code: 'water-cavities',
      path: `${path}/cavitiesFilled`,
      sentence: 'The number of cavities the water stood in must be 1 or more.',
      mend: 'Say whether one cavity was filled, or how many at once.'
    });
  }
  const density = waterDensity(fill.waterCelsius);
  const water = fill.fullGrams - fill.emptyGrams;
  const ml = water / density / fill.cavitiesFilled;
  const shared = fill.cavitiesFilled > 1 ? ` ÷ ${fill.cavitiesFilled} cavities` : '';
  return ok({
    ml,
    working: `(${figure([fill.fullGrams, fill.emptyGrams], 'g', undefined, [' − ', ')'])} ÷ ${density.toFixed(5)} g/ml at ${figure(fill.waterCelsius, '°C')}${shared} = ${figure(ml, 'ml', 2)}`
  });
}
