import { evenly } from '../evenly.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cavitiesInHand } from '../schedule';
import { castFor, dealCavities, dealPours, learnedCling, placeSurplus, portions, poursNeeded } from '.';
import { cavityOf } from '../mould';

/** P(Binomial(n, p) ≥ good), by adding up every way: slow, plain, independent of the code under test. */
function chance(n: number, p: number, good: number): number {
  let row = [1];
  for (let i = 0; i < n; i++) {
    const next = new Array<number>(row.length + 1).fill(0);
    row.forEach((x, k) => {
      next[k]! += x * (1 - p);
      next[k + 1]! += x * p;
    });
    row = next;
  }
  return row.slice(good).reduce((s, x) => s + x, 0);
}

describe('how many to cast', () => {
  it.each([
    [48, 0.12, 58],
    [22, 0.08, 26],
    [11, 0.2, 16]
  ])('%i good at %f rejects: %i', (good, reject, cast) => {
    expect(castFor(good, reject)).toBe(cast);
  });

  it('is the least number that is likely enough', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), evenly(0, 0.6), (good, p) => {
        const n = castFor(good, p);
        expect(chance(n, 1 - p, good)).toBeGreaterThanOrEqual(0.9 - 1e-9);
        if (n > good) expect(chance(n - 1, 1 - p, good)).toBeLessThan(0.9);
      })
    );
  });

  it('does not lose count of a big order', () => {
    const n = castFor(5000, 0.1);
    expect(n).toBeGreaterThan(5000 / 0.9);
    expect(n).toBeLessThan(5650);
  });

  it('goes in turns', () => {
    expect(poursNeeded(58, 6)).toBe(10);
    expect(poursNeeded(58, 0)).toBe(0);
  });
});

describe('hands', () => {
  it('serve four cavities in a window of eight minutes, not five', () => {
    expect(cavitiesInHand(8, 1.5, 1.2, 0.9)).toBe(4);
  });
  it('make twenty-two hooks six mixes', () => {
    const inHand = cavitiesInHand(8, 1.5, 1.2, 0.9);
    expect(portions(22, Math.ceil(22 / inHand))).toEqual([4, 4, 4, 4, 3, 3]);
  });
});

describe('dealing pours out to mixes', () => {
  const pours = fc.array(fc.integer({ min: 1, max: 20 }), { minLength: 1, maxLength: 6 });

  it('pours every cavity once, in order, in portions that differ by one at most', () => {
    fc.assert(
      fc.property(pours, fc.integer({ min: 1, max: 12 }), (counts, n) => {
        const asked = counts.map((count, i) => ({ pourId: `s${i}`, count }));
        const deals = dealPours(asked, n);
        for (const { pourId, count } of asked)
          expect(deals.flat().reduce((s, p) => s + (p.pourId === pourId ? p.count : 0), 0)).toBe(count);
        const sizes = deals.map((d) => d.reduce((s, p) => s + p.count, 0));
        expect(Math.max(...sizes) - Math.min(...sizes)).toBeLessThanOrEqual(1);
        const order = deals.flat().map((p) => p.pourId);
        expect(order).toEqual([...order].sort());
      })
    );
  });

  it('takes a turn’s cavities through all their steps', () => {
    const turns = dealCavities([{ count: 5, pourIds: ['a', 'b'] }], 2);
    expect(turns).toEqual([
      [
        { pourId: 'a', count: 3 },
        { pourId: 'b', count: 3 }
      ],
      [
        { pourId: 'a', count: 2 },
        { pourId: 'b', count: 2 }
      ]
    ]);
  });
});

describe('what is left over', () => {
  const tile = cavityOf({
    id: 't',
    name: 'tile',
    count: 2,
    shape: {
      kind: 'prism',
      outline: [
        [0, 0],
        [40, 0],
        [40, 40],
        [0, 40]
      ],
      depth: 5
    },
    capacity: { from: 'dimensions' }
  });

  it('fills spare cavities in their order, then goes to the leftovers; nothing is lost', () => {
    fc.assert(
      fc.property(fc.array(evenly(0, 40), { minLength: 1, maxLength: 4 }), (left) => {
        const cups = left.map((grams, i) => ({ letter: 'ABCD'[i]!, left: grams, density: 2 }));
        const spare = (id: string) => ({ id, name: id, cavity: tile, count: 1 });
        const out = placeSurplus(cups, [spare('first'), spare('second')]);
        const [first, second] = out.spares;
        if (second!.ml > 0) expect(first!.filled).toBeCloseTo(1, 6);
        const placed = out.spares.reduce((s, x) => s + x.ml, 0) + out.leftovers.reduce((s, x) => s + x.ml, 0);
        const had = left.reduce((s, grams) => s + grams / 2, 0);
        expect(Math.abs(placed - had)).toBeLessThan(0.05 * left.length + 1e-9);
      })
    );
  });
});

describe('losses learned from the log', () => {
  const cup = (mixed: number, poured: number, left: number, vessel = 2) => ({
    mixed,
    poured,
    left,
    vessel,
    baseId: 'any'
  });
  it('are the median of what really clung, once three cups tell', () => {
    const cups = [cup(106, 100, 1), cup(104, 100, 0), cup(120, 100, 3)];
    // With 2 g in the vessel: 3, 2 and 15 g of 100.
    expect(learnedCling(cups)).toEqual({ cling: 0.03, cups: 3 });
    expect(learnedCling(cups.slice(0, 2))).toBeUndefined();
  });
  it('take off what each vessel was reckoned to keep', () => {
    expect(learnedCling([1, 2, 3].map((v) => cup(108, 100, 0, v)))!.cling).toBeCloseTo(0.06, 9);
  });
  it('never go below nothing', () => {
    expect(learnedCling([cup(100, 100, 5), cup(100, 100, 5), cup(100, 100, 5)])!.cling).toBe(0);
  });
});
