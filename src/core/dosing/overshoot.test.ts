import { evenly } from '../evenly.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { correctMix } from '.';

describe('a mix after an overshoot', () => {
  it('scales what is to come, tops up what is in, and asks nothing more of what is not in yet', () => {
    const fixed = correctMix([
      { key: 'A', target: 10, actual: 10 },
      { key: 'B', target: 5, actual: 6 },
      { key: 'C', target: 1 }
    ]);
    expect(fixed.scale).toBeCloseTo(1.2, 12);
    expect(fixed.targets).toEqual([
      { key: 'A', target: expect.closeTo(12, 9), topUp: expect.closeTo(2, 9) },
      { key: 'B', target: expect.closeTo(6, 9), topUp: expect.closeTo(0, 9) },
      { key: 'C', target: expect.closeTo(1.2, 9), topUp: 0 }
    ]);
    expect(fixed.total).toBeCloseTo(19.2, 9);
    expect(fixed.surplus).toBeCloseTo(3.2, 9);
  });

  it('is the plan before anything is in, and less where less went in', () => {
    const plan = [
      { key: 'A', target: 10 },
      { key: 'B', target: 5 }
    ];
    expect(correctMix(plan)).toMatchObject({ scale: 1, total: 15, surplus: 0 });
    expect(correctMix([{ key: 'A', target: 10, actual: 8 }, plan[1]!])).toMatchObject({
      scale: 0.8,
      total: 12,
      surplus: -3
    });
    // What is asked in nothing sets no scale.
    expect(correctMix([{ key: 'A', target: 0, actual: 3 }, plan[1]!]).scale).toBe(1);
  });

  it('keeps the ratio, and never asks for less than is in', () => {
    const grams = evenly(0.1, 500);
    const off = evenly(0.5, 2);
    fc.assert(
      fc.property(fc.array(fc.tuple(grams, off, fc.boolean()), { minLength: 1, maxLength: 6 }), (parts) => {
        const mix = parts.map(([target, f, done], i) => ({
          key: `${i}`,
          target,
          ...(done ? { actual: target * f } : {})
        }));
        const fixed = correctMix(mix);
        for (const [i, t] of fixed.targets.entries()) {
          expect(t.target / mix[i]!.target).toBeCloseTo(fixed.scale, 9);
          const { actual } = mix[i]!;
          if (actual !== undefined) {
            expect(t.target).toBeGreaterThanOrEqual(actual - 1e-9);
            expect(actual + t.topUp).toBeCloseTo(t.target, 9);
          }
        }
      })
    );
  });
});
