import { materials } from '../../../material';
import { RIM, act, pour, technique } from '../technique';

/** One colour with its pearl, poured close, vibrated or torched for bubbles. */
export const solidWithPearl = technique({
  id: 'solid-with-pearl',
  name: 'Solid with pearl',
  about: 'one colour with a sheen',
  look: 'layers',
  also: ['one colour', 'shimmer', 'plain'],
  suits: [],
  cups: ['the colour'],
  least: 1,
  learn: ['what it weighed'],
  steps: ({ cups, material }) => [
    { act: pour('lay', cups[0]!, RIM) },
    {
      act: materials.has(material, 'may be flamed')
        ? act('torch', { seconds: 4 })
        : act('tap', { minutes: 1 })
    },
    { act: act('demould') }
  ]
});
