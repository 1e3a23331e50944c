import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readSerialLine, SerialReader } from './serial';

describe('a line of a scale', () => {
  it.each([
    ['12.34 g', 12.34, undefined],
    ['  +  12.34g', 12.34, undefined],
    ['ST,GS,+  12.34 g', 12.34, true],
    ['S 0.05', 0.05, true],
    ['US,NT,-0.5 g', -0.5, false],
    ['12.3 ?', 12.3, false],
    ['1,234 kg', 1234, undefined],
    ['2.5 oz', 70.873808, undefined],
    ['- 3 lb', -1360.77711, undefined],
    ['.5 g', 0.5, undefined],
    ['-0.00 g', 0, undefined]
  ])('“%s” is %d g', (line, grams, said) => {
    const read = readSerialLine(line)!;
    expect(read.grams).toBeCloseTo(grams, 6);
    expect(Object.is(read.grams, -0)).toBe(false);
    expect(read.said).toBe(said);
  });

  it.each(['', 'g', 'ERR 03', '12.3 4.5 g', '12.3 stone', 'pcs 12', '12.3.4', 'x'.repeat(90), 'Model 12 g'])(
    '“%s” is none',
    (line) => expect(readSerialLine(line)).toBeUndefined()
  );
});

describe('letters as they arrive', () => {
  it('come to the same readings however they are cut', () => {
    const lines = 'ST,+ 10.00 g\r\nUS,+ 10.41 g\n\u0000\u0007noise\nST,+ 10.50 g\r';
    const whole = new SerialReader().push(lines + '\n');
    expect(whole.map((r) => [r.grams, r.stable])).toEqual([
      [10, true],
      [10.41, false],
      [10.5, true]
    ]);
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 40 }), (cuts) => {
        const reader = new SerialReader();
        const found = [];
        let rest = lines + '\n';
        for (const n of [...cuts, rest.length]) {
          found.push(...reader.push(rest.slice(0, n)));
          rest = rest.slice(n);
        }
        expect(found).toEqual(whole);
      })
    );
  });

  it('keeps a half line until the rest is there, and lets endless noise go', () => {
    const reader = new SerialReader();
    expect(reader.push('12.')).toEqual([]);
    expect(reader.push('5 g\n')).toEqual([{ grams: 12.5, stable: false }]);
    reader.push('z'.repeat(1000));
    expect(reader.push('\n3 g\n')).toEqual([{ grams: 3, stable: false }]);
  });

  it('has settled after three equal readings where the scale does not say', () => {
    const read = new SerialReader().push('5.0\n5.0\n5.0\n5.1\n');
    expect(read.map((r) => r.stable)).toEqual([false, false, true, false]);
  });
});
