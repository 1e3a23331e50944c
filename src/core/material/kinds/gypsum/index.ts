import { byCardTimes } from '../../../cure';
import { ok } from '../../../problem';
import { avoid, care, good, inItsOwnBase, madeFor, onlySurface } from '../../compatibility';
import { defineMaterial } from '../../define';
import { RATIO_TOLERANCE, THINNING_TOLERANCE } from '../../tolerances';
import { gypsumFormula, GypsumCard } from './card';
import { starting } from './starting';

/** Acrylic gypsum and casting powders. Limits, compatibility and words are usual practice of the trade; the sheet wins. */
export const gypsum = defineMaterial<GypsumCard>({
  kind: 'gypsum',
  name: 'jesmonite or casting powder',
  heading: 'jesmonite',
  spoken: 'acrylic gypsum',
  schema: GypsumCard,
  fields: () => [
    ['liquid', 'Liquid, parts by weight', ''],
    ['powder', 'Powder, parts by weight', ''],
    ['density', 'Density, g/ml', '']
  ],
  traits: [
    'flows round a post',
    'marbles thick',
    'sets in bands',
    'sands hard',
    'mineral',
    'no flame',
    'dries in air',
    'grips when late',
    'has pores'
  ],
  formula: (card) => ok(gypsumFormula(card)),
  making: () => ({ clockPart: 'powder' }),
  behaviour: (card, joinedAt) =>
    byCardTimes(
      card,
      [
        { state: 'creamy', tell: 'pours like cream' },
        { state: 'stiffening', tell: 'drops hold for a moment' },
        { state: 'set', tell: 'the sheen is gone; a fingertip leaves no mark' }
      ],
      joinedAt
    ),
  carriesLayer: 'set',
  demould: { early: 'thin parts snap', late: 'it sweats, grips and snaps' },
  limits: {
    rest: { limit: 2, reason: 'more weakens the piece' },
    cup: { limit: 2, reason: 'the piece is weak' }
  },
  compatibility: {
    mica: care('pale in a white body'),
    'interference pearl': avoid('nothing of it shows in a white body'),
    powder: care('weakens past 2 %'),
    paste: madeFor('resin'),
    ink: avoid('it fades and blooms'),
    dispersion: good,
    botanical: care('weak and uneven'),
    glitter: onlySurface,
    'plastisol colour': madeFor('plastisol'),
    premix: inItsOwnBase
  },
  cautions: () => [
    'Powder dust: wear a mask until it is wet.',
    'It warms as it sets: never cast round a part of the body.'
  ],
  thinning: (_, grams) => ({
    liquid: grams('liquid'),
    solid: grams('powder'),
    words: 'liquid to powder',
    most: THINNING_TOLERANCE,
    within: 'A piece stands that.',
    past: 'Past 5 % the piece is weak and chalks: mix fresh instead.'
  }),
  thinners: ['liquid'],
  overshoot: (_, { grams, off, formula }) => {
    const ratio = grams('powder') / grams('liquid');
    const share = (key: string) => formula.parts.find((p) => p.key === key)?.share ?? 0;
    const meant = share('powder') / share('liquid');
    const words = ratio < meant ? 'wetter: weaker, and slower to set' : 'drier: thicker, and quicker to set';
    return {
      words: `1 : ${ratio.toFixed(2)} instead of 1 : ${meant.toFixed(2)}, ${words}`,
      harms: off > RATIO_TOLERANCE
    };
  },
  optics: {
    scatters: 4,
    shifts: {
      wet: { light: 0.88, chroma: 1.08, yellow: 0 },
      sealed: { light: 0.95, chroma: 1.08, yellow: 0 }
    }
  },
  mould: 'clean and dry, with release where it is not rubber',
  care: ['Wipe it dry; keep standing water from it. Not for food unless it was tested and sealed for that.'],
  lesson: { baseId: 'acrylic-gypsum', block: { length: 60, width: 40, depth: 20 } },
  leftovers: { become: 'chips', share: 0.45 },
  starting,
  sealAfter: 1440,
  portionOff: (_, share) =>
    share <= THINNING_TOLERANCE
      ? undefined
      : { words: `ends with ${(share * 100).toFixed(1)} % more liquid: weaker, and it chalks` },
  craft: (_, { joinings }) => ({
    facts: joinings.flatMap((j) => {
      const [liquid, powder] = [j.held('liquid'), j.held('powder')];
      return liquid > 0
        ? [{ label: `liquid : powder, ${j.name}`, value: `1 : ${(powder / liquid).toFixed(2)}` }]
        : [];
    }),
    problems: []
  })
});
