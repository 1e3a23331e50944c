import { DAY, RIM, act, outOfMould, pour, technique } from '../technique';

/** Chips in a body of the same material, pressed to the face, wet sanded through the grits, sealed. */
export const terrazzo = technique({
  id: 'terrazzo',
  name: 'Terrazzo',
  about: 'chips in a body, ground flat',
  look: 'stone',
  also: ['chips', 'offcuts', 'ground flat'],
  suits: ['sands hard'],
  cups: ['the body with its chips'],
  least: 1,
  // 35 to 55 % is usual.
  chips: 45,
  learn: ['share of chips', 'grits'],
  steps: ({ cups, dries }) => [
    { act: pour('lay', cups[0]!, RIM), note: 'chips pressed to the face' },
    { act: act('tap', { minutes: 1.5 }) },
    { act: act('demould') },
    { act: act('sand', { grits: [120, 240, 400, 800, 1500] }), until: [outOfMould(DAY)] },
    { act: act('air', { minutes: Math.max(DAY, dries) }) },
    { act: act('seal') }
  ]
});
