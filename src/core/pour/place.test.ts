import { evenly } from '../evenly.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pathCopies, pathLength, pathWords, placeWords } from '.';

const place = fc.record({
  x: evenly(-1, 1),
  y: evenly(-1, 1)
});

describe('a place', () => {
  it.each([
    [0, 0, 'the middle'],
    [0.05, -0.05, 'the middle'],
    [0.8, 0, 'the right'],
    [-0.8, 0.1, 'the left'],
    [0, 0.8, 'the far side'],
    [0.1, -0.8, 'the near side'],
    [-0.7, 0.7, 'the far left'],
    [0.7, -0.7, 'the near right']
  ])('at %d, %d is %s', (x, y, words) => {
    expect(placeWords({ x, y })).toBe(words);
  });
});

describe('a path', () => {
  it('is said as a maker would', () => {
    const line = {
      points: [
        { x: -0.8, y: 0 },
        { x: 0.8, y: 0 }
      ]
    };
    expect(pathWords(line)).toBe('a line from the left to the right');
    expect(pathWords({ ...line, round: 6 })).toBe('6 lines round the middle');
    expect(pathWords({ ...line, closed: true })).toBe('a ring');
    expect(pathWords({ points: [{ x: 0, y: 0.8 }], round: 5 })).toBe('5 places round the middle');
  });

  it('is copied round the middle: every copy as far out as the first, evenly apart', () => {
    fc.assert(
      fc.property(place, fc.integer({ min: 1, max: 36 }), evenly(0.2, 5), (p, n, aspect) => {
        const copies = pathCopies({ points: [p], round: n }, aspect).map(([q]) => q!);
        const radius = (q: typeof p) => Math.hypot(q.x, q.y * aspect);
        expect(copies[0]!.x).toBeCloseTo(p.x, 12);
        expect(copies[0]!.y).toBeCloseTo(p.y, 12);
        for (const q of copies) expect(radius(q)).toBeCloseTo(radius(p), 9);
        const [sx, sy] = [copies.reduce((s, q) => s + q.x, 0), copies.reduce((s, q) => s + q.y, 0)];
        if (n > 1) expect(Math.hypot(sx, sy)).toBeLessThan(1e-9);
      })
    );
  });

  it('is as long as its lines, all copies together', () => {
    const half = { width: 30, length: 20 };
    const square = [
      { x: -1, y: -1 },
      { x: 1, y: -1 },
      { x: 1, y: 1 },
      { x: -1, y: 1 }
    ];
    expect(pathLength({ points: square }, half)).toBeCloseTo(60 + 40 + 60, 9);
    expect(pathLength({ points: square, closed: true }, half)).toBeCloseTo(200, 9);
    expect(pathLength({ points: square, closed: true, round: 3 }, half)).toBeCloseTo(600, 9);
    expect(pathLength({ points: [square[0]!] }, half)).toBe(0);
  });
});
