import { formatQuantity, unit } from '../quantity';
import type { Preferences } from './preferences';

/** The unit in which a workshop is shown what is kept in a metric one: `mm` → `in`. Others stay as they are. */
export function shownUnit(symbol: string, ways: Preferences): string {
  switch (symbol) {
    case 'g':
      return ways.weights;
    case 'kg':
      return ways.weights === 'g' ? 'kg' : 'lb';
    case 'ml':
    case 'l':
      return ways.volumes === 'ml' ? symbol : ways.volumes;
    case 'mm':
    case 'cm':
      return ways.lengths === 'mm' ? symbol : ways.lengths;
    case '°C':
      return ways.temperatures;
    default:
      return symbol;
  }
}

/**
 * A figure in the unit that a workshop is shown for one that it is kept in: 21 of `°C` → 69.8 where that is `°F`.
 * @example shownFigure(25.4, 'mm', { ...USUAL_PREFERENCES, lengths: 'in' }) // 1
 */
export function shownFigure(value: number, symbol: string, ways: Preferences): number {
  const [from, to] = [unit(symbol), unit(shownUnit(symbol, ways))];
  return (value * from.factor + (from.offset ?? 0) - (to.offset ?? 0)) / to.factor;
}

/** How many ounces or more are said in pounds. */
const IN_POUNDS = 16;

/**
 * A weight where nothing is weighed by it, g ≥ 0: `4.2 g`, `579 g`, `5.44 kg`; `0.15 oz`, `12.3 oz`, `1 lb 4.4 oz`. With
 * decimals it stays in grams, to so many of them, where grams are shown.
 */
export function shownMass(grams: number, ways: Preferences, decimals?: number): string {
  if (ways.weights === 'g') {
    if (decimals !== undefined) return `${grams.toFixed(decimals)} g`;
    if (Math.round(grams) >= 1000) return `${(grams / 1000).toFixed(2)} kg`;
    return `${grams.toFixed(grams < 10 ? 1 : 0)} g`;
  }
  const ounces = grams / unit('oz').factor;
  if (Math.round(ounces * 10) / 10 < IN_POUNDS) return `${ounces.toFixed(ounces < 1 ? 2 : 1)} oz`;
  return inPounds(ounces);
}

/** Ounces as pounds and ounces, to a tenth of an ounce: `1 lb 4.4 oz`, `2 lb`. */
function inPounds(ounces: number): string {
  const tenths = Math.round(ounces * 10);
  const left = (tenths % (IN_POUNDS * 10)) / 10;
  const pounds = Math.floor(tenths / (IN_POUNDS * 10));
  return left ? `${pounds} lb ${left} oz` : `${pounds} lb`;
}

/** A volume with the digits that a bench can use, ml ≥ 0: `4.21 ml`, `640.3 ml`, `1182 ml`; `0.142 fl oz`, `21.65 fl oz`. */
export function shownVolume(ml: number, ways: Preferences): string {
  const symbol = shownUnit('ml', ways);
  const shown = ml / unit(symbol).factor;
  if (symbol === 'ml') return formatQuantity(ml, 'ml', volumeDecimals(ml));
  return formatQuantity(ml, symbol, shown < 1 ? 3 : 2);
}

function volumeDecimals(ml: number): number {
  if (ml >= 1000) return 0;
  return ml < 200 ? 2 : 1;
}

/** A length, mm: `4.0 mm`, `0.16 in`. Decimals are those of millimetres; an inch carries one more and a half. */
export function shownLength(mm: number, ways: Preferences, decimals = 1): string {
  return ways.lengths === 'mm' ? formatQuantity(mm, 'mm', decimals) : formatQuantity(mm, 'in', decimals + 1);
}

/** A temperature, °C: `21 °C`, `70 °F`. */
export const shownTemperature = (celsius: number, ways: Preferences, decimals = 0): string =>
  formatQuantity(celsius, ways.temperatures, decimals);

/** An amount of money: `12.30 EUR`; without a currency the bare figure. */
export function shownMoney(amount: number, ways: Preferences): string {
  const figure = amount.toFixed(2);
  return ways.currency ? `${figure} ${ways.currency}` : figure;
}
