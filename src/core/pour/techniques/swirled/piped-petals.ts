import { RIM, act, line, pour, ring, share, technique, until, upTo } from '../technique';

/** Rings of lines piped onto a bed that still takes them; a pick pulled inward from each ridge, then outward. */
export const pipedPetals = technique({
  id: 'piped-petals',
  name: 'Piped petals',
  about: 'a flower of rings, drawn to points',
  look: 'cells',
  also: ['flower', 'petals', 'mandala'],
  suits: ['holds a line'],
  cups: ['the bed', 'petals, in turn', '…'],
  least: 2,
  shows: 'open face',
  learn: ['both temperatures', 'minutes from the first to the last ring'],
  steps: ({ cups, capacity }) => {
    const petals = cups.slice(1);
    const rings = [0.8, 0.62, 0.44, 0.26];
    const each = 0.22 / rings.length;
    return [
      { act: pour('lay', cups[0]!, upTo(0.78)), key: 'bed' },
      ...rings.map((out, i) => ({
        act: pour('ribbon', petals[i % petals.length]!, i === rings.length - 1 ? RIM : share(each), {
          path: ring(out),
          how: 'piped',
          width: Math.max(2, Math.min(8, Math.round(Math.cbrt(capacity))))
        }),
        until: i ? [] : [until('stringy'), until('holds a line', petals[0]!)]
      })),
      {
        act: act('drag', {
          tool: 'needle',
          path: line({ x: 0, y: 0.9 }, { x: 0, y: 0.1 }, { round: 12 }),
          strokes: 12
        }),
        note: 'inward from each ridge'
      },
      {
        act: act('drag', {
          tool: 'needle',
          path: line({ x: 0.03, y: 0.15 }, { x: 0.23, y: 0.86 }, { round: 12 }),
          strokes: 12
        }),
        note: 'outward, between'
      },
      { act: act('blow', { seconds: 4 }) },
      { act: act('demould') }
    ];
  }
});
