import {
  RIM,
  act,
  after,
  faceSide,
  line,
  pour,
  share,
  technique,
  until,
  upTo,
  wander,
  wholeMm
} from '../technique';

/** Half the depth in clear; a drizzle of colours; the surface brushed once it has levelled; the back the next day. */
export const drizzleAndBrush = technique({
  id: 'drizzle-and-brush',
  name: 'Drizzle and brush',
  about: 'feathered colours under a clear face',
  look: 'swirls',
  also: ['feathers', 'brushed', 'strings'],
  suits: ['runs thin', 'cures clear'],
  cups: ['clear', 'drizzles', '…'],
  clear: [0],
  least: 3,
  learn: ['minutes at the brush', 'share of white'],
  steps: ({ cups, apart, ...of }) => {
    const drizzles = cups.slice(1);
    return [
      { act: pour('lay', cups[0]!, upTo(0.5)), key: 'clear' },
      ...drizzles.map((cup, i) => ({
        act: pour('ribbon', cup, share(0.12 / drizzles.length), {
          path: { points: wander(0.45 - (0.9 * i) / Math.max(1, drizzles.length - 1), i) },
          width: wholeMm(faceSide(of) / 28),
          how: 'drizzled'
        }),
        ...(i === drizzles.length - 1 ? { key: 'drizzled' } : {})
      })),
      {
        act: act('drag', {
          tool: 'brush',
          path: line({ x: -0.6, y: -0.5 }, { x: 0.55, y: 0.5 }),
          apart: wholeMm(faceSide(of) / 6),
          depth: 'surface',
          width: wholeMm(faceSide(of) / 10),
          strokes: 3
        }),
        until: [after('drizzled', 35)],
        note: 'only once it has levelled; only the surface'
      },
      {
        act: pour('lay', cups[0]!, RIM),
        until: [until(apart)],
        anew: 'back',
        note: 'the back, from a fresh cup'
      },
      { act: act('demould') }
    ];
  }
});
