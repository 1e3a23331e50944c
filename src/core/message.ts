import { withoutMinusZero } from './quantity/format';

/**
 * What the core says is a message: text with typed quantities in it. A message is a string, so that it can be joined,
 * sorted, sent and stored like any text; each quantity stands in it between marks that nobody can type by accident, and
 * whoever shows the message writes the quantities in the reader's own units.
 */
export type Message = string;

/** A quantity within a message: one figure, or several of one unit with what stands between them (`120 × 100 mm`). */
export interface MessageQuantity {
  figures: readonly number[];
  /** A metric unit. */
  unit: MessageUnit;
  /** Decimals in that unit; as many as each figure has unless given. */
  digits?: number;
  /** What stands after each figure: between two, and before the unit. */
  between: readonly string[];
}

/** The units that the core keeps things in, and the larger ones it speaks in. */
export type MessageUnit = 'g' | 'kg' | 'ml' | 'l' | 'mm' | 'cm' | '°C';

/** Private-use characters of Unicode: no keyboard has them, no text means anything by them. */
const [BEGIN, NEXT, END, GAP] = ['\uE000', '\uE001', '\uE002', '\uE003'];

/**
 * How many decimals a figure of a quantity is written with: those it was given, or its own.
 * @example decimalsIn(4.25) // 2
 */
export const decimalsIn = (value: number, digits?: number): number =>
  digits ?? (String(Number(value.toFixed(6))).split('.')[1] ?? '').length;

/**
 * Marks a quantity for a message. Figures in `unit`; `digits` are decimals in that unit, as many as each figure has
 * unless given. `between` is what stands between them, one text for every gap where it differs; one more stands before the
 * unit.
 * @example metricWords(figure(4.25, 'mm', 1)) // '4.3 mm'
 */
export function figure(
  figures: number | readonly number[],
  unit: MessageUnit,
  digits?: number,
  between: string | readonly string[] = ' × '
): Message {
  const all: readonly number[] = typeof figures === 'number' ? [figures] : figures;
  const gaps = typeof between === 'string' ? all.slice(1).map(() => between) : between;
  return [BEGIN, [all.join(' '), unit, digits ?? '', gaps.join(GAP)].join(NEXT), END].join('');
}

/**
 * A message in its parts: text, and quantities.
 * @example partsOf(`at ${figure(21, '°C')}`).length // 2
 */
export function partsOf(message: Message): (string | MessageQuantity)[] {
  const [text, ...marked] = message.split(BEGIN!);
  return [text!, ...marked.flatMap(quantityFirst)].filter((part) => part !== '');
}

/** What follows a mark: the quantity, then the text up to the next one. */
function quantityFirst(marked: string): (string | MessageQuantity)[] {
  const [inside = '', ...text] = marked.split(END!);
  const [figures = '', unit, digits, between = ''] = inside.split(NEXT!);
  return [
    {
      figures: figures.split(' ').map(Number),
      unit: unit as MessageUnit,
      ...(digits ? { digits: Number(digits) } : {}),
      between: between.split(GAP!)
    },
    text.join('')
  ];
}

/** A quantity as it is kept: `15.0 mm`. */
const metricQuantity = ({ figures, unit, digits, between }: MessageQuantity): string => {
  const written = figures.map((f) => withoutMinusZero(f.toFixed(decimalsIn(f, digits))));
  return `${joined(written, between)} ${unit}`;
};

/**
 * Figures of a quantity, as they are written, with what stands between them and before the unit.
 * @example joined(['120', '100'], [' × ']) // '120 × 100'
 */
export const joined = (figures: readonly string[], between: readonly string[]): string =>
  figures.map((f, i) => f + (between[i] ?? '')).join('');

/**
 * A message in metric words: for other programs, for logs, and where nobody has chosen units.
 * @example metricWords(`a layer of ${figure(15, 'mm')}`) // 'a layer of 15 mm'
 */
export const metricWords = (message: Message): string => written(message, metricQuantity);

/**
 * A message as text, each quantity written by a function.
 * @example written(figure(21, '°C'), (q) => `${q.figures[0]} degrees`) // '21 degrees'
 */
export const written = (message: Message, write: (quantity: MessageQuantity) => string): string =>
  message.includes(BEGIN!)
    ? partsOf(message)
        .map((part) => (typeof part === 'string' ? part : write(part)))
        .join('')
    : message;
