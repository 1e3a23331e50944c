import type { Optics } from './optics';
import { BANDS } from '../spectrum/bands';
import { labOf, lookOf, type Look, type Spectrum } from '../spectrum/spectrum';

/** How much brighter than the room the light behind a piece is: a window, or a lamp under it. */
const LAMP = 4;

interface Passed {
  /** Reflectance and transmittance over black, 0..1. */
  r: number;
  t: number;
}

/**
 * What a film over nothing sends back and lets through. K and S in 1/mm, ≥ 0; thickness mm ≥ 0. Kubelka and Munk's
 * hyperbolic solution with exp(−2bSX), so that neither thick nor clear films overflow.
 */
export function filmPasses(k: number, s: number, mm: number): Passed {
  if (mm <= 0) return { r: 0, t: 1 };
  if (s * mm < 1e-9) return { r: 0, t: Math.exp(-k * mm) };
  const a = 1 + k / s;
  const b = Math.sqrt(Math.max(0, a * a - 1));
  const x = b * s * mm;
  // So thin (or without absorption) that sinh x is x: what is lost on the way is lost once.
  if (x < 1e-5) {
    const lost = 1 + (s + k) * mm;
    return { r: (s * mm) / lost, t: 1 / lost };
  }
  const e = Math.exp(-2 * x);
  const below = a * (1 - e) + b * (1 + e);
  return { r: (1 - e) / below, t: (2 * b * Math.exp(-x)) / below };
}

/** Films one behind another as one: light goes to and fro between them. */
const together = (near: Passed, far: Passed): Passed => {
  const toAndFro = 1 - near.r * far.r;
  return {
    t: (near.t * far.t) / toAndFro,
    r: near.r + (near.t * near.t * far.r) / toAndFro
  };
};

/** The light that films let through from behind, as a share of it at each band. */
export function stackTransmittance(films: readonly { optics: Optics; mm: number }[]): Spectrum {
  return Float64Array.from({ length: BANDS }, (_, i) => {
    const clear: Passed = { r: 0, t: 1 };
    return films.reduce(
      (near, { optics, mm }) => together(near, filmPasses(optics.k[i]!, optics.s[i]!, mm)),
      clear
    ).t;
  });
}

/**
 * What films look like before a lamp: darker than the room's white where little comes through.
 * @example litFromBehind([]).hex // '#ffffff'
 */
export const litFromBehind = (films: readonly { optics: Optics; mm: number }[]): Look =>
  lookOf(labOf(stackTransmittance(films).map((t) => Math.min(1, LAMP * t))));
