import { RIM, act, pour, share, technique } from '../technique';

/** Heavy white first; puddles into the middle from dark to bright; a little drawn out makes all move inward. */
export const puddleStack = technique({
  id: 'puddle-stack',
  name: 'Puddle stack',
  about: 'rings with lacing and cells',
  look: 'cells',
  also: ['lacing', 'lace', 'cells', 'drop swirl'],
  suits: ['runs thin'],
  cups: ['the white bed', 'puddles, dark to bright', '…'],
  least: 2,
  learn: ['minutes between puddles', 'what was withdrawn'],
  steps: ({ cups, capacity }) => {
    const puddles = cups.slice(1);
    const out = Math.max(0.5, Number((0.06 * capacity).toPrecision(2)));
    return [
      { act: pour('lay', cups[0]!, share(0.24)), key: 'bed', note: 'over the whole bottom; let it level' },
      ...puddles.map((cup, i) => ({
        act: pour('puddle', cup, i === puddles.length - 1 ? RIM : share(0.76 / puddles.length), {
          from: i % 2 ? 'high' : 'low'
        })
      })),
      { act: act('torch', { seconds: 3 }), note: 'briefly' },
      { act: act('withdraw', { ml: out }) },
      { act: act('wait', { minutes: 2 }), note: 'hands off' },
      { act: act('demould') }
    ];
  }
});
