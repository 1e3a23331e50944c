import type { Colourant } from '../../material';
import { BANDS } from '../spectrum/bands';
import { reflectanceDeep, reflectanceOver } from './kubelka-munk';
import { opticsOfBase, opticsOfColourant, STATED_AT, type BaseLook, type Optics } from './optics';
import { labOf, lookOf, type Look, type Spectrum } from '../spectrum/spectrum';

/** What colours a cup: its base, and grams of each colourant as supplied to 100 g of it. */
export interface Tint {
  base: BaseLook;
  doses: readonly { colourant: Colourant; percent: number }[];
}

/**
 * K and S of a cup, 1/mm: concentration-weighted sums of the base's and each colourant's.
 * @example mixtureOf({ base: PLAIN_BASE, doses: [] }).s[0] // 0.004
 */
export function mixtureOf(tint: Tint): Optics {
  const base = opticsOfBase(tint.base);
  const k = Float64Array.from(base.k);
  const s = Float64Array.from(base.s);
  const crowd = tint.base.density / STATED_AT;
  for (const { colourant, percent } of tint.doses) {
    if (percent <= 0) continue;
    const own = opticsOfColourant(colourant);
    const c = percent * crowd;
    for (let i = 0; i < BANDS; i++) {
      k[i]! += c * own.k[i]!;
      s[i]! += c * own.s[i]!;
    }
  }
  return { k, s };
}

/**
 * Reflectance of a cup too deep to see through.
 * @example deepReflectance({ k: flat(0), s: flat(1) })[0] // 1
 */
export const deepReflectance = ({ k, s }: Optics): Spectrum => k.map((v, i) => reflectanceDeep(v, s[i]!));

/**
 * Reflectance of a film so many mm thick over a backing.
 * @example filmReflectance({ k: flat(0), s: flat(1) }, 1, flat(0))[0] // 0.5
 */
export const filmReflectance = ({ k, s }: Optics, mm: number, backing: Spectrum): Spectrum =>
  k.map((v, i) => reflectanceOver(v, s[i]!, mm, backing[i]!));

/**
 * The colour of a full cup.
 * @example deepColour({ base: PLAIN_BASE, doses: [] }).hex // '#f1ede0'
 */
export const deepColour = (tint: Tint): Look => lookOf(labOf(deepReflectance(mixtureOf(tint))));

/**
 * Films as the eye meets them, nearest first, over a backing: what the nearest one looks like.
 * @example stackReflectance([], flat(0.8))[0] // 0.8
 */
export function stackReflectance(
  films: readonly { optics: Optics; mm: number }[],
  backing: Spectrum
): Spectrum {
  return films.reduceRight((behind, f) => filmReflectance(f.optics, f.mm, behind), backing);
}
