import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { descend, normalOf, slopes } from './descend';

const bounds = { step: 10, rounds: 60, near: 1e-12 };
const number = fc.double({ min: -5, max: 5, noNaN: true });

describe('a descent', () => {
  it('ends where a line and a parabola are met, wherever it begins', () => {
    fc.assert(
      fc.property(number, number, number, number, (a, b, from, to) => {
        const residual = ([x, y]: readonly number[]) => [x! - a, 2 * (y! - b), 0.1 * (x! - a) * (y! - b)];
        const { at, error } = descend([from, to], residual, bounds);
        expect(at[0]).toBeCloseTo(a, 4);
        expect(at[1]).toBeCloseTo(b, 4);
        expect(error).toBeLessThan(1e-6);
      })
    );
  });

  it('never ends worse than it began, nor outside what is allowed', () => {
    fc.assert(
      fc.property(number, number, (a, from) => {
        const inside = (v: number) => Math.min(2, Math.max(-1, v));
        const residual = ([x]: readonly number[]) => [Math.sin(3 * x!) + (x! - a)];
        const start = residual([inside(from)])[0]! ** 2;
        const { at, error, left } = descend([from], residual, { ...bounds, inside });
        expect(at[0]).toBeGreaterThanOrEqual(-1);
        expect(at[0]).toBeLessThanOrEqual(2);
        expect(error).toBeLessThanOrEqual(start + 1e-12);
        expect(left[0]! ** 2).toBeCloseTo(error, 12);
      })
    );
  });

  it('moves no further in one round than it may', () => {
    const residual = ([x]: readonly number[]) => [x! - 100];
    expect(descend([0], residual, { ...bounds, step: 1, rounds: 5 }).at[0]).toBeLessThanOrEqual(5);
    expect(descend([0], residual, { ...bounds, rounds: 0 }).at).toEqual([0]);
    expect(descend([], () => [3], bounds)).toEqual({ at: [], left: [3], error: 9 });
  });

  it('knows its slopes', () => {
    const residual = ([x, y]: readonly number[]) => [3 * x! - y!, x! * x!];
    const columns = slopes(residual, [2, 1], residual([2, 1]));
    [
      [3, 4],
      [-1, 0]
    ].forEach((column, j) => column.forEach((v, i) => expect(columns[j]![i]).toBeCloseTo(v, 3)));
    expect(normalOf(columns).get(0, 0)).toBeCloseTo(25, 2);
    expect(normalOf(columns).get(0, 1)).toBeCloseTo(-3, 2);
  });
});
