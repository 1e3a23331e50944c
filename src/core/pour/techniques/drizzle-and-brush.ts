import { RIM, act, after, line, pour, share, technique, until, upTo } from './technique';

/** Half the depth in clear; a drizzle of colours; the surface brushed once it has levelled; the back the next day. */
export const drizzleAndBrush = technique({
  id: 'drizzle-and-brush',
  name: 'Drizzle and brush',
  about: 'feathered colours under a clear face',
  suits: ['resin'],
  cups: ['clear', 'drizzles', '…'],
  least: 3,
  learn: ['minutes at the brush', 'share of white'],
  steps: ({ cups, apart }) => {
    const drizzles = cups.slice(1);
    return [
      { act: pour('lay', cups[0]!, upTo(0.5)), key: 'clear' },
      ...drizzles.map((cup, i) => ({
        act: pour('ribbon', cup, share(0.12 / drizzles.length), {
          path: line({ x: -0.8, y: 0.5 - i * 0.4 }, { x: 0.8, y: 0.3 - i * 0.4 }),
          how: 'drizzled'
        }),
        ...(i === drizzles.length - 1 ? { key: 'drizzled' } : {})
      })),
      {
        act: act('drag', {
          tool: 'brush',
          path: line({ x: -0.8, y: 0 }, { x: 0.8, y: 0 }),
          depth: 'surface',
          width: 12,
          strokes: 3
        }),
        until: [after('drizzled', 35)],
        note: 'only once it has levelled; only the surface'
      },
      { act: pour('lay', cups[0]!, RIM), until: [until(apart)], note: 'the back, from a fresh cup' },
      { act: act('demould') }
    ];
  }
});
