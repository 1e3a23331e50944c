import { RIM, act, outOfMould, pour, technique } from '../technique';

/** Colours into one jug at its corners and its middle; the jug is poured along a path from low. */
export const cupSwirl = technique({
  id: 'cup-swirl',
  name: 'Cup swirl',
  about: 'ribbons that turn into one another',
  look: 'swirls',
  also: ['in-the-pot swirl', 'jug swirl', 'ribbons'],
  suits: ['swirls fluid'],
  cups: ['into the jug', '…'],
  least: 2,
  composite: (count) => ({ of: Array.from({ length: count }, (_, i) => i) }),
  learn: ['trace of each at the pour'],
  steps: ({ cups, cutInto }) => [
    { act: pour('swirl', cups[0]!, RIM), note: 'from low, without stirring' },
    { act: act('tap', { minutes: 0.5 }), note: 'tap to settle it' },
    { act: act('spray'), note: 'the surface' },
    { act: act('demould') },
    ...(cutInto > 1 ? [{ act: act('cut', { pieces: cutInto }), until: [outOfMould(30)] }] : [])
  ]
});
