import { byCardTimes } from '../../../cure';
import { avoid, care, good, inItsOwnBase, madeFor } from '../../compatibility';
import { defineMaterial } from '../../define';
import { meltedFormula, meltedMaking, MELTED_FIELDS, type Heating } from '../../melted';
import { RATIO_TOLERANCE } from '../../tolerances';
import { MeltAndPourCard } from './card';
import { starting } from './starting';

/** Minutes: usual practice for a cup of some 100 g in short bursts; a bath melts several beside each other. */
const MELTING: Heating = {
  act: 'Melt',
  how: 'cut small, covered, in short bursts or in a water bath, without a boil',
  attended: 1,
  unattended: 0
};

/** Melt-and-pour soap. Limits, compatibility and words are usual practice of the trade; the tub's own sheet wins. */
export const meltAndPour = defineMaterial<MeltAndPourCard>({
  kind: 'melt and pour',
  name: 'melt-and-pour soap',
  heading: 'soap, melt and pour',
  spoken: 'melt and pour',
  schema: MeltAndPourCard,
  fields: () => MELTED_FIELDS,
  traits: [
    'cures clear',
    'swirls fluid',
    'is cut in bars',
    'melts again',
    'sets by cooling',
    'draws in the sprue',
    'skins over',
    'no flame',
    'wants wet colour'
  ],
  formula: (card) => meltedFormula(card, 'melted soap base'),
  making: (card) => meltedMaking(card, 'soap base', MELTING),
  behaviour: (card, joinedAt) =>
    byCardTimes(
      card,
      [
        { state: 'fluid', tell: 'hot and thin' },
        { state: 'skinning', tell: 'a skin begins at the edge' },
        { state: 'skinned', tell: 'a skin all over carries a spray and the next layer' }
      ],
      joinedAt,
      true
    ),
  carriesLayer: 'skinned',
  demould: { early: 'it dents', late: 'it sweats' },
  limits: {
    rest: { limit: 1, reason: 'more sinks and rubs off' },
    cup: { limit: 1.5, reason: 'colour sinks and rubs off' }
  },
  compatibility: {
    mica: good,
    'interference pearl': care('faint in an opaque body'),
    powder: care('disperse it first'),
    paste: madeFor('resin'),
    ink: avoid('alcohol upsets the base and it fades'),
    dispersion: good,
    botanical: care('browns'),
    glitter: care('on the top only'),
    'plastisol colour': madeFor('plastisol'),
    premix: inItsOwnBase
  },
  cautions: () => ['Hot base scalds: melt gently and keep children away.', 'No flame on soap.'],
  thinners: [],
  overshoot: (_, { off }) => ({
    words: 'its parts stay in the proportions they are in',
    harms: off > RATIO_TOLERANCE
  }),
  optics: { scatters: 0.5, shifts: { aged: { light: 0.99, chroma: 0.98, yellow: 2 } } },
  mould: 'clean and dry',
  care: ['For the skin; keep it wrapped until it is used.'],
  lesson: { baseId: 'clear-melt', block: { length: 90, width: 60, depth: 40 } },
  leftovers: { become: 'remelt', share: 0.5 },
  starting,
  heat: (card) => ({ to: card.heatTo, neverPast: card.neverPast })
});
