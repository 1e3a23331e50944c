import { BANDS } from '../spectrum/bands';
import { descend } from '../match/descend';
import { deltaE } from '../spectrum/difference';
import { ksOf, reflectanceDeep } from './kubelka-munk';
import { flat, labOf, labOfHex, type Lab, type Spectrum } from '../spectrum/spectrum';
import { reflectanceOfHex } from '../spectrum/upsample';

/** A colourant let down in white, as its card says: percent of it by weight, the colour that gave, and in which white. */
export interface TintCard {
  colour: string;
  percent: number;
  white?: { colour: string; strength: number } | undefined;
}

/** Absorption and scattering of one percent of something, 1/mm. */
export interface Curves {
  k: Spectrum;
  s: Spectrum;
}

/** Scattering of one percent of titanium white of strength 1, 1/mm: 2.4 at the usual strength of 1.6. */
const WHITE_SCATTER = 1.5;
/** The white that tints are made with where the card names none: the shelf's titanium white powder. */
const USUAL_WHITE = { colour: '#fbfbf7', strength: 1.6 };

/** A white's own curves. */
function whiteCurves({ colour, strength }: { colour: string; strength: number }): Curves {
  const s = WHITE_SCATTER * strength;
  return { s: flat(s), k: reflectanceOfHex(colour).map((r) => s * ksOf(r)) };
}

/** What p percent of a colourant in white reflects, deep: the law of a tint card. */
export function tintReflectance(
  own: Curves,
  { percent, white = USUAL_WHITE }: Omit<TintCard, 'colour'>
): Spectrum {
  const p = percent / 100;
  const w = whiteCurves(white);
  return flat(0).map((_, i) =>
    reflectanceDeep(p * own.k[i]! + (1 - p) * w.k[i]!, p * own.s[i]! + (1 - p) * w.s[i]!)
  );
}

/** Scattering of one percent that is thinkable of a pigment, 1/mm. */
const LEAST = 1e-3;
const MOST_STRENGTH = 400;
const inside = (s: number) => Math.min(MOST_STRENGTH, Math.max(LEAST, s));

/** Tints nearer than this need no second way, ΔE00. */
const NEAR = 0.3;

/**
 * K and S of one percent, from masstone and tint together: K = S·K/S(masstone) in every band, and the S that gives
 * the tint back. Band by band where that can be; otherwise the smooth S that comes nearest, since a colour tells
 * three numbers and not thirty-six.
 */
export function curvesFromTint(masstone: Spectrum, tint: TintCard): Curves {
  const target = labOfHex(tint.colour);
  const curves = (s: Spectrum): Curves => ({ s, k: s.map((v, i) => v * ksOf(masstone[i]!)) });
  const off = (s: Spectrum) => deltaE(labOf(tintReflectance(curves(s), tint)), target);
  const banded = bandByBand(masstone, tint);
  if (off(banded) < NEAR) return curves(banded);
  const smooth = smoothScatter(masstone, tint, target);
  return curves(off(smooth) < off(banded) ? smooth : banded);
}

/**
 * q = (p·K + (1−p)·K_w)/(p·S + (1−p)·S_w) with K = m·S gives S = (1−p)(q·S_w − K_w)/(p·(m − q)). A band in which the
 * tint is no lighter than the masstone asks for more scattering than any; one lighter than the white, for none.
 */
function bandByBand(masstone: Spectrum, { colour, percent, white = USUAL_WHITE }: TintCard): Spectrum {
  const mixed = reflectanceOfHex(colour);
  const p = percent / 100;
  const w = whiteCurves(white);
  return masstone.map((r, i) => {
    const m = ksOf(r);
    const q = ksOf(mixed[i]!);
    if (m - q <= 1e-9) return MOST_STRENGTH;
    return inside(((1 - p) * (q * w.s[i]! - w.k[i]!)) / (p * (m - q)));
  });
}

/** Log-scattering as a parabola over the bands, its three numbers fitted to the tint's three. */
function smoothScatter(masstone: Spectrum, tint: TintCard, target: Lab): Spectrum {
  const x = Array.from({ length: BANDS }, (_, i) => (2 * i) / (BANDS - 1) - 1);
  const scatter = (u: readonly number[]): Spectrum =>
    flat(0).map((_, i) => inside(Math.exp(u[0]! + u[1]! * x[i]! + u[2]! * (x[i]! ** 2 - 0.5))));
  const residual = (u: readonly number[]): number[] => {
    const s = scatter(u);
    const lab = labOf(tintReflectance({ s, k: s.map((v, i) => v * ksOf(masstone[i]!)) }, tint));
    return [lab.l - target.l, lab.a - target.a, lab.b - target.b];
  };
  const ends = [-3, -1, 1, 3].map((level) =>
    descend([level, 0, 0], residual, { step: 2, rounds: 40, near: 1e-6 })
  );
  return scatter(ends.reduce((best, next) => (next.error < best.error ? next : best)).at);
}
