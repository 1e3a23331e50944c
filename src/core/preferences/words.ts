import {
  decimalsIn,
  formatQuantity,
  joined,
  unit,
  written,
  type Message,
  type MessageQuantity
} from '../quantity';
import type { Preferences } from './preferences';
import { shownUnit } from './shown';

/**
 * A message of the core in a workshop's own units: “a layer of 0.59 in at 70 °F”. The one place where what the core says
 * becomes words for a screen, a sheet or a PDF.
 */
export const inWords = (message: Message, preferences: Preferences): string =>
  written(message, (quantity) => {
    const { figures, symbol } = inUnits(quantity, preferences);
    return `${figures} ${symbol}`;
  });

/** A message as a voice says it: units by their names, in a workshop's own. */
export const spokenWords = (message: Message, preferences: Preferences): string =>
  written(message, (quantity) => {
    const { figures, symbol } = inUnits(quantity, preferences);
    return spokenFigure(figures, symbol);
  });

/** A figure with its unit's name, as a voice says it: `12.5 grams`, `1 ounce`. */
export const spokenFigure = (figures: string, symbol: string): string => {
  const one = NAMES[symbol];
  return one ? `${figures} ${Number(figures) === 1 ? one : plural(one)}` : `${figures} ${symbol}`;
};

const plural = (name: string) => (name === 'inch' ? 'inches' : `${name}s`);

const NAMES: Readonly<Record<string, string>> = {
  g: 'gram',
  kg: 'kilogram',
  oz: 'ounce',
  lb: 'pound',
  ml: 'millilitre',
  l: 'litre',
  'fl oz': 'fluid ounce',
  mm: 'millimetre',
  cm: 'centimetre',
  in: 'inch',
  '°C': 'degree',
  '°F': 'degree'
};

/** The figures of a quantity in the unit that is shown, with about as many digits as they had. */
function inUnits(quantity: MessageQuantity, preferences: Preferences): { figures: string; symbol: string } {
  const symbol = shownUnit(quantity.unit, preferences);
  const figures = quantity.figures.map((f) => {
    const digits = decimalsIn(f, quantity.digits);
    return figureIn(
      f,
      quantity.unit,
      symbol,
      symbol === quantity.unit ? digits : stepDigits(digits, quantity.unit, symbol)
    );
  });
  return { figures: joined(figures, quantity.between), symbol };
}

/** A figure of one unit in another, without the unit. */
function figureIn(value: number, from: string, to: string, digits: number): string {
  const { factor, offset = 0 } = unit(from);
  return formatQuantity(value * factor + offset, to, digits).slice(0, -to.length - 1);
}

/** Decimals in another unit that still tell a step of the last digit apart. */
function stepDigits(digits: number, from: string, to: string): number {
  const step = (10 ** -digits * unit(from).factor) / unit(to).factor;
  return Math.max(0, Math.ceil(-Math.log10(step)));
}
