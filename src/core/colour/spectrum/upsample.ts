import { LRUCache } from 'lru-cache';
import { LU, Matrix } from 'ml-matrix';
import { converter } from 'culori/fn';
import { BANDS, WEIGHTS, WHITE_POINT } from './bands';
import type { Lab, Spectrum } from './spectrum';

const toXyz = converter('xyz65');
/** Pure black and white have no smooth curve inside 0..1; targets are drawn in by this much. */
const MARGIN = 1e-4;
const ROUNDS = 60;

const known = new LRUCache<string, Spectrum>({ max: 4000 });

/** A smooth reflectance, 0 < R < 1, with the colour of an sRGB hex. Kept, since cards name few colours. */
export function reflectanceOfHex(hex: string): Spectrum {
  const before = known.get(hex);
  if (before) return before;
  const c = toXyz(hex);
  const r = reflectanceOf(c ? [c.x, c.y, c.z] : [...WHITE_POINT]);
  known.set(hex, r);
  return r;
}

/** A smooth reflectance with a Lab colour. */
export function reflectanceOfLab(lab: Lab): Spectrum {
  const c = toXyz({ mode: 'lab65', ...lab });
  return reflectanceOf([c.x, c.y, c.z]);
}

/**
 * The reflectance that changes least from band to band and has the given XYZ. R = (1 + tanh z)/2 keeps it inside
 * 0..1; Newton's method on the slope of z with the three colour equations as constraints.
 * Source: the published least-slope method for reconstructing reflectance from tristimulus values.
 */
function reflectanceOf(xyz: readonly [number, number, number]): Spectrum {
  const target = xyz.map((v, k) =>
    Math.min(WHITE_POINT[k]! * (1 - MARGIN), Math.max(WHITE_POINT[k]! * MARGIN, v))
  );
  const grey = Math.min(0.999, Math.max(0.001, target[1]!));
  const z = new Float64Array(BANDS).fill(Math.atanh(2 * grey - 1));
  const lambda = [0, 0, 0];
  for (let round = 0; round < ROUNDS; round++) {
    const { jacobian, f, fit } = equations(z, lambda, target);
    const step = new LU(jacobian).solve(Matrix.columnVector(f.map((v) => -v)));
    let largest = 0;
    for (let i = 0; i < BANDS; i++) largest = Math.max(largest, Math.abs(step.get(i, 0)));
    // Far from the answer a full step overshoots where tanh is flat.
    const damp = largest > 1.5 ? 1.5 / largest : 1;
    for (let i = 0; i < BANDS; i++) z[i]! += damp * step.get(i, 0);
    for (let k = 0; k < 3; k++) lambda[k]! += damp * step.get(BANDS + k, 0);
    if (largest < 1e-7 && fit.every((v, k) => Math.abs(v - target[k]!) < 1e-9)) break;
  }
  return z.map((v) => (1 + Math.tanh(v)) / 2);
}

/** The equations of one round: the slope's own, band by band, and the three of the colour. */
function equations(z: Float64Array, lambda: readonly number[], target: readonly number[]) {
  const n = BANDS + 3;
  const jacobian = Matrix.zeros(n, n);
  const f = new Array<number>(n).fill(0);
  const fit = [0, 0, 0];
  for (let i = 0; i < BANDS; i++) {
    const t = Math.tanh(z[i]!);
    const slope = (1 - t * t) / 2;
    const ends = i === 0 || i === BANDS - 1 ? 2 : 4;
    const neighbours = (i > 0 ? z[i - 1]! : 0) + (i < BANDS - 1 ? z[i + 1]! : 0);
    const w = WEIGHTS[i]!;
    const pull = w[0] * lambda[0]! + w[1] * lambda[1]! + w[2] * lambda[2]!;
    f[i] = ends * z[i]! - 2 * neighbours + slope * pull;
    jacobian.set(i, i, ends - 2 * t * slope * pull);
    if (i > 0) jacobian.set(i, i - 1, -2);
    if (i < BANDS - 1) jacobian.set(i, i + 1, -2);
    for (let k = 0; k < 3; k++) {
      jacobian.set(i, BANDS + k, slope * w[k]!);
      jacobian.set(BANDS + k, i, slope * w[k]!);
      fit[k]! += (w[k]! * (1 + t)) / 2;
    }
  }
  for (let k = 0; k < 3; k++) f[BANDS + k] = fit[k]! - target[k]!;
  return { jacobian, f, fit };
}
