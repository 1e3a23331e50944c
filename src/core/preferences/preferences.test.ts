import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatHour, parseHour } from './hour';
import { guessedPreferences } from './guess';
import { figure, metricWords, partsOf } from '../quantity';
import { inWords, spokenFigure, spokenWords } from './words';
import { shownLength, shownMass, shownMoney, shownTemperature, shownUnit, shownVolume } from './shown';
import { USUAL_PREFERENCES } from './usual';
import { Preferences } from './preferences';

const METRIC = USUAL_PREFERENCES;
const CUSTOMARY = {
  ...USUAL_PREFERENCES,
  weights: 'oz',
  volumes: 'fl oz',
  lengths: 'in',
  temperatures: '°F'
} as const;

describe('a weight that nothing is weighed by', () => {
  it.each([
    [0, '0.0 g', '0.00 oz'],
    [4.27, '4.3 g', '0.15 oz'],
    [578.8, '579 g', '1 lb 4.4 oz'],
    [999.7, '1.00 kg', '2 lb 3.3 oz'],
    [452.9, '453 g', '1 lb'],
    [5437, '5.44 kg', '11 lb 15.8 oz']
  ])('of %d g is written %s or %s', (grams, metric, customary) => {
    expect(shownMass(grams, METRIC)).toBe(metric);
    expect(shownMass(grams, CUSTOMARY)).toBe(customary);
    expect(shownMass(grams, METRIC, 1)).toBe(`${grams.toFixed(1)} g`);
    expect(shownMass(grams, CUSTOMARY, 1)).toBe(customary);
  });
});

describe('a volume', () => {
  it.each([
    [0, '0.00 ml', '0.000 fl oz'],
    [4.2139, '4.21 ml', '0.142 fl oz'],
    [118.94, '118.94 ml', '4.02 fl oz'],
    [640.271, '640.3 ml', '21.65 fl oz'],
    [999.96, '1000.0 ml', '33.81 fl oz'],
    [1182.31, '1182 ml', '39.98 fl oz']
  ])('of %d ml is written %s or %s', (ml, metric, customary) => {
    expect(shownVolume(ml, METRIC)).toBe(metric);
    expect(shownVolume(ml, CUSTOMARY)).toBe(customary);
  });

  it('is counted in cups where a workshop does', () => {
    expect(shownVolume(473.176, { ...METRIC, volumes: 'cup' })).toBe('2.00 cup');
  });
});

it('lengths, temperatures and prices follow each by itself', () => {
  expect(shownLength(15, METRIC)).toBe('15.0 mm');
  expect(shownLength(15, CUSTOMARY)).toBe('0.59 in');
  expect(shownTemperature(21, METRIC)).toBe('21 °C');
  expect(shownTemperature(21, { ...METRIC, temperatures: '°F' })).toBe('70 °F');
  expect(shownMoney(12.3, METRIC)).toBe('12.30');
  expect(shownMoney(12.3, { ...METRIC, currency: 'GBP' })).toBe('12.30 GBP');
  expect(['g', 'kg', 'ml', 'l', 'mm', 'cm', '°C', 'min', '%'].map((u) => shownUnit(u, CUSTOMARY))).toEqual([
    'oz',
    'lb',
    'fl oz',
    'fl oz',
    'in',
    'in',
    '°F',
    'min',
    '%'
  ]);
  expect(shownUnit('l', METRIC)).toBe('l');
});

