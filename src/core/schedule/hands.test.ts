import { evenly } from '../evenly.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { busyMinutes, cavitiesInHand, RESERVE } from '.';
import { foldedAxis } from './fold-waits';

describe('what one pair of hands can do', () => {
  it('is as many cavities as fit into the window less its reserve', () => {
    // 40 min less 15 %: 34; less 6 of mixing and 2 of colouring: 26; at 2 min each: 13.
    expect(cavitiesInHand(40, 6, 2, 2)).toBe(13);
    expect(cavitiesInHand(40, 6, 2, 2.01)).toBe(12);
    expect(cavitiesInHand(5, 6, 2, 2)).toBe(0);
    expect(cavitiesInHand(40, 6, 2, 0)).toBe(Infinity);
    expect(busyMinutes(6, 2, 13, 2)).toBe(34);
  });

  it('fits, and one cavity more would not', () => {
    const minutes = evenly(0.1, 60);
    fc.assert(
      fc.property(minutes, minutes, minutes, minutes, (window, mix, colouring, each) => {
        const n = cavitiesInHand(window, mix, colouring, each);
        const room = window * (1 - RESERVE);
        if (n > 0) expect(busyMinutes(mix, colouring, n, each)).toBeLessThanOrEqual(room + 1e-6);
        expect(busyMinutes(mix, colouring, n + 1, each)).toBeGreaterThan(room - 1e-6);
      })
    );
  });
});

describe('the folded axis, drawn', () => {
  it('leaves a short pause as long as it is, and joins what it parts', () => {
    const axis = foldedAxis(
      [
        { from: 0, to: 10 },
        { from: 14, to: 20 },
        { from: 100, to: 110 }
      ],
      110,
      5
    );
    expect(axis.stretches).toEqual([
      { from: 0, to: 20, start: 0, length: 20, folded: false },
      { from: 20, to: 100, start: 20, length: 5, folded: true },
      { from: 100, to: 110, start: 25, length: 10, folded: false }
    ]);
    expect(axis.length).toBe(35);
    expect([0, 12, 20, 60, 100, 105, 110, 500, -3].map((m) => axis.at(m))).toEqual([
      0, 12, 20, 22.5, 25, 30, 35, 35, 0
    ]);
  });

  it('takes work in any order, and work inside other work', () => {
    const axis = foldedAxis(
      [
        { from: 30, to: 40 },
        { from: 0, to: 20 },
        { from: 5, to: 8 }
      ],
      60,
      5
    );
    expect(axis.stretches.map((s) => [s.from, s.to, s.folded])).toEqual([
      [0, 20, false],
      [20, 30, true],
      [30, 40, false],
      [40, 60, true]
    ]);
  });
});
