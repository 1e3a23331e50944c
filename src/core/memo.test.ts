import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isAlike, Memo } from './memo';

describe('a memo', () => {
  it('runs a stage again only where what it is made of has changed', () => {
    const memo = new Memo();
    let runs = 0;
    const of = (grams: number, parts: string[]) =>
      memo.of('weigh', [grams, parts], () => ({ runs: ++runs, parts }));
    const first = of(3, ['a']);
    expect(of(3, ['a'])).toBe(first);
    expect(of(4, ['a'])).toEqual({ runs: 2, parts: ['a'] });
    expect(of(4, ['b'])).toEqual({ runs: 3, parts: ['b'] });
  });

  it('answers the very same value, or parts of it, where a later run comes to the same', () => {
    const memo = new Memo();
    const of = (n: number) =>
      memo.of('score', [n], () => ({ whole: { at: Math.min(n, 5) }, ends: n, list: [{ n: 1 }, { n }] }));
    const [five, six] = [of(5), of(6)];
    expect(six).toEqual({ whole: { at: 5 }, ends: 6, list: [{ n: 1 }, { n: 6 }] });
    expect(six.whole).toBe(five.whole);
    expect(memo.of('same', [1], () => ({ x: [1] }))).toBe(memo.of('same', [2], () => ({ x: [1] })));
  });

  it('is looked into by a try and never changed by it', () => {
    const memo = new Memo();
    const made = memo.of('a', [1], () => ({ by: 'plan' }));
    const tried = new Memo(memo);
    expect(tried.of('a', [1], () => ({ by: 'try' }))).toBe(made);
    expect(tried.of('a', [2], () => ({ by: 'try' }))).toEqual({ by: 'try' });
    expect(memo.of('a', [1], () => ({ by: 'nobody' }))).toBe(made);
  });

  it('lets go what is not asked for any more', () => {
    const memo = new Memo();
    const asked = (place: string) => memo.of(place, [], () => ({}));
    const [kept, gone] = [asked('kept'), asked('gone')];
    memo.tidy();
    expect(asked('kept')).toBe(kept);
    memo.tidy();
    expect(asked('gone')).not.toBe(gone);
  });
});

describe('what is alike', () => {
  it('is what is written alike, and nothing else', () => {
    fc.assert(
      fc.property(fc.jsonValue(), fc.jsonValue(), (a, b) => {
        expect(isAlike(a, structuredClone(a))).toBe(true);
        expect(isAlike(a, b)).toBe(isSame(a, b));
      })
    );
    const doing = () => 1;
    expect(isAlike({ doing }, { doing })).toBe(true);
    expect(isAlike({ doing }, { doing: () => 1 })).toBe(false);
    expect(isAlike({ a: undefined }, { b: undefined })).toBe(false);
    expect(isAlike(new Map([['a', [1]]]), new Map([['a', [1]]]))).toBe(true);
    expect(isAlike(new Map([['a', 1]]), new Map([['b', 1]]))).toBe(false);
    expect(isAlike([1, 2], [1])).toBe(false);
    expect(isAlike(new Date(0), new Date(0))).toBe(false);
  });
});

/** By their text, keys in order. */
const isSame = (a: unknown, b: unknown): boolean => sorted(a) === sorted(b);
const sorted = (x: unknown): string =>
  JSON.stringify(x, (_, value: unknown) =>
    typeof value === 'object' && value !== null && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).sort(([k], [l]) => (k < l ? -1 : 1)))
      : Object.is(value, -0)
        ? '-0'
        : value
  );
