import { describe, expect, it } from 'vitest';
import { chanceFrom } from '../pattern';
import { Skips } from './skips';

describe('what was looked through in vain', () => {
  it('leads past it from within, and nowhere else', () => {
    const skips = new Skips();
    skips.add(10, 20);
    expect([9, 10, 19.5, 20, 25].map((t) => skips.after(t))).toEqual([9, 20, 20, 20, 25]);
    skips.add(20, 30);
    expect(skips.after(10)).toBe(30);
    skips.add(40, Infinity);
    expect([35, 41].map((t) => skips.after(t))).toEqual([35, Infinity]);
  });

  it('says of every minute what a list of all of them says, in whatever order it came', () => {
    const chance = chanceFrom(5);
    for (let round = 0; round < 200; round++) {
      const skips = new Skips();
      const vain = new Set<number>();
      for (let i = 0; i < 12; i++) {
        const from = Math.floor(60 * chance());
        const to = from + 1 + Math.floor(9 * chance());
        skips.add(from, to);
        for (let t = from; t < to; t++) vain.add(t);
      }
      for (let t = 0; t < 75; t++) {
        let next = t;
        while (vain.has(next)) next++;
        expect(skips.after(t)).toBe(next);
      }
    }
  });
});
