import { Matrix, solve } from 'ml-matrix';

type Row = readonly number[];

/** How a descent is bounded and when it has come near enough. */
export interface Bounds {
  /** Keeps a number inside what is allowed, by its place; anything goes when absent. */
  inside?: (value: number, place: number) => number;
  /** The most that one number moves in one round. */
  step: number;
  rounds: number;
  /** The sum of squares that is near enough. */
  near: number;
}

/** Where a descent ended: the numbers, what is left there, and the sum of its squares. */
export interface Descent {
  at: number[];
  left: number[];
  error: number;
}

/** How far a number is moved to see which way the residuals go: far above rounding, far below what is looked for. */
const NUDGE = 1e-4;

export const dot = (a: Row, b: Row): number => a.reduce((s, v, i) => s + v * b[i]!, 0);

/** How each residual moves with each number: a column for every number. */
export function slopes(residual: (u: Row) => Row, u: Row, left: Row): number[][] {
  return u.map((v, j) =>
    residual(u.map((w, i) => (i === j ? v + NUDGE : w))).map((x, i) => (x - left[i]!) / NUDGE)
  );
}

/** The normal matrix of some slopes, JᵀJ. */
export const normalOf = (columns: readonly Row[]): Matrix =>
  new Matrix(columns.map((a) => columns.map((b) => dot(a, b))));

/**
 * Least squares by damped Gauss–Newton (Levenberg and Marquardt): from a start to where the sum of squares falls no
 * more. One way for matches, tints and trial cards.
 */
export function descend(start: Row, residual: (u: Row) => number[], bounds: Bounds): Descent {
  const { inside = (v) => v, step: most } = bounds;
  let at = start.map(inside);
  let left = residual(at);
  let error = dot(left, left);
  let damping = 0.05;
  for (let round = 0; round < bounds.rounds && error > bounds.near && at.length; round++) {
    const columns = slopes(residual, at, left);
    const normal = normalOf(columns);
    for (let i = 0; i < at.length; i++) normal.set(i, i, normal.get(i, i) * (1 + damping) + 1e-6);
    const toward = solve(normal, Matrix.columnVector(columns.map((c) => -dot(c, left))));
    const next = at.map((v, j) => inside(v + Math.max(-most, Math.min(most, toward.get(j, 0))), j));
    const tried = residual(next);
    const now = dot(tried, tried);
    if (now < error) {
      const gain = error - now;
      [at, left, error] = [next, tried, now];
      damping = Math.max(1e-4, damping / 4);
      if (gain < 1e-7) break;
    } else {
      damping *= 6;
      if (damping > 1e4) break;
    }
  }
  return { at, left, error };
}
