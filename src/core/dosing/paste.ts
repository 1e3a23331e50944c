import { fail, ok, type Result } from '../problem';
import { figure } from '../quantity';

/** A paste to make: dry pigment mulled into a carrier, to so much pigment by weight. */
export interface PasteOrder {
  /** How much to make, g, and its pigment fraction φ, 0..1. */
  make: number;
  fraction: number;
  /** What each costs a gram, where it is known; and a bought paste beside it with its own fraction. */
  pigmentCost?: number;
  carrierCost?: number;
  bought?: { cost: number; fraction: number };
  /** The scale's division, g. */
  division: number;
}

/** The weights of a paste, g, and what it costs. */
export interface Paste {
  pigment: number;
  carrier: number;
  /** φ after rounding to the scale. */
  fraction: number;
  /** Cost of a gram of paste, and of a gram of pigment in it beside a bought paste's. */
  costGram?: number;
  costPigment?: number;
  boughtPigment?: number;
}

/** Above this dry pigments hardly wet out in a carrier by hand; typical of mulled pastes. */
const MOST_FRACTION = 0.75;

/**
 * Pigment = φ × m, carrier the rest, both as the scale can weigh them. Refuses fractions no mulling reaches.
 * @example pasteOf({ make: 40, fraction: 0.6, division: 0.01 }).value.pigment // 24
 */
export function pasteOf(order: PasteOrder): Result<Paste> {
  if (!(order.make > 0))
    return fail({
      code: 'paste-nothing',
      path: 'make',
      sentence: 'Nothing is to be made.',
      mend: `Say how many grams of paste, for example ${figure(40, 'g')}.`
    });
  if (!(order.fraction > 0 && order.fraction <= MOST_FRACTION))
    return fail({
      code: 'paste-fraction',
      path: 'fraction',
      sentence: `${(order.fraction * 100).toFixed(0)} % pigment does not mull into a paste.`,
      mend: `Stay between 5 and ${MOST_FRACTION * 100} %; most pigments take 40 to 60 %.`
    });
  const to = (g: number) => Math.round(g / order.division) * order.division;
  const pigment = to(order.make * order.fraction);
  // The carrier follows the rounded pigment, so that the strength is kept.
  const carrier = to((pigment * (1 - order.fraction)) / order.fraction);
  const all = pigment + carrier;
  const fraction = all > 0 ? pigment / all : 0;
  const known = order.pigmentCost !== undefined && order.carrierCost !== undefined && all > 0;
  const costGram = known ? (pigment * order.pigmentCost! + carrier * order.carrierCost!) / all : undefined;
  return ok({
    pigment,
    carrier,
    fraction,
    ...(costGram === undefined ? {} : { costGram, costPigment: costGram / fraction }),
    ...(order.bought ? { boughtPigment: order.bought.cost / order.bought.fraction } : {})
  });
}
