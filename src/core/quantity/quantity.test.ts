import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  clock,
  decimalsOf,
  duration,
  formatQuantity,
  parseCount,
  parseQuantity,
  UNITS,
  type Expectation,
  mass,
  volume
} from '.';

const value = (text: string, expectation?: Expectation) => {
  const read = parseQuantity(text, expectation);
  return read.ok ? read.value.value : read.problem.code;
};

describe('what a maker types', () => {
  it.each([
    ['1/3 cup', undefined, 78.86, 2],
    ['2 1/2 oz', 'mass', 70.87, 2],
    ['2 1/2 oz', 'volume', 73.93, 2],
    ['101 F', undefined, 38.33, 2],
    ['½ tsp', undefined, 2.464, 3],
    ['3 lb 4 oz', 'mass', 1474.2, 1],
    ['3 lb + 4 oz', 'mass', 1474.2, 1],
    ['2½ cups', undefined, 591.47, 2],
    ['1,5 kg', undefined, 1500, 6],
    ['.5 g', undefined, 0.5, 6],
    ['12 drops', undefined, 12, 6],
    ['1 h 30 min', undefined, 90, 6],
    ['-4 °C', undefined, -4, 6]
  ] as const)('%s (%s)', (text, kind, wanted, digits) => {
    expect(value(text, kind ? { kind } : {})).toBeCloseTo(wanted, digits);
  });

  it('takes the field’s unit for a bare number', () => {
    expect(value('4', { kind: 'length', bare: 'mm' })).toBe(4);
    expect(value('2.4', { kind: 'share', bare: '%' })).toBeCloseTo(0.024, 12);
  });

  it.each([
    ['2 1/2 oz', {}, 'quantity-ounce'],
    ['1,000 g', {}, 'quantity-comma'],
    ['', {}, 'quantity-empty'],
    ['a bit', {}, 'quantity-unreadable'],
    ['12 g of it', {}, 'quantity-unit'],
    ['3 g 4 ml', {}, 'quantity-mixed'],
    ['4 ml', { kind: 'mass' as const }, 'quantity-kind'],
    ['1/0 cup', {}, 'quantity-unreadable'],
    ['12', {}, 'quantity-unit']
  ])('says what is wrong with “%s”', (text, expectation, code) => {
    expect(value(text, expectation)).toBe(code);
  });

  it.each([
    ['6', 6],
    ['0', undefined],
    ['2.5', undefined],
    ['2001', undefined],
    ['six', undefined]
  ])('counts “%s”', (text, count) => {
    const read = parseCount(text, 2000);
    expect(read.ok ? read.value : undefined).toBe(count);
  });

  it('reads back everything it writes', () => {
    const units = UNITS.filter((u) => u.symbol !== 'oz');
    fc.assert(
      fc.property(fc.constantFrom(...units), fc.double({ min: 0, max: 9000, noNaN: true }), (u, shown) => {
        const internal = shown * u.factor + (u.offset ?? 0);
        const read = parseQuantity(formatQuantity(internal, u.symbol, 4));
        expect(read.ok && read.value.kind).toBe(u.kind);
        expect(read.ok && Math.abs(read.value.value - internal)).toBeLessThan(1e-4 * u.factor);
      })
    );
  });
});

describe('what is shown', () => {
  it('follows the scale', () => {
    expect([0.01, 0.1, 1, 0.5, 0.001].map(decimalsOf)).toEqual([2, 1, 0, 1, 3]);
    expect(formatQuantity(-0.0001, 'g')).toBe('0.00 g');
  });

  it('says time as a maker does', () => {
    expect([0.5, 12, 125, 120, 2 * 1440, 3000].map(duration)).toEqual([
      '30 s',
      '12 min',
      '2 h 05',
      '2 h',
      '2 d',
      '2 d 2 h'
    ]);
    expect([252, 3729, -30].map(clock)).toEqual(['4:12', '1:02:09', '−0:30']);
  });
});

describe('a volume', () => {
  it.each([
    [0, '0.00 ml'],
    [4.2139, '4.21 ml'],
    [118.94, '118.94 ml'],
    [640.271, '640.3 ml'],
    [999.96, '1000.0 ml'],
    [1182.31, '1182 ml'],
    [24_000.4, '24000 ml']
  ])('of %d ml is written %s', (ml, written) => {
    expect(volume(ml)).toBe(written);
  });
});

describe('a weight that nothing is weighed by', () => {
  it.each([
    [0, '0.0 g'],
    [4.27, '4.3 g'],
    [578.8, '579 g'],
    [5437, '5.44 kg']
  ])('of %d g is written %s', (grams, written) => {
    expect(mass(grams)).toBe(written);
  });
});
