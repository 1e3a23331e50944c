import {
  filterDeficiencyDeuter,
  filterDeficiencyProt,
  filterDeficiencyTrit,
  formatHex,
  converter
} from 'culori/fn';
import type { Color } from 'culori/fn';
import { labOfHex, lookOf } from './spectrum';

/** Ways of seeing colour, commonest first; the last is by lightness alone. */
export const VISIONS = ['everyone', 'green-weak', 'red-weak', 'blue-weak', 'greys'] as const;
export type Vision = (typeof VISIONS)[number];

const linear = converter('lrgb');

/** How a hex looks with one cone missing. Source: Machado, Oliveira and Fernandes 2009, matrices for linear light. */
function throughFilter(hex: string, filter: (colour: Color) => Color | undefined): string {
  const light = linear(hex);
  if (!light) return hex;
  // The filter multiplies the channels it is given: it is given light, not the screen's coding of it.
  const seen = filter({ mode: 'rgb', r: light.r, g: light.g, b: light.b }) as typeof light | undefined;
  const inside = (v: number) => Math.min(1, Math.max(0, v));
  return seen ? formatHex({ mode: 'lrgb', r: inside(seen.r), g: inside(seen.g), b: inside(seen.b) }) : hex;
}

const filters = {
  'green-weak': filterDeficiencyDeuter(1),
  'red-weak': filterDeficiencyProt(1),
  'blue-weak': filterDeficiencyTrit(1)
} as const;

/**
 * An sRGB hex as it is seen by a way of seeing; unchanged for everyone. Greys are of the same lightness L*.
 * @example seenBy('#ff0000', 'greys') // '#7f7f7f'
 */
export function seenBy(hex: string, vision: Vision): string {
  if (vision === 'everyone') return hex;
  if (vision === 'greys') return lookOf({ l: labOfHex(hex).l, a: 0, b: 0 }).hex;
  return throughFilter(hex, filters[vision] as (colour: Color) => Color | undefined);
}
