import { HEART, RIM, act, pour, ring, share, technique, until, upTo } from '../technique';

/** Clear with a drawn heavy white that blooms by itself: upside-down hearts in rings, a thin ring, hands off. */
export const heartsBloom = technique({
  id: 'hearts-bloom',
  name: 'Hearts bloom',
  about: 'white hearts that open by themselves',
  look: 'cells',
  also: ['hearts', 'bloom', 'ring'],
  suits: ['runs thin', 'cures clear'],
  cups: ['clear', 'heavy white', 'glitter back'],
  clear: [0],
  least: 2,
  learn: ['share of white', 'minutes to the last heart'],
  steps: ({ cups, apart }) => [
    { act: pour('lay', cups[0]!, upTo(0.66)), key: 'clear' },
    {
      act: pour('ribbon', cups[1]!, share(0.015), {
        path: { points: HEART, closed: true, round: 5 },
        how: 'drawn thin',
        width: 1.5
      }),
      note: 'five large, upside down'
    },
    {
      act: pour('ribbon', cups[1]!, share(0.008), {
        path: { points: HEART.map(({ x, y }) => ({ x: x * 0.6, y: y * 0.75 })), closed: true, round: 5 },
        how: 'drawn thin',
        width: 1
      }),
      note: 'a smaller one under each'
    },
    { act: pour('ribbon', cups[1]!, share(0.006), { path: ring(0.9), how: 'drawn thin', width: 1 }) },
    { act: act('wait', { minutes: 10 }), note: 'hands off: it blooms by itself' },
    {
      act: pour('lay', cups[2] ?? cups[0]!, RIM),
      until: [until(apart)],
      anew: 'back',
      note: 'the next day, to the edge'
    },
    { act: act('demould') }
  ]
});
