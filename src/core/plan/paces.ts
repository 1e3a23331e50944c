import type { CupDose } from '../batch';
import { isWhite } from '../colour';
import type { Pace } from '../cure';
import type { Base } from '../material';
import type { Mix } from '../document';

type SoapBase = Extract<Base, { kind: 'soap' }>;

/** Seconds of a stick blender after which a soap base’s open time is reckoned: a few short bursts. */
export const USUAL_BLENDER = 20;
/** Nothing that is stirred in makes a cup faster than this share of its card’s time by itself. */
const LEAST = 0.4;
/** Under this share of white, percent of the oils, nobody notices it. */
const SOME_WHITE = 0.3;

/** How much of its time a soap keeps for each share of the oils that is fragrance: starting figures of the trade. */
const FRAGRANCE: Record<NonNullable<SoapBase['fragranceIs']>, { per: number; words: string }> = {
  calm: { per: 0, words: '' },
  quick: { per: 5, words: 'quickens' },
  floral: { per: 15, words: 'is floral and quickens much' }
};
/** Sugars warm the batter: what they take of its time for each share of the oils, and what they go by. */
const SUGAR = { per: 5, names: /sugar|honey|milk|syrup|juice/i };
/** What titanium white takes of a batter’s time for each percent of the oils. */
const WHITE_PER_PERCENT = 0.1;
/** A second of the blender more or less than usual, of the time that is left. */
const PER_SECOND = 0.01;

const taking = (share: number): number => Math.max(LEAST, 1 - share);
const pace = (factor: number, why: string): Pace[] => (Math.abs(factor - 1) < 0.005 ? [] : [{ factor, why }]);

/**
 * What makes a whole mix run ahead of its card or lag behind it: fragrance, sugars and the blender in a soap, and the maker’s
 * own figure in any material (a retarder, hard water). Starting figures of the trade, on the card’s own open time.
 */
export function mixPaces(mix: Mix, base: Base): Pace[] {
  const own = mix.pace === undefined ? [] : pace(mix.pace, 'your own figure');
  return base.kind === 'soap' ? [...soapPaces(mix, base), ...own] : own;
}

function soapPaces(mix: Mix, base: SoapBase): Pace[] {
  const { per, words } = FRAGRANCE[base.fragranceIs ?? 'calm'];
  const sugars = (base.additives ?? []).filter((a) => SUGAR.names.test(a.name));
  const seconds = (mix.blender ?? USUAL_BLENDER) - USUAL_BLENDER;
  return [
    ...pace(taking(per * base.fragrance), `the fragrance ${words}`),
    ...sugars.flatMap((a) => pace(taking(SUGAR.per * a.share), `${a.name} warms it`)),
    ...pace(
      taking(seconds * PER_SECOND),
      seconds > 0 ? `${mix.blender} s of the blender` : `only ${mix.blender} s of the blender`
    )
  ];
}

/** What a cup’s own colour does to its time: white thickens a soap batter first. */
export function colourPaces(base: Base, doses: readonly CupDose[]): Pace[] {
  if (base.kind !== 'soap') return [];
  const white = doses.filter((d) => isWhite(d.colourant)).reduce((s, d) => s + d.percent, 0);
  return white < SOME_WHITE ? [] : pace(taking(white * WHITE_PER_PERCENT), 'white thickens it first');
}
