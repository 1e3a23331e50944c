import { DAY, RIM, act, line, pour, share, technique, upTo } from './technique';

/** The body with colour dropped in, few strokes, poured close and slowly from one place. */
export const speckedMarble = technique({
  id: 'specked-marble',
  name: 'Specked marble',
  about: 'a pale body with specks and veins',
  suits: ['gypsum', 'concrete', 'soap'],
  cups: ['the body', 'the specks', '…'],
  least: 2,
  learn: ['strokes in the cup', 'minutes at the pour', 'demould minute'],
  steps: ({ cups }) => [
    {
      act: pour('puddle', cups[0]!, upTo(0.94)),
      key: 'body',
      note: 'close and slowly from one place, or in small spirals'
    },
    ...cups.slice(1).map((cup, i) => ({
      act: pour('specks', cup, i === cups.length - 2 ? RIM : share(0.06 / (cups.length - 1)), {
        drops: 7 + 2 * i
      })
    })),
    {
      act: act('drag', {
        tool: 'skewer',
        path: line({ x: -0.7, y: 0 }, { x: 0.7, y: 0 }),
        depth: 'half',
        strokes: 4
      }),
      note: 'stop before it blends'
    },
    { act: act('tap', { minutes: 0.5 }) },
    { act: act('demould') },
    { act: act('air', { minutes: DAY }), note: 'air on all sides' }
  ]
});