describe('a message', () => {
  it.each([
    [
      `overflow: ${figure(2.4, 'ml', 1)} more than the ${figure(10.3, 'ml', 1)} it holds`,
      'overflow: 2.4 ml more than the 10.3 ml it holds',
      'overflow: 0.081 fl oz more than the 0.348 fl oz it holds'
    ],
    [`lay heron, ${figure(15, 'mm')}`, 'lay heron, 15 mm', 'lay heron, 0.59 in'],
    [figure([94, 41], '°C', 0, ' to '), '94 to 41 °C', '201 to 106 °F'],
    [figure(5.4, 'kg'), '5.4 kg', '11.9 lb'],
    [
      `between ${figure([120, 100.5], 'mm')} = ${figure(1182.314, 'ml', 2)}`,
      'between 120 × 100.5 mm = 1182.31 ml',
      'between 4.72 × 3.957 in = 39.9788 fl oz'
    ],
    [`(${figure([222.7, 212.4], 'g', undefined, [' − ', ')'])}`, '(222.7 − 212.4) g', '(7.856 − 7.492) oz'],
    [
      `R ${figure([45, 20, 9], 'mm', undefined, [', r ', ', h '])}`,
      'R 45, r 20, h 9 mm',
      'R 1.77, r 0.79, h 0.35 in'
    ],
    [`kept at ${figure(-5, '°C')}`, 'kept at -5 °C', 'kept at 23 °F'],
    ['12 gates, 3 mm of no quantity', '12 gates, 3 mm of no quantity', '12 gates, 3 mm of no quantity'],
    ['', '', '']
  ])('is written in the units that are shown: %#', (message, metric, customary) => {
    expect(metricWords(message)).toBe(metric);
    expect(inWords(message, METRIC)).toBe(metric);
    expect(inWords(message, CUSTOMARY)).toBe(customary);
  });

  it('is read out with the names of its units', () => {
    const message = `Weigh ${figure(12.5, 'g')}, ${figure(1, 'mm')} deep, at ${figure(21, '°C')}`;
    expect(spokenWords(message, METRIC)).toBe('Weigh 12.5 grams, 1 millimetre deep, at 21 degrees');
    expect(spokenWords(message, CUSTOMARY)).toBe('Weigh 0.441 ounces, 0.04 inches deep, at 70 degrees');
    expect(spokenFigure('1', 'oz')).toBe('1 ounce');
    expect(spokenFigure('3', 'drops')).toBe('3 drops');
  });

  it('keeps its figures: what is shown in inches and read again is what it was, to its last digit', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 99_999 }), fc.integer({ min: 0, max: 3 }), (n, digits) => {
        const mm = n / 10 ** digits;
        const shown = inWords(figure(mm, 'mm', digits), CUSTOMARY);
        expect(Math.abs(parseFloat(shown) * 25.4 - mm)).toBeLessThanOrEqual(10 ** -digits * 0.5 + 1e-9);
      })
    );
  });

  it('comes apart into its text and its quantities, whatever stands beside them', () => {
    const text = fc.string().filter((s) => !/[\uE000-\uE002]/.test(s));
    const unit = fc.constantFrom('g', 'ml', 'mm', '°C');
    fc.assert(
      fc.property(
        text,
        fc.array(fc.tuple(fc.double({ noNaN: true, noDefaultInfinity: true }), unit, text)),
        (first, rest) => {
          const message =
            first + rest.map(([value, symbol, after]) => figure(value, symbol) + after).join('');
          const parts = partsOf(message);
          const texts = [first, ...rest.map(([, , after]) => after)].filter((t) => t !== '');
          expect(parts.filter((p) => typeof p === 'string')).toEqual(texts);
          expect(parts.flatMap((p) => (typeof p === 'string' ? [] : [[p.figures[0], p.unit]]))).toEqual(
            rest.map(([value, symbol]) => [value === 0 ? 0 : value, symbol])
          );
        }
      )
    );
  });
});

describe('what a browser’s language suggests', () => {
  it('is a whole set of ways, for any tag', () => {
    for (const tag of ['en-US', 'de', 'ar-EG', 'ja-JP', 'en-GB', 'xx', '', 'not a tag'])
      expect(Preferences.safeParse(guessedPreferences(tag)).success).toBe(true);
  });

  it('follows the region, or the one that most speakers live in', () => {
    expect(guessedPreferences('en-US')).toMatchObject({
      weights: 'oz',
      lengths: 'in',
      temperatures: '°F',
      currency: 'USD',
      paper: 'Letter',
      clock: '12 h',
      weekStarts: 0
    });
    expect(guessedPreferences('en-GB')).toMatchObject({
      weights: 'g',
      currency: 'GBP',
      paper: 'A4',
      clock: '24 h',
      weekStarts: 1
    });
    expect(guessedPreferences('de')).toMatchObject({ currency: 'EUR', paper: 'A4' });
    expect(guessedPreferences('en-CA')).toMatchObject({ weights: 'g', paper: 'Letter', currency: 'CAD' });
    expect(guessedPreferences('ar-EG').weekStarts).toBe(6);
    expect(guessedPreferences('not a tag')).toEqual(USUAL_PREFERENCES);
  });
});

describe('the ways of a workshop', () => {
  it.each([
    [{ hours: { from: 600, to: 600 } }, 'hours that end as they begin'],
    [{ daysOff: [0, 1, 2, 3, 4, 5, 6] }, 'no day to work on'],
    [{ makers: ['R.', 'R.'] }, 'one maker twice'],
    [{ currency: 'pounds' }, 'a currency that is no code'],
    [{ weekStarts: 7 }, 'a day that is none']
  ])('refuse %o: %s', (change: object, _: string) => {
    expect(Preferences.safeParse({ ...USUAL_PREFERENCES, ...change }).success).toBe(false);
  });
});

describe('a time of day', () => {
  const minutes = (text: string) => {
    const read = parseHour(text);
    return read.ok ? read.value : read.problem.code;
  };

  it.each([
    ['8', 480],
    ['8:30', 510],
    ['18.00', 1080],
    ['6 pm', 1080],
    ['12:15 am', 15],
    ['12 PM', 720],
    ['24:00', 1440],
    ['24:01', 'hour-unreadable'],
    ['8:60', 'hour-unreadable'],
    ['13 pm', 'hour-unreadable'],
    ['0 am', 'hour-unreadable'],
    ['eight', 'hour-unreadable'],
    ['', 'hour-unreadable']
  ])('“%s” is %s', (text, what) => {
    expect(minutes(text)).toBe(what);
  });

  it('is read back as it was written, by either clock', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1439 }), fc.constantFrom('24 h', '12 h'), (at, clock) => {
        expect(minutes(formatHour(at, clock as '24 h'))).toBe(at);
      })
    );
    expect(formatHour(1440, '24 h')).toBe('24:00');
  });
});
