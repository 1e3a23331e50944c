import { RIM, act, pour, technique } from '../technique';

/** Colours stacked in one cup and turned out in one go. */
export const dirtyCup = technique({
  id: 'dirty-cup',
  name: 'Dirty cup',
  about: 'cells and rings from one cup',
  look: 'cells',
  also: ['rings', 'stacked cup'],
  suits: ['runs thin', 'swirls fluid'],
  cups: ['stacked, the first at the bottom', '…'],
  least: 2,
  composite: (count) => ({ of: Array.from({ length: count }, (_, i) => i) }),
  learn: ['how long the cup stood', 'from how high'],
  steps: ({ cups }) => [
    {
      act: pour('swirl', cups[0]!, RIM, { path: { points: [{ x: 0, y: 0 }] }, from: 'high' }),
      note: 'in one go, into the middle'
    },
    { act: act('torch', { seconds: 3 }) },
    { act: act('tilt', { degrees: 15, minutes: 1 }) },
    { act: act('demould') }
  ]
});
