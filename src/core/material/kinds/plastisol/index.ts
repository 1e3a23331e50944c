import { byCardTimes } from '../../../cure';
import { avoid, care, good, ifHeatProof, inItsOwnBase, madeFor } from '../../compatibility';
import { defineMaterial } from '../../define';
import { meltedFormula, meltedMaking, MELTED_FIELDS, shotsFor, type Heating } from '../../melted';
import { RATIO_TOLERANCE } from '../../tolerances';
import { PlastisolCard } from './card';
import { plastisolCraft } from './craft';
import { starting } from './starting';

/** Minutes: usual practice for a cup of some 100 g in an oven for nothing else. */
const HEATING: Heating = {
  act: 'Heat',
  how: 'a little at a time, stirred between, until it is thin and glossy; heat-proof gloves, fumes drawn off',
  attended: 3,
  unattended: 0
};

/** Plastisol, poured or injected hot. Limits, compatibility and words are usual practice of the trade; the bottle wins. */
export const plastisol = defineMaterial<PlastisolCard>({
  kind: 'plastisol',
  name: 'plastisol',
  heading: 'plastisol',
  spoken: 'plastisol',
  schema: PlastisolCard,
  fields: () => MELTED_FIELDS,
  traits: [
    'injected hot',
    'melts again',
    'counts its heats',
    'sets by cooling',
    'draws in the sprue',
    'no flame',
    'wants wet colour',
    'grips when late'
  ],
  formula: (card) => meltedFormula(card, 'plastisol'),
  making: (card) => meltedMaking(card, 'plastisol', HEATING),
  behaviour: (card, joinedAt) =>
    byCardTimes(
      card,
      [
        { state: 'hot', tell: 'thin and glossy' },
        { state: 'thickening', tell: 'draws threads' },
        { state: 'set', tell: 'no longer dents' }
      ],
      joinedAt,
      true
    ),
  carriesLayer: 'set',
  demould: { early: 'it sticks and stretches', late: 'it grips the mould' },
  limits: {
    mica: { limit: 0.5, reason: 'more pearl yellows in the heat' },
    'interference pearl': { limit: 0.5, reason: 'more pearl yellows in the heat' },
    rest: { limit: 3, reason: 'more weakens and bleeds' },
    cup: { limit: 3, reason: 'the piece is weak and bleeds' }
  },
  compatibility: {
    mica: ifHeatProof,
    'interference pearl': ifHeatProof,
    powder: care('leaves grit unless milled'),
    paste: madeFor('resin'),
    ink: avoid('alcohol flashes in the heat'),
    dispersion: avoid('water in hot plastisol spits'),
    botanical: avoid('it chars'),
    glitter: ifHeatProof,
    'plastisol colour': good,
    premix: inItsOwnBase
  },
  cautions: () => [
    'Burns and fumes: outdoors or extracted, heat-proof gloves, face shield.',
    'No water anywhere near hot plastisol: it spits.',
    'Never past the limit on the card: it scorches, yellows and fumes.'
  ],
  thinners: [],
  overshoot: (_, { off }) => ({
    words: 'its parts stay in the proportions they are in',
    harms: off > RATIO_TOLERANCE
  }),
  optics: { scatters: 0.05, shifts: { aged: { light: 0.98, chroma: 1, yellow: 2 } } },
  mould: 'dry to the last drop, warm, with no water near',
  care: ['Not a toy for small children. Keep it from heat and from varnished wood.'],
  lesson: { baseId: 'soft-plastisol', block: { length: 60, width: 40, depth: 20 } },
  leftovers: { become: 'remelt', share: 0.3 },
  starting,
  heat: (card) => ({ to: card.heatTo, neverPast: card.neverPast }),
  // An injector loses its sprue with every shot, and what its nozzle holds with every filling.
  losses: ({ injector, density }) => injector && { cling: injector.sprue, vessel: injector.dead * density },
  shots: ({ injector }, ml, cavities) => injector && shotsFor(injector, ml, cavities),
  craft: plastisolCraft
});
