import { LRUCache } from 'lru-cache';
import { materials, type Colourant } from '../../material';
import { ksOf } from './kubelka-munk';
import { flat, labOf, lookOf, xyzOf, type Look, type Spectrum } from '../spectrum/spectrum';
import { curvesFromTint, tintReflectance } from './tint';
import { reflectanceOfHex } from '../spectrum/upsample';

/** Absorption and scattering in 36 bands: 1/mm for a base, 1/mm for each percent of a colourant. */
export interface Optics {
  k: Spectrum;
  s: Spectrum;
}

/** Density that colourants' curves are stated at, g/ml: a percent of a denser base is more in every millimetre. */
export const STATED_AT = 1.1;

/** What colour needs to know of a base: its kind, its own cured colour, and its density beside resin's, g/ml. */
export interface BaseLook {
  kind: string;
  colour: string;
  density: number;
}

/** A plain pale clear resin, to judge a colourant in before any base is chosen. */
export const PLAIN_BASE: BaseLook = { kind: 'resin', colour: '#f1ede0', density: 1.1 };

const bases = new LRUCache<string, Optics>({ max: 500 });

/**
 * A base's own optics: its cured colour is its deep colour, K = S × K/S(R).
 * @example opticsOfBase(PLAIN_BASE).s[0] // 0.004
 */
export function opticsOfBase(base: BaseLook): Optics {
  const key = `${base.kind}|${base.colour}`;
  const before = bases.get(key);
  if (before) return before;
  const s = materials.of(base).optics.scatters;
  const r = reflectanceOfHex(base.colour);
  const optics = { k: r.map((v) => s * ksOf(v)), s: flat(s) };
  bases.set(key, optics);
  return optics;
}

/**
 * Scattering of one percent as supplied at strength 1, 1/mm, where only the masstone is known. Starting values from
 * what makes a pigment scatter, its refractive index against a binder's 1.5, and from what the trade knows of each;
 * a tint on the card takes their place.
 */
const SCATTER = {
  /** Iron oxides, index 2.4–3.0: as much as titanium white (rutile, 2.7), and they absorb besides; so red oxide outhides white. */
  earth: 1.6,
  /** Chrome oxide green, index 2.5. */
  green: 0.9,
  /** Carbon black: hardly scatters, absorbs some 10/mm a percent at strength 1; a tenth in white is a mid grey. */
  carbon: 0.2,
  /** Charcoal is coarser than carbon black but used as it is: 1.5 % of it reads black in soap. */
  charcoal: 0.4,
  /** Organic pigments and ultramarine (index 1.5): strong colour, little body. Rises with what they reflect. */
  organic: (luminance: number) => 0.08 + 1.5 * luminance
};

/** Darker than this a masstone is black, luminance 0..1. */
const BLACK = 0.02;
/** Hue angles of earth colours, from red oxide to yellow, and of chrome-oxide green, degrees in a*b*. */
const EARTH = [20, 95];
const GREEN = [105, 150];
/** A paste or dispersion of an oxide is about half of it pigment. */
const HALF: ReadonlySet<Colourant['form']> = new Set(['paste', 'dispersion', 'premix']);

/** What a colourant whose card tells only its masstone scatters, by its form and by what its colour speaks for. */
function startingScatter(c: Colourant, masstone: Spectrum): number {
  const luminance = xyzOf(masstone)[1];
  const { a, b } = labOf(masstone);
  const hue = (Math.atan2(b, a) * 180) / Math.PI;
  const between = ([from, to]: readonly number[]) => hue >= from! && hue <= to!;
  const pigment = c.form === 'powder' || HALF.has(c.form);
  const share = HALF.has(c.form) ? 0.5 : 1;
  if (luminance < BLACK && Math.hypot(a, b) < 6)
    return c.form === 'botanical' ? SCATTER.charcoal : SCATTER.carbon;
  if (!pigment || Math.hypot(a, b) < 10) return SCATTER.organic(luminance);
  if (between(EARTH)) return SCATTER.earth * share;
  if (between(GREEN)) return SCATTER.green * share;
  return SCATTER.organic(luminance);
}

/** Dyes scatter next to nothing, pearls reflect by interference and absorb next to nothing. */
const DYE_SCATTER = 0.002;
const PEARL = { scatter: 0.35, absorb: 1e-4 };
/** A dye's absorption of one percent at strength 1 for each unit of K/S of its full-strength colour, 1/mm. */
const DYE_ABSORB = 0.08;

const colourants = new LRUCache<string, Optics>({ max: 2000 });

/**
 * A colourant's curves for each percent as supplied. From masstone and tint where both are known, whatever its
 * strength: the tint measures that. From the masstone alone a starting value, scaled by its strength. Strength that is
 * corrected after a tint was entered scales what the tint said.
 * @example opticsOfColourant(colourant('blue-paste')).k.length // 36
 */
export function opticsOfColourant(colourant: Colourant): Optics {
  const key = JSON.stringify([
    colourant.colour,
    colourant.form,
    colourant.strength,
    colourant.tint,
    colourant.translucent
  ]);
  const before = colourants.get(key);
  if (before) return before;
  const unit = unitOptics(colourant);
  const times = unit.measured
    ? colourant.strength / (colourant.tint?.at ?? colourant.strength)
    : colourant.strength;
  const optics = { k: unit.k.map((v) => v * times), s: unit.s.map((v) => v * times) };
  colourants.set(key, optics);
  return optics;
}

/** Reflected at every wavelength by what is white in the bottle. */
const WHITE_EVERYWHERE = 0.6;

/** White ink is no dye: what is white in it is a pigment that scatters, and it hides. */
const isWhiteInk = (masstone: Spectrum): boolean => Math.min(...masstone) >= WHITE_EVERYWHERE;

/** Curves at strength 1, or, `measured` by a tint, at the strength the card had then. */
function unitOptics(c: Colourant): Optics & { measured?: true } {
  const masstone = reflectanceOfHex(c.colour);
  if (c.form === 'interference pearl') {
    const low = Math.min(...masstone);
    const high = Math.max(...masstone);
    return {
      k: flat(PEARL.absorb),
      s: masstone.map((v) => PEARL.scatter * (0.08 + (v - low) / Math.max(1e-6, high - low)))
    };
  }
  if ((c.form === 'ink' && !isWhiteInk(masstone)) || c.translucent)
    return { k: masstone.map((v) => DYE_ABSORB * ksOf(v)), s: flat(DYE_SCATTER) };
  if (c.tint) return { ...curvesFromTint(masstone, c.tint), measured: true };
  const s = startingScatter(c, masstone);
  return { k: masstone.map((v) => s * ksOf(v)), s: flat(s) };
}

/**
 * What p percent of a colourant in its card's white (the usual titanium white, where it names none) looks like, deep.
 * @example tintLook(colourant('blue-paste')).hex // '#000000'
 */
export const tintLook = (colourant: Colourant, percent: number): Look =>
  lookOf(labOf(tintReflectance(opticsOfColourant(colourant), { percent, white: colourant.tint?.white })));

/**
 * Tinting strength beside a reference: how much of the reference, percent for percent, darkens the same white as
 * much as one of this. 1 for the reference itself.
 * @example tintingStrength(colourant('blue-paste'), colourant('blue-paste')) // 1
 */
export function tintingStrength(colourant: Colourant, reference: Colourant): number {
  const absorbs = (c: Colourant) => opticsOfColourant(c).k.reduce((s, v) => s + v, 0);
  return absorbs(colourant) / Math.max(1e-9, absorbs(reference));
}
