import type { Base, Colourant } from '../material';
import { ksOf, reflectanceDeep } from './kubelka';
import { flat, labOf, lookOf, xyzOf, type Look, type Spectrum } from './spectrum';
import { reflectanceOfHex } from './upsample';

/** Absorption and scattering in 36 bands: 1/mm for a base, 1/mm for each percent of a colourant. */
export interface Optics {
  k: Spectrum;
  s: Spectrum;
}

/** Density that colourants' curves are stated at, g/ml: a percent of a denser base is more in every millimetre. */
export const STATED_AT = 1.1;

/** What colour needs to know of a base: its kind, its own cured colour, and its density beside resin's, g/ml. */
export interface BaseLook {
  kind: Base['kind'];
  colour: string;
  density: number;
}

/**
 * How much the uncoloured bases scatter, 1/mm. Starting values: clear resin almost nothing, plastisol faintly
 * milky, soap ivory and opaque in a centimetre, white gypsum and grey cement opaque in a millimetre.
 */
const SCATTERS: Record<Base['kind'], number> = {
  resin: 0.004,
  rubber: 0.3,
  plastisol: 0.05,
  'melt and pour': 0.5,
  soap: 1,
  gypsum: 4,
  concrete: 5
};

const bases = new Map<string, Optics>();

/** A base's own optics: its cured colour is its deep colour, K = S × K/S(R). */
export function opticsOfBase(base: BaseLook): Optics {
  const key = `${base.kind}|${base.colour}`;
  const before = bases.get(key);
  if (before) return before;
  const s = SCATTERS[base.kind];
  const r = reflectanceOfHex(base.colour);
  const optics = { k: r.map((v) => s * ksOf(v)), s: flat(s) };
  bases.set(key, optics);
  return optics;
}

/**
 * Scattering of one percent at strength 1, 1/mm, where only the masstone is known: pale pigments scatter, dark ones
 * absorb. Starting values that put titanium white near 2.4 and carbon black near 0.4 at their usual strengths.
 */
const scatterOf = (luminance: number) => 0.08 + 1.5 * luminance;
/** Dyes scatter next to nothing, pearls reflect by interference and absorb next to nothing. */
const DYE_SCATTER = 0.002;
const PEARL = { scatter: 0.35, absorb: 1e-4 };
/** A dye's absorption of one percent at strength 1 for each unit of K/S of its full-strength colour, 1/mm. */
const DYE_ABSORB = 0.08;

/** The white that tints are made with: a titanium white of strength 1, per percent. */
const REFERENCE_WHITE = { r: 0.95, scatter: scatterOf(0.95) };

const colourants = new Map<string, Optics>();

/**
 * A colourant's curves for each percent as supplied. From masstone and tint where both are known: K = S·K/S(masstone),
 * and S from the tint's mixture with white (two-constant Kubelka–Munk, band by band); from the masstone alone a
 * starting value. Strength scales both.
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
  const optics = {
    k: unit.k.map((v) => v * colourant.strength),
    s: unit.s.map((v) => v * colourant.strength)
  };
  if (colourants.size > 2000) colourants.clear();
  colourants.set(key, optics);
  return optics;
}

function unitOptics(c: Colourant): Optics {
  const masstone = reflectanceOfHex(c.colour);
  if (c.form === 'interference pearl') {
    const low = Math.min(...masstone);
    const high = Math.max(...masstone);
    return {
      k: flat(PEARL.absorb),
      s: masstone.map((v) => PEARL.scatter * (0.08 + (v - low) / Math.max(1e-6, high - low)))
    };
  }
  if (c.form === 'ink' || c.translucent)
    return { k: masstone.map((v) => DYE_ABSORB * ksOf(v)), s: flat(DYE_SCATTER) };
  const flatScatter = scatterOf(xyzOf(masstone)[1]);
  const s = c.tint ? tintScatter(masstone, c.tint, flatScatter) : flat(flatScatter);
  return { k: masstone.map((v, i) => s[i]! * ksOf(v)), s };
}

/**
 * S of one percent, band by band, from a tint of p percent colourant in white:
 * q = (p·K + (1−p)·K_w)/(p·S + (1−p)·S_w) with K = m·S gives S = (1−p)(q·S_w − K_w)/(p·(m − q)).
 * Where masstone and tint say the same the tint tells nothing, and the starting value stands.
 */
function tintScatter(
  masstone: Spectrum,
  tint: { colour: string; percent: number },
  fallback: number
): Spectrum {
  const mixed = reflectanceOfHex(tint.colour);
  const p = tint.percent / 100;
  const white = { s: REFERENCE_WHITE.scatter, k: REFERENCE_WHITE.scatter * ksOf(REFERENCE_WHITE.r) };
  return masstone.map((r, i) => {
    const m = ksOf(r);
    const q = ksOf(mixed[i]!);
    const s = ((1 - p) * (q * white.s - white.k)) / (p * (m - q));
    return Number.isFinite(s) && s > 0 ? Math.min(60, Math.max(1e-3, s)) : fallback;
  });
}

/** What p percent of a colourant in the reference white looks like, deep: a tint card. */
export function tintLook(colourant: Colourant, percent: number): Look {
  const own = opticsOfColourant(colourant);
  const p = percent / 100;
  const white = { s: REFERENCE_WHITE.scatter, k: REFERENCE_WHITE.scatter * ksOf(REFERENCE_WHITE.r) };
  const r = flat(0).map((_, i) =>
    reflectanceDeep(p * own.k[i]! + (1 - p) * white.k, p * own.s[i]! + (1 - p) * white.s)
  );
  return lookOf(labOf(r));
}

/**
 * Tinting strength beside a reference: how much of the reference, percent for percent, darkens the same white as
 * much as one of this. 1 for the reference itself.
 */
export function tintingStrength(colourant: Colourant, reference: Colourant): number {
  const absorbs = (c: Colourant) => opticsOfColourant(c).k.reduce((s, v) => s + v, 0);
  return absorbs(colourant) / Math.max(1e-9, absorbs(reference));
}
