import type { Pace } from '../../../cure';
import type { ScentIs } from '../../definition';
import { waterShare, type SoapCard } from './card';

/** Seconds of a stick blender after which a soap's open time is reckoned: a few short bursts. */
export const USUAL_BLENDER = 20;
/** Nothing that is stirred in makes a cup faster than this share of its card’s time by itself. */
const LEAST = 0.4;
/** Under this share of white, percent of the oils, nobody notices it. */
const SOME_WHITE = 0.3;

/** How much of its time a soap keeps for each share of the oils that is fragrance: starting figures of the trade. */
const FRAGRANCE: Record<ScentIs, { per: number; words: string }> = {
  calm: { per: 0, words: '' },
  quick: { per: 5, words: 'quickens' },
  floral: { per: 15, words: 'is floral and quickens much' },
  thins: { per: -8, words: 'thins it' }
};
/** Sugars warm the batter: what they take of its time for each share of the oils, and what they go by. */
const SUGAR = { per: 5, names: /sugar|honey|milk|syrup|juice/i };
/** Of those, what drives the gel hot. */
const DRIVES_GEL = /sugar|honey|milk|syrup/i;
/** What titanium white takes of a batter’s time for each percent of the oils. */
const WHITE_PER_PERCENT = 0.1;
/** A second of the blender more or less than usual, of the time that is left. */
const PER_SECOND = 0.01;

const taking = (share: number): number => Math.max(LEAST, 1 - share);
const pace = (factor: number, why: string): Pace[] => (Math.abs(factor - 1) < 0.005 ? [] : [{ factor, why }]);

/** What so much of a fragrance, of the oils, does to the time of what it is stirred into. */
export const scentPace = (share: number, is: ScentIs): Pace[] =>
  pace(taking(FRAGRANCE[is].per * share), `the fragrance ${FRAGRANCE[is].words}`);

/** What makes a whole batch run ahead of its card or lag behind it: fragrance, sugars, the blender. Starting figures of the trade. */
export function soapPaces(card: SoapCard, { blender }: { blender?: number | undefined }): Pace[] {
  const sugars = [...(card.additives ?? []).filter((a) => SUGAR.names.test(a.name)), ...sugarInLiquid(card)];
  const seconds = (blender ?? USUAL_BLENDER) - USUAL_BLENDER;
  return [
    ...scentPace(card.fragrance, card.fragranceIs ?? 'calm'),
    ...sugars.flatMap((a) => pace(taking(SUGAR.per * a.share), `${a.name} warms it`)),
    ...pace(
      taking(seconds * PER_SECOND),
      seconds > 0 ? `${blender} s of the blender` : `only ${blender} s of the blender`
    )
  ];
}

/** The sugar that the lye’s own liquid brings, as a share of the oils. */
function sugarInLiquid(card: SoapCard): { name: string; share: number }[] {
  if (!card.liquid?.sugar) return [];
  return [{ name: `the sugar of the ${card.liquid.name}`, share: card.liquid.sugar * waterShare(card) }];
}

/** What white does to a cup's time, percent of the oils: it thickens a batter first. */
export const whitePaces = (white: number): Pace[] =>
  white < SOME_WHITE ? [] : pace(taking(white * WHITE_PER_PERCENT), 'white thickens it first');

/** Sugars that heat a batter through its gel: their share of the oils, and what they are. */
export function sugarsOf(card: SoapCard): { share: number; names: string[] } {
  const sugars = [...(card.additives ?? []).filter((a) => DRIVES_GEL.test(a.name)), ...sugarInLiquid(card)];
  return { share: sugars.reduce((s, a) => s + a.share, 0), names: sugars.map((a) => a.name) };
}
