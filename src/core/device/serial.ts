import type { Reading } from './standin';

/** Longer lines than any scale writes are noise. */
const MOST_LETTERS = 80;
/** So many equal readings in a row count as settled, where a scale does not say it itself. */
const SETTLED_AFTER = 3;

/** Grams in each unit a scale may write. 1 oz = 28.349523125 g, 1 lb = 453.59237 g, by definition. */
const GRAMS: Record<string, number> = { g: 1, kg: 1000, oz: 28.349523125, lb: 453.59237 };

/** Words that mark a reading as moving, and as settled. */
const MOVING = /(?:^|[\s,;])(?:US|UN|U|MOVING)(?=[\s,;]|$)|[?~]/i;
const STILL = /(?:^|[\s,;])(?:ST|S|STABLE)(?=[\s,;]|$)/i;

/** One line of a scale as read: grams, and whether the line itself says that they have settled. */
export interface SerialLine {
  grams: number;
  said?: boolean;
}

/**
 * Reads one line of a scale: one number with an optional sign (also apart from its figures) and an optional unit (g, kg, oz, lb; g
 * when absent), and an optional mark of rest or motion before or after it (`ST`, `S`, `STABLE`; `US`, `U`, `?`, `~`). Undefined for
 * everything else: half lines, two numbers, other units, letters that are none of these.
 */
export function readSerialLine(line: string): SerialLine | undefined {
  // Letters below the space are noise of the cable.
  const text = [...line]
    .map((c) => (c < ' ' || c === '\u007f' ? ' ' : c))
    .join('')
    .trim();
  if (!text || text.length > MOST_LETTERS) return undefined;
  const numbers = [...text.matchAll(/([+-]?)\s*(\d+(?:[.,]\d+)?|[.,]\d+)\s*([a-z]*)/gi)];
  const [only, ...more] = numbers;
  if (!only || more.length) return undefined;
  const unit = (only[3] || 'g').toLowerCase();
  const each = GRAMS[unit];
  // What stands around the number may only be marks.
  const around = (text.slice(0, only.index) + ' ' + text.slice(only.index + only[0].length)).trim();
  const rest = around.replace(/[\s,;:?~]+/g, ' ').trim();
  if (
    each === undefined ||
    (rest && !/^(?:(?:US|UN|U|MOVING|ST|S|STABLE|GS|NT|G|N|NET|GROSS) ?)+$/i.test(rest))
  )
    return undefined;
  const value = Number(only[2]!.replace(',', '.')) * each * (only[1] === '-' ? -1 : 1);
  if (!Number.isFinite(value)) return undefined;
  const moving = MOVING.test(around);
  const still = STILL.test(around);
  return {
    grams: Math.round(value * 1e6) / 1e6 + 0,
    ...(moving ? { said: false } : still ? { said: true } : {})
  };
}

/**
 * Puts a scale's letters together into readings, however they arrive: half lines wait for their rest, noise is passed over, and
 * a scale that never says so has settled after three equal readings.
 */
export class SerialReader {
  #kept = '';
  #last: number | undefined;
  #same = 0;

  /** Readings that are complete with this piece of text. */
  push(text: string): Reading[] {
    const lines = (this.#kept + text).split(/\r\n|\n|\r/);
    this.#kept = lines.pop() ?? '';
    // Noise without an end would grow for ever.
    if (this.#kept.length > 4 * MOST_LETTERS) this.#kept = '';
    return lines.flatMap((line) => {
      const read = readSerialLine(line);
      return read ? [this.#reading(read)] : [];
    });
  }

  #reading({ grams, said }: SerialLine): Reading {
    this.#same = grams === this.#last ? this.#same + 1 : 1;
    this.#last = grams;
    return { grams, stable: said ?? this.#same >= SETTLED_AFTER };
  }
}
