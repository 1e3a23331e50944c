import { DAY, RIM, act, outOfMould, pour, technique } from '../technique';

/** Two bases, each with a few drops of the other’s opposite, poured at once; a day under pressure. */
export const doubleDirtyPour = technique({
  id: 'double-dirty-pour',
  name: 'Double dirty pour',
  about: 'black and white that break into one another',
  look: 'cells',
  also: ['two cups', 'black and white', 'marble'],
  suits: ['runs thin', 'swirls fluid'],
  cups: ['white with dark drops', 'black with clumping white'],
  least: 2,
  learn: ['what each mould took', 'minutes at the pour'],
  steps: ({ cups }) => [
    { act: pour('together', cups[0]!, RIM, { withId: cups[1]!, streams: 'from two sides' }) },
    { act: act('tilt', { degrees: 25, minutes: 1 }), note: 'once round, so that each runs into the other' },
    { act: act('torch', { seconds: 3 }) },
    { act: act('pressure', { bar: 3, minutes: DAY }) },
    { act: act('demould') },
    {
      act: act('sand', { grits: [240, 400, 800] }),
      until: [outOfMould(2 * DAY)],
      note: 'only the flashed faces'
    },
    { act: act('ink') }
  ]
});
