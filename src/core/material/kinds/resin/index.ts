import { byCureModel } from '../../../cure';
import { avoid, care, good, inItsOwnBase, madeFor } from '../../compatibility';
import { defineMaterial } from '../../define';
import { RATIO_TOLERANCE } from '../../tolerances';
import { resinFormula, ResinCard } from './card';
import { starting } from './starting';

/** Two-part resin. Limits, compatibility and words are usual practice of the trade; the data sheet wins. */
export const resin = defineMaterial<ResinCard>({
  kind: 'resin',
  name: 'two-part resin',
  heading: 'resin',
  spoken: 'resin',
  schema: ResinCard,
  fields: () => [],
  traits: [
    'runs thin',
    'holds a line',
    'cures clear',
    'takes the gloss',
    'swirls fluid',
    'flows round a post',
    'sets in bands',
    'sands hard',
    'heats itself',
    'may be flamed',
    'wants wet colour'
  ],
  formula: resinFormula,
  making: () => ({ clockPart: 'B' }),
  behaviour: (card, joinedAt) => byCureModel(card.openMinutes, joinedAt),
  carriesLayer: 'gelled',
  demould: { early: 'fingerprints and a bent edge', late: 'it grips a tight mould' },
  limits: {
    paste: { limit: 6, reason: 'the carrier softens the cure' },
    mica: { limit: 5, reason: 'mica thickens the mix and settles' },
    'interference pearl': { limit: 5, reason: 'mica thickens the mix and settles' },
    ink: { limit: 1.5, reason: 'alcohol softens the cure' },
    dispersion: { limit: 1, reason: 'water clouds the resin and leaves it soft' },
    rest: { limit: 5, reason: 'dry powder thickens the mix and traps air' },
    cup: { limit: 6, reason: 'resin cures soft' }
  },
  compatibility: {
    mica: good,
    'interference pearl': care('shows over dark, nearly nothing over white'),
    powder: care('wet it out first, or it stays in specks'),
    paste: good,
    ink: care('no flame while it is wet; fades; softens past 1.5 %'),
    dispersion: avoid('water clouds it and it cures soft'),
    botanical: care('may trap air and brown'),
    glitter: care('sinks in fresh resin, sits on gelled'),
    'plastisol colour': madeFor('plastisol'),
    premix: inItsOwnBase
  },
  cautions: () => [
    'Resin is a sensitiser: nitrile gloves, no skin contact, fresh air; a respirator where the data sheet says.',
    'A full cup heats itself: do not leave mixed resin standing deep.',
    'Dust from sanding needs a mask and extraction.'
  ],
  thinners: [],
  overshoot: (_, { grams, off }) => {
    const ratio = `A : B 100 : ${((100 * grams('B')) / grams('A')).toFixed(1)} by weight`;
    return off > RATIO_TOLERANCE
      ? { words: `${ratio}: past 2 % it cures soft or sticky`, harms: true }
      : { words: `${ratio}: inside the 2 % that resin stands`, harms: false };
  },
  optics: { scatters: 0.004, shifts: { aged: { light: 0.99, chroma: 1, yellow: 2 } } },
  mould: 'clean, dry and free of dust',
  care: ['Keep it from heat and strong sun. Not for food.'],
  lesson: { baseId: 'clear-quick', block: { length: 60, width: 40, depth: 20 } },
  leftovers: { become: 'chips', share: 0.45 },
  starting,
  depthLimit: (card) => card.depthLimit,
  safeMass: (card) => card.safeMass,
  fullCureHours: (card) => card.fullCureHours
});
