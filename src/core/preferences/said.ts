import { formatQuantity, unit } from '../quantity';
import { shownUnit } from './shown';
import type { Preferences } from './preferences';

/**
 * A metric quantity in a sentence: a figure, a range of two, or lengths across one another (`120 × 100 mm`), then a space
 * and the unit. A density (`g/ml`) and an area stay metric.
 */
const QUANTITY =
  /(?<![\w.,])(−?\d+(?:\.\d+)?(?:(?: to |–| and )−?\d+(?:\.\d+)?)?) (g|kg|ml|l|mm|cm|°C)(?![\w/²³])/g;
const ACROSS = /(?<![\w.,])(\d+(?:\.\d+)?(?: (?:×|and) \d+(?:\.\d+)?)+) (mm|cm)(?![\w/²³])/g;
const FIGURE = /−?\d+(?:\.\d+)?/g;

/**
 * A sentence of the core in a workshop's own units: “a layer of 15 mm at 21 °C” → “a layer of 0.59 in at 70 °F”. The core
 * speaks metric only; this is the one place where its words are turned, so that every screen says them alike.
 */
export function said(sentence: string, ways: Preferences): string {
  const turn = (whole: string, figures: string, symbol: string) => {
    const shown = shownUnit(symbol, ways);
    if (shown === symbol) return whole;
    return `${figures.replace(FIGURE, (figure) => turned(figure, symbol, shown))} ${shown}`;
  };
  return sentence.replace(ACROSS, turn).replace(QUANTITY, turn);
}

/** A figure in another unit, with about as many digits as it had: a step of its last digit is still told apart. */
function turned(text: string, from: string, to: string): string {
  const decimals = text.split('.')[1]?.length ?? 0;
  const metric = unit(from);
  const value = Number(text.replace('−', '-')) * metric.factor;
  const step = (10 ** -decimals * metric.factor) / unit(to).factor;
  const digits = Math.max(0, Math.ceil(-Math.log10(step)));
  return formatQuantity(value, to, digits).split(' ')[0]!.replace('-', '−');
}
