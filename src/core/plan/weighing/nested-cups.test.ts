import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import { rockpool } from '../../../../demo/plans';
import { evenly } from '../../evenly.testing';
import { HATCHES, type Cup, type Plan } from '../../document';
import { figuresOf } from '../compute';
import { atBench, layer } from '../plans.testing';

const groupId = rockpool.groups[0]!.id;
const cup = (id: string, n: number, from: Cup['from']): Cup => ({
  id,
  letter: 'ABCDEFGH'[n]!,
  hatch: HATCHES[n]!,
  name: id,
  from,
  recipe: []
});
const of = (...parts: [string, number][]): Cup['from'] => ({
  cups: parts.map(([cupId, share]) => ({ cupId, share }))
});

/** Three cups, a jug of two of them, a jug of that one and the third, and one made of jugs alone. */
function nested(split: boolean, [a, b, c]: readonly [number, number, number], turns?: number): Plan {
  const mixed = ['one', 'two', 'three'];
  const mixOf = (id: string) => ({ mix: split ? 'mix' : `mix-${id}` });
  const cups = [
    ...mixed.map((id, i) => cup(id, i, mixOf(id))),
    cup('inner', 3, of(['one', a], ['two', 1 - a])),
    cup('middle', 4, of(['inner', b], ['three', 1 - b])),
    cup('outer', 5, of(['middle', c], ['inner', 1 - c]))
  ];
  const mixes = split
    ? [{ id: 'mix', baseId: 'clear-slow', feeds: 'split' as const, ...(turns ? { turns } : {}) }]
    : mixed.map((id) => ({ id: `mix-${id}`, baseId: 'clear-slow', feeds: 'one cup' as const }));
  const steps = [layer('pour', 'outer', groupId, { kind: 'rim' })];
  return atBench({ ...rockpool, order: undefined, mixes, cups, steps } as Plan, {});
}
const share = evenly(0.1, 0.9);

describe('cups made of cups made of cups', () => {
  it('hold what is poured from them, each source its share, mixed each or split', () => {
    fc.assert(
      fc.property(
        fc.boolean(),
        fc.tuple(share, share, share),
        fc.constantFrom(undefined, 2, 3),
        (split, s, turns) => {
          const computed = figuresOf(nested(split, s, turns), cards);
          const poured = computed.groups.reduce(
            (n, g) => n + g.count * g.layers.reduce((x, l) => x + l.each, 0),
            0
          );
          const mlOf = (id: string) => computed.cups.find((c) => c.cupId === id)!.balance.pouredMl;
          expect(mlOf('outer')).toBeCloseTo(poured, 3);
          const [a, b, c] = s;
          // By hand: how much of the last jug is each of the three.
          const inner = c * b + (1 - c);
          const shares = { one: a * inner, two: (1 - a) * inner, three: c * (1 - b) };
          const all = mlOf('one') + mlOf('two') + mlOf('three');
          expect(all).toBeGreaterThan(poured);
          for (const [id, part] of Object.entries(shares)) expect(mlOf(id) / all, id).toBeCloseTo(part, 1);
          // What goes into cups made of others, over all turns, is what those were poured from: no drop more or less.
          const filled = computed.cups.flatMap((x) => x.mixes.flatMap((m) => m.filledFrom ?? []));
          for (const x of computed.cups) {
            expect(x.balance.mixed, x.cupId).toBeGreaterThan(0);
            const into = filled.filter((f) => f.cupId === x.cupId).reduce((n, f) => n + f.ml, 0);
            if (x.cupId !== 'outer') expect(x.balance.pouredMl / into, x.cupId).toBeCloseTo(1, 6);
          }
        }
      ),
      { numRuns: 30 }
    );
  });
});
