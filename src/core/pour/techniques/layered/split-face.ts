import { RIM, act, pour, share, technique } from '../technique';

/** A line across the face keeps two colours apart; both rise over it together. */
export const splitFace = technique({
  id: 'split-face',
  name: 'Split face',
  about: 'two colours side by side, a clean line between',
  look: 'layers',
  also: ['half and half', 'two halves', 'wax line'],
  suits: ['sands hard'],
  cups: ['one side', 'other side', 'the back'],
  least: 2,
  learn: ['which side was filled first', 'minutes of tapping'],
  steps: ({ cups, depth }) => {
    const height = Math.min(6, Math.max(1, Math.round(depth / 3)));
    // Half the ground each, up to nine tenths of the line.
    const each = share(Math.min(0.4, (0.9 * height) / depth / 2));
    return [
      { act: act('barrier', { height }) },
      {
        act: pour('puddle', cups[0]!, each, { at: { x: 0, y: 0.5 } }),
        note: 'up to the line, not over it'
      },
      {
        act: pour('puddle', cups[1]!, each, { at: { x: 0, y: -0.5 } }),
        note: 'to the line from the other side'
      },
      { act: pour('lay', cups[2] ?? cups[0]!, RIM), note: 'over both, from low' },
      { act: act('tap', { minutes: 1 }) },
      { act: act('demould') }
    ];
  }
});
