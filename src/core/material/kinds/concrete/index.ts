import { byCardTimes } from '../../../cure';
import { ok } from '../../../problem';
import { avoid, care, good, inItsOwnBase, madeFor, onlySurface } from '../../compatibility';
import { defineMaterial } from '../../define';
import { THINNING_TOLERANCE, WATER_CEMENT } from '../../tolerances';
import { cementOf, ConcreteCard, concreteFormula, concreteMaking, waterCementOf } from './card';
import { concreteCraft } from './craft';
import { starting } from './starting';

/** Concrete by absolute volumes, or a bagged mix. Limits, compatibility and words are usual practice of the trade. */
export const concrete = defineMaterial<ConcreteCard>({
  kind: 'concrete',
  name: 'concrete',
  heading: 'concrete',
  spoken: 'concrete',
  schema: ConcreteCard,
  fields: (card) => [
    // A bagged mix knows its own sand and water.
    ...(card.bag
      ? []
      : ([
          ['sand', 'Sand to one of cement', ''],
          ['waterCement', 'Water/cement', '']
        ] as const)),
    ['plasticiser', 'Plasticiser, of the cement', '%'],
    ['air', 'Air', '%']
  ],
  traits: [
    'marbles thick',
    'sands hard',
    'mineral',
    'no flame',
    'dries in air',
    'grips when late',
    'has pores'
  ],
  formula: (card) => ok(concreteFormula(card)),
  making: concreteMaking,
  behaviour: (card, joinedAt) =>
    byCardTimes(
      card,
      [
        { state: 'fluid', tell: 'levels when tapped' },
        { state: 'stiffening', tell: 'slumps, no longer levels' },
        { state: 'set', tell: 'carries a fingertip' }
      ],
      joinedAt
    ),
  carriesLayer: 'set',
  demould: { early: 'edges chip', late: 'it grips, and marks of the mould stay' },
  limits: {
    rest: { limit: 10, reason: 'more weakens the piece; past 6 % it hardly gets darker' },
    cup: { limit: 10, reason: 'the piece is weak' }
  },
  compatibility: {
    mica: onlySurface,
    'interference pearl': onlySurface,
    powder: good,
    paste: madeFor('resin'),
    ink: avoid('it fades in the alkali'),
    dispersion: good,
    botanical: care('weak and uneven'),
    glitter: onlySurface,
    'plastisol colour': madeFor('plastisol'),
    premix: inItsOwnBase
  },
  cautions: () => [
    'Wet cement is caustic: gloves and goggles; wash splashes off at once.',
    'Dry powder holds silica dust: respirator, and mix outdoors or with extraction.',
    'Nothing goes down the drain.'
  ],
  thinning: (card, grams) => ({
    liquid: grams('water'),
    solid: cementOf(card, grams),
    words: 'water to cement',
    most: THINNING_TOLERANCE,
    within: 'Plasticiser first; water weakens.',
    past: 'Plasticiser first; water weakens.'
  }),
  thinners: ['plasticiser', 'water'],
  overshoot: (card, { grams }) => {
    const wc = waterCementOf(card, grams);
    // Within the usual range too, a tenth more water than its card is another, weaker concrete.
    const wetter = wc !== undefined && wc > card.waterCement * (1 + 2 * THINNING_TOLERANCE);
    return {
      words: `water/cement ${wc?.toFixed(3) ?? '?'}`,
      harms: wetter || (wc !== undefined && wc > WATER_CEMENT.most)
    };
  },
  optics: {
    scatters: 5,
    shifts: {
      wet: { light: 0.8, chroma: 1.1, yellow: 0 },
      sealed: { light: 0.9, chroma: 1.12, yellow: 0 }
    }
  },
  mould: 'clean, with a thin coat of release',
  care: ['Acids mark it: lemon, vinegar, wine.'],
  lesson: { baseId: 'fine-concrete', block: { length: 90, width: 60, depth: 40 } },
  leftovers: { become: 'chips', share: 0.45 },
  starting,
  sealAfter: 7 * 1440,
  craft: concreteCraft,
  portionOff: (card, share) => {
    const wc = share * card.waterCement;
    const bears = share <= THINNING_TOLERANCE && card.waterCement + wc <= WATER_CEMENT.most;
    return bears ? undefined : { words: `ends ${wc.toFixed(3)} higher in water/cement` };
  }
});
