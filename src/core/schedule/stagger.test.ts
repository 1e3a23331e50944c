import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { evenly, gainsOf, mostPerMix, staggered, type Staggering } from '.';

/** The hooks of the worked example: a window of 8 min, a mix 1.5, three cups 0.4 each, a cavity 0.9. */
const hooks: Staggering = {
  castings: 22,
  cavities: 5,
  window: 8,
  mixing: 1.5,
  colouring: 1.2,
  each: 0.9,
  demould: { from: 20, to: 30, each: 0.5 }
};

describe('castings', () => {
  it('of the worked example come in six mixes of 4, 4, 4, 4, 3, 3', () => {
    expect(mostPerMix(hooks)).toBe(4);
    expect(evenly(22, 4)).toEqual([4, 4, 4, 4, 3, 3]);
    expect(staggered(hooks)!.mixes.map((m) => m.count)).toEqual([4, 4, 4, 4, 3, 3]);
  });

  it('are shared evenly, all of them, never more than the most', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 400 }), fc.integer({ min: 1, max: 60 }), (castings, most) => {
        const shares = evenly(castings, most);
        expect(shares.reduce((s, n) => s + n, 0)).toBe(castings);
        expect(Math.max(...shares)).toBeLessThanOrEqual(most);
        expect(Math.max(...shares) - Math.min(...shares)).toBeLessThanOrEqual(1);
        expect(shares.length).toBe(Math.ceil(castings / most));
      })
    );
  });

  it('fit no mix at all where its window is over before one is poured', () => {
    expect(staggered({ ...hooks, window: 2 })).toBeUndefined();
  });
});

const cases = fc.record({
  castings: fc.integer({ min: 1, max: 40 }),
  cavities: fc.integer({ min: 1, max: 12 }),
  window: fc.double({ min: 5, max: 60, noNaN: true }),
  mixing: fc.double({ min: 0.5, max: 3, noNaN: true }),
  colouring: fc.double({ min: 0, max: 2, noNaN: true }),
  each: fc.double({ min: 0.2, max: 2, noNaN: true }),
  demould: fc
    .record({
      from: fc.double({ min: 1, max: 60, noNaN: true }),
      long: fc.double({ min: 0, max: 120, noNaN: true }),
      each: fc.double({ min: 0.1, max: 1, noNaN: true })
    })
    .map(({ from, long, each }) => ({ from, to: from + 12 * each + long, each }))
});

describe('a row of mixes', () => {
  it('never has the hands in two places, a cavity in two castings, or a casting late', () => {
    fc.assert(
      fc.property(cases, (s) => {
        const row = staggered(s);
        if (!row) return;
        const busy = row.mixes
          .flatMap((m) => [
            [m.mixAt, m.pouredBy],
            [m.demouldAt, m.outBy]
          ])
          .sort((a, b) => a[0]! - b[0]!);
        busy.forEach(([from], i) => {
          if (i) expect(from).toBeGreaterThanOrEqual(busy[i - 1]![1]! - 1e-9);
        });
        for (const m of row.mixes) {
          expect(m.demouldAt).toBeGreaterThanOrEqual(m.pouredBy + s.demould.from - 1e-9);
          // Poured inside the window, the reserve kept.
          expect(m.pouredBy - m.mixAt).toBeLessThanOrEqual(s.window * 0.85 + 1e-9);
          // A mould is busy from its mix until its castings are out.
          const held = row.mixes
            .filter((x) => x.mixAt <= m.mixAt + 1e-9 && x.outBy > m.mixAt + 1e-9)
            .reduce((n, x) => n + x.count, 0);
          expect(held).toBeLessThanOrEqual(s.cavities);
        }
        // One mix alone can always be taken out in time; so each of a row can be.
        expect(row.kept).toBe(true);
        expect(row.ends).toBeCloseTo(Math.max(...row.mixes.map((m) => m.outBy)), 9);
      })
    );
  });

  it('is no slower than doing each mix to its end before the next', () => {
    fc.assert(
      fc.property(cases, (s) => {
        const row = staggered(s);
        if (!row) return;
        const alone = row.mixes.reduce(
          (t, m) => t + s.mixing + s.colouring + m.count * (s.each + s.demould.each) + s.demould.from,
          0
        );
        expect(row.ends).toBeLessThanOrEqual(alone + 1e-6);
      })
    );
  });

  it('begins the next mix while the first cures, where its cavities allow', () => {
    const wide = staggered({ ...hooks, cavities: 22 })!;
    expect(wide.mixes[1]!.mixAt).toBeLessThan(wide.mixes[0]!.demouldAt);
    const tight = staggered({ ...hooks, cavities: 4 })!;
    expect(tight.mixes[1]!.mixAt).toBeGreaterThanOrEqual(tight.mixes[0]!.outBy);
    expect(wide.ends).toBeLessThan(tight.ends);
  });
});

describe('what would save mixes', () => {
  it('is a helper, or a window as long as all the cavities need', () => {
    const gains = gainsOf({ ...hooks, cavities: 12 });
    expect(gains.helper).toEqual({ perMix: 9, mixes: 3 });
    expect(gains.window).toBeCloseTo((1.5 + 1.2 + 12 * 0.9) / 0.85, 9);
    expect(mostPerMix({ ...hooks, cavities: 12, window: gains.window! })).toBe(12);
    expect(gainsOf({ ...hooks, cavities: 4 })).toEqual({});
  });
});
