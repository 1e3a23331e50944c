import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFECTS, GRADES, gradeOf, Piece, wilson } from '.';

const face = (face: string, grade: string, defects: string[] = []) => ({ face, grade, defects });
const piece = (over: object = {}) => ({
  id: 'piece-1',
  groupId: 'knobs',
  number: 1,
  faces: [face('mould face', 'good')],
  ...over
});
const taken = (over: object) => Piece.safeParse(piece(over)).success;

describe('a piece', () => {
  it('has a cavity counted from one, and one to three faces', () => {
    expect([0, 1, 1.5, -1, 400].map((number) => taken({ number }))).toEqual([
      false,
      true,
      false,
      false,
      true
    ]);
    const faces = (n: number) => Array(n).fill(face('cut face', 'second'));
    expect([0, 1, 3, 4].map((n) => taken({ faces: faces(n) }))).toEqual([false, true, true, false]);
  });

  it('has only faces, grades and defects that are known, and notes of bearable length', () => {
    for (const f of ['mould face', 'open face', 'cut face'])
      expect(taken({ faces: [face(f, 'good')] })).toBe(true);
    expect(taken({ faces: [face('back', 'good')] })).toBe(false);
    expect(taken({ faces: [face('cut face', 'superb')] })).toBe(false);
    expect(taken({ faces: [face('cut face', 'good', ['ugly'])] })).toBe(false);
    expect(taken({ faces: [face('cut face', 'good', Array(40).fill(DEFECTS[0]))] })).toBe(true);
    expect(taken({ faces: [face('cut face', 'good', Array(41).fill(DEFECTS[0]))] })).toBe(false);
    expect(taken({ note: 'x'.repeat(2000) })).toBe(true);
    expect(taken({ note: 'x'.repeat(2001) })).toBe(false);
  });

  it('is as good as its worst face, in whatever order they are told', () => {
    const grade = fc.constantFrom(...GRADES);
    fc.assert(
      fc.property(fc.array(grade, { minLength: 1, maxLength: 3 }), (grades) => {
        const faces = grades.map((g) => ({ face: 'mould face' as const, grade: g, defects: [] }));
        const rank = { good: 0, second: 1, reject: 2 };
        const worst = [...grades].sort((a, b) => rank[b] - rank[a])[0];
        expect(gradeOf({ faces })).toBe(worst);
      })
    );
  });
});

describe('a rate from few pieces', () => {
  it('lies where the normal approximation of its own bounds says', () => {
    // The interval's ends are the rates p at which |count/total − p| is 1.96 of their own standard errors.
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 500 }), fc.nat(500), (total, some) => {
        const count = Math.min(some, total);
        const { low, high } = wilson(count, total);
        const off = (p: number) => Math.abs(count / total - p) / Math.sqrt((p * (1 - p)) / total);
        if (count > 0) expect(off(low)).toBeCloseTo(1.96, 2);
        else expect(low).toBeCloseTo(0, 12);
        if (count < total) expect(off(high)).toBeCloseTo(1.96, 2);
        else expect(high).toBeCloseTo(1, 12);
        expect(low).toBeLessThanOrEqual(count / total + 1e-12);
        expect(high).toBeGreaterThanOrEqual(count / total - 1e-12);
      })
    );
  });

  it('of nothing is anything, and never leaves nought to one', () => {
    expect(wilson(0, 0)).toEqual({ low: 0, high: 1 });
    expect(wilson(5, 5).high).toBe(1);
    expect(wilson(0, 5).low).toBe(0);
  });
});
