import { pasteOf, type Paste, type PasteOrder, type PutIn } from '../dosing';
import type { Colourant } from '../material';
import { ok, type Result } from '../problem';
import { weighing } from '../quantity';
import type { Lot } from './lot';

/** What a dry pigment can be mulled into, and the form that comes of it. */
export const PASTE_CARRIERS: readonly {
  carrier: Colourant['carrier'];
  words: string;
  form: Colourant['form'];
}[] = [
  { carrier: 'part A', words: 'resin', form: 'paste' },
  { carrier: 'part B', words: 'hardener', form: 'paste' },
  { carrier: 'oil', words: 'castor oil', form: 'paste' },
  { carrier: 'water', words: 'water or glycerine', form: 'dispersion' }
];

/** A carrier as it is called on the screens: the two parts of a resin by their names. */
export const carrierWords = (carrier: Colourant['carrier']): string =>
  carrier === 'part A' || carrier === 'part B'
    ? (PASTE_CARRIERS.find((c) => c.carrier === carrier)?.words ?? carrier)
    : carrier;

/** Micas, pearls and glitter are flakes: mulling breaks what makes them shine. */
const FLAKES: ReadonlySet<Colourant['form']> = new Set(['mica', 'interference pearl', 'glitter']);

/** Colourants that can be mulled: dry, and no flakes. */
export const pigmentsToMull = (colourants: readonly Colourant[]): Colourant[] =>
  colourants.filter((c) => c.pigmentFraction === 1 && !FLAKES.has(c.form));

/** A paste that was made at the bench: when, and until when it keeps, ms since 1970. */
export interface MadePaste {
  pigment: Colourant;
  carrier: Colourant['carrier'];
  /** The material whose part carries it, where that is one. */
  carrierOf?: string | undefined;
  order: PasteOrder;
  madeAt: number;
  useBy: number;
  /** Whole months that its card says it keeps. */
  shelfMonths: number;
}

/**
 * What a paste is on the shelf: a card that knows its carrier and fraction, and a lot with its date and cost.
 */
export function shelvedPaste(
  made: MadePaste,
  ids: { card: string; lot: string }
): Result<{ card: Colourant; lot: Lot }> {
  const paste = pasteOf(made.order);
  if (!paste.ok) return paste;
  const carrier = PASTE_CARRIERS.find((c) => c.carrier === made.carrier) ?? PASTE_CARRIERS[0]!;
  const name = `${made.pigment.name.replace(/ powder$/, '')} paste in ${carrier.words}`.slice(0, 80);
  // A paste is weighed as it is: what was known of the loose powder is not true of it.
  const { bulkDensity: _bulk, density: _solid, ...pigment } = made.pigment;
  return ok({
    card: {
      ...pigment,
      id: ids.card,
      name,
      form: carrier.form,
      carrier: carrier.carrier,
      ...(made.carrierOf === undefined ? {} : { carrierOf: made.carrierOf }),
      pigmentFraction: Number(paste.value.fraction.toFixed(4)),
      shelfMonths: made.shelfMonths,
      notes: madeOf(paste.value, made.order, carrier.words)
    },
    lot: {
      id: ids.lot,
      name,
      of: { kind: 'colourant', colourantId: ids.card },
      ...worth(paste.value),
      tax: 0,
      carriage: 0,
      boughtAt: made.madeAt,
      openedAt: made.madeAt,
      useBy: made.useBy,
      place: 'made here',
      corrections: []
    }
  });
}

/** What went in, as it was put in where that was kept. */
function madeOf({ pigment, carrier }: Paste, { division, put }: PasteOrder, words: string): string {
  const g = (grams: number) => weighing(grams, division);
  if (!put?.length) return `Made here: ${g(pigment)} in ${g(carrier)} ${words}.`;
  const one = ({ amount, by }: PutIn) =>
    by === 'g' ? g(amount) : `${amount} ${by === 'drops' ? 'drops' : '× ⅛ tsp'}`;
  const of = (what: PutIn['of']) =>
    put
      .filter((p) => p.of === what)
      .map(one)
      .join(' + ');
  return `Made here: ${of('pigment')} of pigment in ${of('carrier')} of ${words}; ${g(pigment)} in ${g(carrier)}.`;
}

const worth = ({ pigment, carrier, costGram = 0 }: Paste) => ({
  grams: pigment + carrier,
  price: Number((costGram * (pigment + carrier)).toFixed(2))
});
