import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { numberedWords, parseNumbered } from '.';

describe('numbers of cavities', () => {
  it('are said as ranges and read back, whatever they are', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 1, max: 40 }), { minLength: 1 }), (some) => {
        const numbers = [...some].sort((a, b) => a - b);
        expect(parseNumbered(numberedWords(numbers), 40)).toEqual({ ok: true, value: numbers });
      })
    );
  });

  it.each([
    ['1-3,5', [1, 2, 3, 5]],
    ['5 2', [2, 5]],
    ['2 – 4', [2, 3, 4]],
    ['3, 3, 2-3', [2, 3]]
  ])('%s are %j', (text, value) => expect(parseNumbered(text, 6)).toEqual({ ok: true, value }));

  it.each(['', 'all', '0', '7', '2-9', '4-2', '1;x'])(
    '“%s” of six is none, and says how to type them',
    (text) => {
      const read = parseNumbered(text, 6);
      expect(read.ok).toBe(false);
      if (!read.ok) expect(read.problem.mend).toContain('1–3, 5');
    }
  );
});
