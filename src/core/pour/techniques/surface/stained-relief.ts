import { DAY, HOUR, RIM, act, outOfMould, pour, technique } from '../technique';

/** Cast pale; metallic pigment in water sprayed and wiped from the peaks; dried a week, then sealed. */
export const stainedRelief = technique({
  id: 'stained-relief',
  name: 'Stained relief',
  about: 'colour that stays in the hollows',
  look: 'set in',
  also: ['antique', 'patina', 'hollows'],
  suits: ['mineral'],
  cups: ['the pale body'],
  least: 1,
  learn: ['days to the seal', 'water added'],
  steps: ({ cups }) => [
    { act: pour('lay', cups[0]!, RIM) },
    { act: act('vibrate', { minutes: 2 }) },
    { act: act('demould') },
    { act: act('stain'), until: [outOfMould(HOUR)] },
    {
      act: act('air', { minutes: 7 * DAY }),
      key: 'dry',
      note: 'a week at least; no rain and no rubbing before the seal'
    },
    { act: act('seal'), note: 'gloss or matted; it deepens the colour' }
  ]
});
