import { DAY, RIM, act, pour, technique } from '../technique';

/** Of the pour, all specks together: more turns grey, less is lost. */
const SPECKS = 0.08;

/** Colour dropped into the body's own cup, few strokes, poured close and slowly from one place. */
export const speckedMarble = technique({
  id: 'specked-marble',
  name: 'Specked marble',
  about: 'a pale body with specks and veins',
  look: 'stone',
  also: ['marble', 'veins', 'freckles'],
  suits: ['marbles thick'],
  cups: ['the body', 'the specks', '…'],
  least: 2,
  composite: (count) => ({
    of: Array.from({ length: count }, (_, i) => i),
    shares: Array.from({ length: count }, (_, i) => (i ? SPECKS / (count - 1) : 1 - SPECKS)),
    mixing: 'marbled'
  }),
  learn: ['strokes in the cup', 'minutes at the pour', 'demould minute'],
  steps: ({ cups }) => [
    {
      act: pour('puddle', cups[0]!, RIM),
      key: 'body',
      note: 'Pick up a little dark mix and draw 3 to 6 strokes in the cup. Then pour slowly from one spot.'
    },
    { act: act('tap', { minutes: 0.5 }) },
    { act: act('demould') },
    { act: act('air', { minutes: DAY }), note: 'air on all sides' }
  ]
});
