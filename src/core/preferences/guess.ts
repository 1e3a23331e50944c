import { USUAL_PREFERENCES } from './usual';
import type { Preferences } from './preferences';

/** Regions whose kitchens and hardware shops measure in ounces, inches and °F. */
const CUSTOMARY = ['US', 'LR', 'MM'];
/** Regions that print on Letter. Source: the Unicode CLDR paper size by territory. */
const LETTER = 'BZ CA CL CO CR DO GT MX NI PA PH PR SV US VE'.split(' ');
/** Regions whose week begins on Sunday or Saturday. Source: the Unicode CLDR first day of week. */
const SUNDAY =
  'AG AS BD BR BS BT BW BZ CA CO DM DO ET GT GU HK HN ID IL IN JM JP KE KH KR LA MH MM MO MT MX MZ NI NP PA PE PH PK PR PT PY SA SG SV TH TT TW UM US VE VI WS YE ZA ZW'.split(
    ' '
  );
const SATURDAY = 'AE AF BH DJ DZ EG IQ IR JO KW LY OM QA SD SY'.split(' ');
/** Regions that say the hour from one to twelve. Source: the Unicode CLDR preferred hours. */
const TWELVE = 'AU CA CO EG IN MX MY NZ PH PK SA US ZA'.split(' ');
const EURO = 'AT BE CY DE EE ES FI FR GR HR IE IT LT LU LV MT NL PT SI SK'.split(' ');
/** Regions and their currency. Source: ISO 4217. */
const CURRENCY = new Map<string, string>([
  ...EURO.map((region) => [region, 'EUR'] as const),
  ...Object.entries({
    US: 'USD',
    GB: 'GBP',
    CH: 'CHF',
    CA: 'CAD',
    AU: 'AUD',
    NZ: 'NZD',
    JP: 'JPY',
    SE: 'SEK',
    NO: 'NOK',
    DK: 'DKK',
    PL: 'PLN',
    CZ: 'CZK',
    HU: 'HUF',
    IN: 'INR',
    BR: 'BRL',
    MX: 'MXN',
    ZA: 'ZAR',
    KR: 'KRW',
    CN: 'CNY',
    SG: 'SGD',
    HK: 'HKD',
    IL: 'ILS',
    TR: 'TRY'
  })
]);

/**
 * The ways of a region, from a browser's language tag such as `en-GB`; what it does not tell stays as usual.
 * A tag without a region (`en`) is read with the region most speakers of it live in.
 */
export function guessedPreferences(tag: string): Preferences {
  const region = regionOf(tag);
  if (!region) return USUAL_PREFERENCES;
  const customary = CUSTOMARY.includes(region);
  const currency = CURRENCY.get(region);
  return {
    ...USUAL_PREFERENCES,
    ...(customary ? ({ weights: 'oz', volumes: 'fl oz', lengths: 'in', temperatures: '°F' } as const) : {}),
    ...(currency ? { currency } : {}),
    paper: LETTER.includes(region) ? 'Letter' : 'A4',
    clock: TWELVE.includes(region) ? '12 h' : '24 h',
    weekStarts: weekStart(region)
  };
}

function weekStart(region: string): number {
  if (SATURDAY.includes(region)) return 6;
  return SUNDAY.includes(region) ? 0 : 1;
}

function regionOf(tag: string): string | undefined {
  try {
    return new Intl.Locale(tag).maximize().region;
  } catch {
    return undefined;
  }
}
