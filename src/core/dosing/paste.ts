import type { Colourant } from '../material';
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
  /** What really went in, one thing after another, where that was kept: it is what the paste is. */
  put?: readonly PutIn[];
}

/** One thing that went into a paste: so much of its pigment or its carrier, weighed or counted. */
export interface PutIn {
  of: 'pigment' | 'carrier';
  amount: number;
  by: 'g' | '⅛ tsp' | 'drops';
  /** Grams of one, where it is counted. */
  each?: number;
}

/** Grams of what was put in; 0 where nobody knows what one of it weighs. */
const gramsPut = ({ amount, by, each = 0 }: PutIn): number => (by === 'g' ? amount : amount * each);

/** What usually wets out by hand: heavy mineral pigments much, light ones (carbon, organic) little. Typical of mulled pastes. */
const USUAL_FRACTION = { mineral: 0.6, light: 0.25 } as const;
/** Solids heavier than this are minerals, g/ml. */
const MINERAL = 2.8;

/**
 * How much pigment a paste usually holds, by what its pigment is and weighs.
 * @example usualFraction({ form: 'powder', density: 4.2 }) // 0.6
 */
export const usualFraction = ({ form, density }: Pick<Colourant, 'form' | 'density'>): number =>
  form === 'botanical' || (density ?? MINERAL) < MINERAL ? USUAL_FRACTION.light : USUAL_FRACTION.mineral;

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
  if (order.put?.length) return pasteAsMade(order, order.put);
  if (!(order.make > 0))
    return fail({
      code: 'paste-nothing',
      path: 'make',
      sentence: 'Nothing is to be made.',
      mend: `Say how many grams of paste, for example ${figure(40, 'g')}.`
    });
  if (!(order.fraction > 0 && order.fraction <= MOST_FRACTION)) return tooStrong(order.fraction, 'fraction');
  const to = (g: number) => Math.round(g / order.division) * order.division;
  const pigment = to(order.make * order.fraction);
  // The carrier follows the rounded pigment, so that the strength is kept.
  const carrier = to((pigment * (1 - order.fraction)) / order.fraction);
  return ok(priced({ pigment, carrier }, order));
}

/** A paste by what went in, whatever was meant: its strength is what came of it. */
function pasteAsMade(order: PasteOrder, put: readonly PutIn[]): Result<Paste> {
  const of = (what: PutIn['of']) => put.filter((p) => p.of === what).reduce((sum, p) => sum + gramsPut(p), 0);
  const [pigment, carrier] = [of('pigment'), of('carrier')];
  if (!(pigment > 0 && carrier > 0))
    return fail({
      code: 'paste-nothing',
      path: 'put',
      sentence: `No ${pigment > 0 ? 'carrier' : 'pigment'} went in yet.`,
      mend: 'Add what went in: so many grams, spoons or drops.'
    });
  const fraction = pigment / (pigment + carrier);
  return fraction > MOST_FRACTION ? tooStrong(fraction, 'put') : ok(priced({ pigment, carrier }, order));
}

const tooStrong = (fraction: number, path: string) =>
  fail({
    code: 'paste-fraction',
    path,
    sentence: `${(fraction * 100).toFixed(0)} % pigment does not mull into a paste.`,
    mend: `Stay between 5 and ${MOST_FRACTION * 100} %; most pigments take 40 to 60 %.`
  });

/** What a paste of these weights costs, beside a bought one. */
function priced({ pigment, carrier }: Pick<Paste, 'pigment' | 'carrier'>, order: PasteOrder): Paste {
  const all = pigment + carrier;
  const fraction = all > 0 ? pigment / all : 0;
  const known = order.pigmentCost !== undefined && order.carrierCost !== undefined && all > 0;
  const costGram = known ? (pigment * order.pigmentCost! + carrier * order.carrierCost!) / all : undefined;
  return {
    pigment,
    carrier,
    fraction,
    ...(costGram === undefined ? {} : { costGram, costPigment: costGram / fraction }),
    ...(order.bought ? { boughtPigment: order.bought.cost / order.bought.fraction } : {})
  };
}
