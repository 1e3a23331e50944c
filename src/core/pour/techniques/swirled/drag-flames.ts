import { RIM, act, at, faceSide, line, pour, share, technique, until, wholeMm } from '../technique';

/** Cups at one thickness at one moment, laid side by side; a stick drags one into the other. */
export const dragFlames = technique({
  id: 'drag-flames',
  name: 'Drag flames',
  about: 'flames with long tapering tips',
  look: 'swirls',
  also: ['flames', 'combed', 'dragged tips'],
  suits: ['holds a line'],
  cups: ['laid side by side', '…'],
  least: 2,
  learn: ['when each cup was paste'],
  steps: ({ cups, ...of }) => [
    ...cups.map((cup, i) => ({
      act: pour('ribbon', cup, i === cups.length - 1 ? RIM : share(1 / cups.length), {
        path: line({ x: -0.9, y: -at(i, cups.length) }, { x: 0.9, y: -at(i, cups.length) }),
        how: 'drizzled',
        width: 12
      }),
      // All of them at one thickness at one moment: the first waits for every one.
      until: i ? [] : cups.map((c) => until('holds a line', c))
    })),
    {
      act: act('drag', {
        tool: 'stick',
        path: line({ x: 0, y: -0.62 }, { x: 0.06, y: 0.5 }),
        depth: 'full',
        width: wholeMm(faceSide(of) / 26),
        strokes: 7,
        apart: wholeMm(faceSide(of) / 8),
        strength: 0.8
      }),
      note: 'one way; wiped after every stroke'
    },
    { act: act('wait'), until: [until('firm')] },
    { act: act('demould') },
    { act: act('trim'), note: 'the outline; clean the pale saw line' }
  ]
});
