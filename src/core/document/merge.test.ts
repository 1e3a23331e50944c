import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { choose, merge, same } from './merge';

const line = fc.record({ id: fc.constantFrom('a', 'b', 'c', 'd'), percent: fc.integer({ min: 0, max: 3 }) });
const document = fc.record({
  name: fc.constantFrom('x', 'y', 'z'),
  room: fc.integer({ min: 18, max: 20 }),
  lines: fc.uniqueArray(line, { selector: (l) => l.id, maxLength: 4 }),
  amount: fc.oneof(
    fc.record({ kind: fc.constant('mm'), mm: fc.integer({ min: 1, max: 2 }) }),
    fc.record({ kind: fc.constant('ml'), ml: fc.integer({ min: 1, max: 2 }) })
  )
});

describe('two changes of one document', () => {
  it('take the only change there is, from either side', () => {
    fc.assert(
      fc.property(document, document, (base, changed) => {
        for (const { merged, conflicts } of [merge(base, changed, base), merge(base, base, changed)]) {
          expect(conflicts).toEqual([]);
          expect(same(merged, changed)).toBe(true);
        }
      })
    );
  });

  it('are no conflict where both say the same', () => {
    fc.assert(
      fc.property(document, document, (base, changed) => {
        expect(merge(base, changed, structuredClone(changed)).conflicts).toEqual([]);
      })
    );
  });

  it('conflict at the same places whoever is asked, and each place can be given to the other', () => {
    fc.assert(
      fc.property(document, document, document, (base, mine, theirs) => {
        const here = merge(base, mine, theirs);
        const there = merge(base, theirs, mine);
        const paths = (m: typeof here) => m.conflicts.map((c) => c.path.join('/')).sort();
        expect(paths(here)).toEqual(paths(there));
        // Every conflict given away: what the other bench has, but for the order of lines.
        const given = here.conflicts.reduce((d, c) => choose(d, c, true), here.merged);
        const byId = (d: typeof base) => ({
          ...d,
          lines: [...d.lines].sort((a, b) => (a.id < b.id ? -1 : 1))
        });
        expect(same(byId(given), byId(there.merged))).toBe(true);
      })
    );
  });

  it('keep a line added here and one taken out there', () => {
    const base = { lines: [{ id: 'a' }, { id: 'b' }] };
    const mine = { lines: [{ id: 'a' }, { id: 'b' }, { id: 'c' }] };
    const theirs = { lines: [{ id: 'b' }] };
    expect(merge(base, mine, theirs)).toEqual({
      merged: { lines: [{ id: 'b' }, { id: 'c' }] },
      conflicts: []
    });
  });

  it('ask where one took out what the other changed', () => {
    const { conflicts } = merge(
      { lines: [{ id: 'a', n: 1 }] },
      { lines: [] as object[] },
      { lines: [{ id: 'a', n: 2 }] }
    );
    expect(conflicts.map((c) => c.path)).toEqual([['lines', 'a']]);
  });

  it('do not mix an amount in mm with one in ml', () => {
    const { merged, conflicts } = merge<object>(
      { amount: { kind: 'mm', mm: 1 } },
      { amount: { kind: 'mm', mm: 2 } },
      { amount: { kind: 'ml', ml: 9 } }
    );
    expect(merged).toEqual({ amount: { kind: 'mm', mm: 2 } });
    expect(conflicts).toHaveLength(1);
  });

  it('leave no way to the prototype', () => {
    const evil = JSON.parse('{"__proto__":{"polluted":true},"name":"x"}');
    merge({ name: 'a' }, evil, { name: 'b' });
    expect(({} as { polluted?: boolean }).polluted).toBeUndefined();
  });
});
