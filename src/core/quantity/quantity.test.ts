import { evenly } from '../evenly.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  about,
  clock,
  decimalsOf,
  duration,
  formatQuantity,
  parseCount,
  parseQuantity,
  UNITS,
  displayOf,
  reading,
  readingBeside,
  weighing,
  type Expectation
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

  it.each([
    // German, Dutch, Italian; French, Swedish, Russian with spaces of several widths; Swiss; English; Arabic; Hindi digits.
    ['1.234,5 g', 1234.5],
    ['1 234 g', 1234],
    ['1\u202f234,5 g', 1234.5],
    ['12\u00a0345,67 g', 12345.67],
    ['1’234.5 g', 1234.5],
    ["1'234 g", 1234],
    ['1,234.5 g', 1234.5],
    ['1,234,567 g', 1234567],
    ['1.234.567 g', 1234567],
    ['0,125 g', 0.125],
    ['1,5 g', 1.5],
    ['12,50 g', 12.5],
    ['١٬٢٣٤٫٥ g', 1234.5],
    ['१२.५ g', 12.5],
    ['１２ g', 12],
    ['1 000 g', 1000],
    ['2 500 1/2 oz', 2500.5 * 28.349523125],
    ['1 lb 2.5 oz', 453.59237 + 2.5 * 28.349523125],
    ['1 1/2 oz', 1.5 * 28.349523125],
    ['2 g + 3 g', 5]
  ])('reads “%s” as the people who write it so mean it', (text, grams) => {
    expect(value(text, { kind: 'mass' })).toBeCloseTo(grams, 6);
  });

  it.each([
    ['2 5 g', 'quantity-two'],
    ['4 oz 3 lb', 'quantity-two'],
    ['3 g 4 g', 'quantity-two'],
    ['1,000 g', 'quantity-comma'],
    ['1.23.4 g', 'quantity-unreadable'],
    ['1,00,000 g', 'quantity-unreadable'],
    ['1.234,567.8 g', 'quantity-unreadable'],
    ['12,3456,7 g', 'quantity-unreadable']
  ])('asks about “%s” and adds nothing up', (text, code) => {
    expect(value(text, { kind: 'mass', bare: 'g' })).toBe(code);
  });

  it('adds no part without its unit, whatever the field’s own is', () => {
    expect(value('2 5 g', { kind: 'mass', bare: 'kg' })).toBe('quantity-two');
  });

  it('never adds temperatures or shares', () => {
    expect(value('60 C 3 C', { kind: 'temperature' })).toBe('quantity-two');
    expect(value('20 % + 5 %', { kind: 'share' })).toBe('quantity-two');
    expect(value('1 h 20 min', { kind: 'time' })).toBe(80);
  });

  it('says the two readings of a comma with the unit they were typed with', () => {
    const read = parseQuantity('1,000 g');
    expect(read.ok ? '' : read.problem.mend).toBe('Type 1000 g or 1.000 g.');
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
      fc.property(fc.constantFrom(...units), evenly(0, 9000), (u, shown) => {
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
    expect([0.5, 1.5, 1.6, 12, 12.5, 125, 120, 2 * 1440, 3000].map(duration)).toEqual([
      '30 s',
      '1.5 min',
      '2 min',
      '12 min',
      '13 min',
      '2 h 05',
      '2 h',
      '2 d',
      '2 d 2 h'
    ]);
    expect([252, 3729, -30].map(clock)).toEqual(['4:12', '1:02:09', '−0:30']);
    expect([1439, 119, 487].map(about)).toEqual(['24 h', '1 h 59', '8 h']);
    expect([48 * 3600 - 1, 48 * 3600, 2_419_199].map(clock)).toEqual(['47:59:59', '2 d 0 h', '27 d 23 h']);
  });
});

describe('a scale', () => {
  it('shows the unit in which its division is round', () => {
    const ounce = 28.349523125;
    expect([0.01, 1, 0.5, 5].map((d) => displayOf(d).symbol)).toEqual(['g', 'g', 'g', 'g']);
    expect([0.001, 0.005, 0.1].map((d) => displayOf(d * ounce).symbol)).toEqual(['oz', 'oz', 'oz']);
  });

  it('reads to its own division in its own unit, and a bare figure never stands in a column of another', () => {
    const ounce = 28.349523125;
    expect(reading(12.4, 0.01)).toBe('12.40');
    expect(reading(12.4, 0.001 * ounce)).toBe('0.437');
    expect(reading(-0.004, 0.01)).toBe('0.00');
    expect(weighing(12.4, 0.1)).toBe('12.4 g');
    expect(readingBeside(12.4, 0.01, 1)).toBe('12.40');
    expect(readingBeside(12.4, 0.001 * ounce, 1)).toBe('0.437 oz');
  });

  it('shows every multiple of its division as it is, in grams and in ounces', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(0.01, 0.1, 0.5, 1),
        fc.boolean(),
        fc.integer({ min: 0, max: 100_000 }),
        (division, inOunces, steps) => {
          const factor = inOunces ? 28.349523125 : 1;
          const shown = Number(reading(steps * division * factor, division * factor));
          expect(shown).toBeCloseTo(steps * division, 9);
        }
      )
    );
  });
});
