import {
  filterDeficiencyDeuter,
  filterDeficiencyProt,
  filterDeficiencyTrit,
  filterGrayscale,
  formatHex
} from 'culori/fn';
import type { Color } from 'culori/fn';
import './spectrum';

/** Ways of seeing colour, commonest first; the last is by lightness alone. */
export const VISIONS = ['everyone', 'green-weak', 'red-weak', 'blue-weak', 'greys'] as const;
export type Vision = (typeof VISIONS)[number];

const filters = {
  'green-weak': filterDeficiencyDeuter(1),
  'red-weak': filterDeficiencyProt(1),
  'blue-weak': filterDeficiencyTrit(1),
  greys: filterGrayscale(1)
} as const;

/** An sRGB hex as it is seen by a way of seeing; unchanged for everyone. */
export function seenBy(hex: string, vision: Vision): string {
  if (vision === 'everyone') return hex;
  const filter = filters[vision] as (colour: string) => Color | undefined;
  return formatHex(filter(hex)) ?? hex;
}
