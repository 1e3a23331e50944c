import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatHour, parseHour } from './hour';
import { guessedPreferences } from './guess';
import { said } from './said';
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

describe('a sentence', () => {
  it.each([
    [
      'knobs would overflow: 2.4 ml more than the 10.3 ml it holds.',
      '0.081 fl oz more than the 0.348 fl oz it'
    ],
    ['lay heron, 15 mm', 'lay heron, 0.59 in'],
    ['It peaks at 94 °C, past 41 °C.', 'It peaks at 201 °F, past 106 °F.'],
    ['between 20–30 °C', 'between 68–86 °F'],
    ['from 2 to 5 mm', 'from 0.08 to 0.20 in'],
    ['5.4 kg in all', '11.9 lb in all'],
    [
      'between 120 × 100 and 124 × 104 mm = 1182.31 ml',
      'between 4.72 × 3.94 and 4.88 × 4.09 in = 39.9787 fl oz'
    ],
    ['6 × 10.3 ml', '6 × 0.348 fl oz'],
    ['kept at −5 °C', 'kept at 23 °F']
  ])('“%s” is turned: %s', (metric, customary) => {
    expect(said(metric, METRIC)).toBe(metric);
    expect(said(metric, CUSTOMARY)).toContain(customary);
  });

  it('leaves what is no quantity, and what has a unit of its own', () => {
    for (const words of ['1.08 g/ml of body', '12 gates, 3 mmany', '45 cm² of face', 'in 12 min at 5 %'])
      expect(said(words, CUSTOMARY)).toBe(words);
  });

  it('keeps its figures: what is turned and read again is what it was, to its last digit', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 99_999 }), fc.integer({ min: 0, max: 3 }), (n, decimals) => {
        const mm = (n / 10 ** decimals).toFixed(decimals);
        const turned = Number(/^([\d.]+) in$/.exec(said(`${mm} mm`, CUSTOMARY))![1]);
        expect(Math.abs(turned * 25.4 - Number(mm))).toBeLessThanOrEqual(10 ** -decimals * 0.5 + 1e-9);
      })
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
