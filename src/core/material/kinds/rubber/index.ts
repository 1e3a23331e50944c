import { byCardTimes } from '../../../cure';
import { inhibitionCautions } from '../../../mould';
import { ok } from '../../../problem';
import { avoid, care, inItsOwnBase, madeFor } from '../../compatibility';
import { defineMaterial } from '../../define';
import { RATIO_TOLERANCE } from '../../tolerances';
import { RubberCard, rubberFormula } from './card';
import { starting } from './starting';

const toTellHalves = care('only to tell halves apart');

/** Rubber for moulds. Limits, compatibility and words are usual practice of the trade; the sheet in the box wins. */
export const rubber = defineMaterial<RubberCard>({
  kind: 'rubber',
  name: 'mould rubber',
  heading: 'rubber',
  spoken: 'rubber',
  schema: RubberCard,
  fields: () => [
    ['a', 'Part A, by weight', ''],
    ['b', 'Part B, by weight', ''],
    ['density', 'Density, g/ml', '']
  ],
  traits: ['makes moulds'],
  formula: (card) => ok(rubberFormula(card)),
  making: () => ({ clockPart: 'B' }),
  behaviour: (card, joinedAt) =>
    byCardTimes(
      card,
      [
        { state: 'fluid', tell: 'pours in a thin string' },
        { state: 'thickening', tell: 'the string breaks and lumps' },
        { state: 'set', tell: 'a gloved finger leaves no mark and does not stick' }
      ],
      joinedAt
    ),
  carriesLayer: 'set',
  demould: { early: 'it tears', late: 'it grips the master' },
  limits: {
    rest: { limit: 2, reason: 'more softens the mould and may rub off on pieces' },
    cup: { limit: 2, reason: 'the mould is soft' }
  },
  compatibility: {
    mica: toTellHalves,
    'interference pearl': toTellHalves,
    powder: toTellHalves,
    paste: care('its carrier may keep the rubber from curing'),
    ink: avoid('alcohol keeps it from curing'),
    dispersion: avoid('water keeps it from curing'),
    botanical: avoid('it may keep the rubber from curing'),
    glitter: avoid('it prints into every piece'),
    'plastisol colour': madeFor('plastisol'),
    premix: inItsOwnBase
  },
  cautions: (card) => [
    'Gloves and fresh air; keep it off clothes, it never washes out.',
    'Part B is an irritant in tin-cured rubbers: nitrile gloves and goggles.',
    ...inhibitionCautions(card.cure)
  ],
  thinners: [],
  overshoot: (_, { off }) => ({
    words: 'its parts stay in the proportions they are in',
    harms: off > RATIO_TOLERANCE
  }),
  optics: { scatters: 0.3, shifts: {} },
  mould: 'sealed, with release, and tight at the joints',
  care: [],
  lesson: undefined,
  leftovers: undefined,
  starting
});
