import { RIM, act, at, line, pour, share, technique, until } from './technique';

/** Cups at one thickness at one moment, laid side by side; a stick drags one into the other. */
export const dragFlames = technique({
  id: 'drag-flames',
  name: 'Drag flames',
  about: 'flames with long tapering tips',
  suits: ['resin'],
  cups: ['laid side by side', '…'],
  least: 2,
  learn: ['when each cup was paste'],
  steps: ({ cups }) => [
    ...cups.map((cup, i) => ({
      act: pour('ribbon', cup, i === cups.length - 1 ? RIM : share(1 / cups.length), {
        path: line({ x: -0.9, y: at(i, cups.length) }, { x: 0.9, y: at(i, cups.length) }),
        how: 'drizzled',
        width: 12
      }),
      until: [until('holds a line', cup)]
    })),
    {
      act: act('drag', {
        tool: 'stick',
        path: line({ x: -0.6, y: 0.9 }, { x: -0.4, y: -0.9 }, {}),
        depth: 'full',
        width: 5,
        strokes: 5,
        strength: 0.8
      }),
      note: 'one way; wiped after every stroke'
    },
    { act: act('wait'), until: [until('firm')] },
    { act: act('demould') },
    { act: act('trim'), note: 'the outline; clean the pale saw line' }
  ]
});
