import { byCardTimes } from '../../../cure';
import { avoid, care, good, inItsOwnBase, madeFor } from '../../compatibility';
import { defineMaterial } from '../../define';
import { SUPERFAT_TOLERANCE } from '../../tolerances';
import { scentIn, settingFat, SoapCard, soapFormula, soapMaking, superfatOf } from './card';
import { soapCraft } from './craft';
import { scentPace, soapPaces, sugarsOf, whitePaces } from './paces';
import { starting } from './starting';

/** So much more of the fat unsaponified than its card wants leaves a bar soft and greasy; a starting figure. */
const FAT_FELT = 0.05;

/** Cold-process soap. Limits, compatibility and words are usual practice of the trade; each oil's own sheet wins. */
export const coldSoap = defineMaterial<SoapCard>({
  kind: 'soap',
  name: 'cold-process soap',
  heading: 'soap, cold process',
  spoken: 'soap',
  schema: SoapCard,
  fields: () => [
    ['superfat', 'Superfat', '%'],
    ['lyePurity', 'Lye purity', '%'],
    ['lyeConcentration', 'Lye concentration', '%'],
    ['fragrance', 'Fragrance, of the oils', '%'],
    ['density', 'Density, g/ml', '']
  ],
  traits: [
    'swirls fluid',
    'flows round a post',
    'goes by trace',
    'is cut in bars',
    'marbles thick',
    'sets in bands',
    'no flame',
    'wants wet colour',
    'dries in air',
    'ashes',
    'yellows and shrinks'
  ],
  formula: soapFormula,
  making: soapMaking,
  behaviour: (card, joinedAt) =>
    byCardTimes(
      card,
      [
        { state: 'light trace', tell: 'a drizzle sinks back' },
        { state: 'medium trace', tell: 'a drizzle stays on top' },
        { state: 'thick trace', tell: 'stands like pudding; carries a layer' }
      ],
      joinedAt
    ),
  carriesLayer: 'thick trace',
  demould: { early: 'it tears and dents', late: 'it grips and marks' },
  limits: {
    mica: { limit: 3, reason: 'more rubs off' },
    botanical: { limit: 1.5, reason: 'more bleeds into the lather' },
    rest: { limit: 2, reason: 'more thickens the batter and colours the lather' },
    cup: { limit: 4, reason: 'colour comes off in the lather' }
  },
  compatibility: {
    mica: good,
    'interference pearl': care('faint in an opaque body'),
    powder: care('disperse it in a little oil first'),
    paste: madeFor('resin'),
    ink: avoid('alcohol upsets the batter and it fades'),
    dispersion: good,
    botanical: good,
    glitter: care('on the top only'),
    'plastisol colour': madeFor('plastisol'),
    premix: inItsOwnBase
  },
  cautions: () => [
    'Lye burns: goggles, gloves, long sleeves. Lye into water, never water into lye; never in aluminium.',
    'On skin, water is first aid; vinegar is not.',
    'Soap for the skin: keep fragrance within its supplier’s and local limits.'
  ],
  thinners: ['water'],
  overshoot: (card, { grams }) => {
    const superfat = superfatOf(card, grams);
    const words = `superfat ${(superfat * 100).toFixed(1)} %${superfat < 0 ? ': lye is left over, it burns skin' : ''}`;
    return { words, harms: superfat < 0, felt: superfat > card.superfat + FAT_FELT };
  },
  optics: {
    scatters: 1,
    shifts: {
      wet: { light: 0.97, chroma: 1.04, yellow: 1 },
      aged: { light: 0.99, chroma: 0.97, yellow: 4 }
    }
  },
  mould: 'clean and dry, lined where it is rigid',
  care: ['For the skin; keep it dry between uses. Its ingredients are on the label.'],
  lesson: { baseId: 'bar-soap', block: { length: 90, width: 60, depth: 40 } },
  leftovers: undefined,
  starting,
  paces: soapPaces,
  fragrance: ({ fragrance, fragranceIs = 'calm' }) =>
    fragrance > 0 && fragranceIs !== 'calm' ? { known: fragranceIs, share: fragrance } : undefined,
  scent: {
    without: (card) => ({ ...card, fragrance: 0 }),
    usual: ({ fragrance, fragranceIs = 'calm' }) => ({ share: fragrance, is: fragranceIs }),
    shareIn: scentIn,
    // Fragrance and essential oils: 0.85 to 1.05 g/ml, typically.
    density: 0.95,
    pace: scentPace
  },
  sugars: sugarsOf,
  setsIn: settingFat,
  whitePaces,
  craft: soapCraft,
  roundedOff: (card, held) => {
    const superfat = superfatOf(card, held);
    if (Math.abs(superfat - card.superfat) <= SUPERFAT_TOLERANCE) return undefined;
    return {
      level: superfat < 0 ? 'stop' : 'warn',
      words: `the superfat is ${(superfat * 100).toFixed(1)} %, not ${(card.superfat * 100).toFixed(1)} %`
    };
  }
});
