import { DAY, RIM, act, line, pour, share, technique, upTo } from './technique';

/** Regions traced over a picture: base to a proud meniscus, dark zones, dabs worked in, light over dark. */
export const regionInlay = technique({
  id: 'region-inlay',
  name: 'Region inlay',
  about: 'a picture in soft-edged regions',
  suits: ['resin'],
  cups: ['the base colour', 'dark zones', 'light features', '…'],
  least: 2,
  learn: ['minutes at each zone', 'days to milling'],
  steps: ({ cups }) => {
    const zones = cups.slice(1);
    return [
      { act: pour('lay', cups[0]!, upTo(0.8)), key: 'base' },
      ...zones.map((cup, i) => ({
        act: pour('puddle', cup, i === zones.length - 1 ? RIM : share(0.2 / zones.length), {
          at: { x: -0.5 + (i * 1) / Math.max(1, zones.length - 1), y: 0 }
        }),
        note: i ? 'light over dark, along the grain of the picture' : 'the dark zones'
      })),
      {
        act: act('drag', {
          tool: 'needle',
          path: line({ x: -0.6, y: 0 }, { x: 0.6, y: 0 }),
          strokes: 8,
          strength: 0.3
        }),
        note: 'worked in locally, within forty minutes of the base'
      },
      { act: act('cure', { minutes: 3 * DAY }) },
      { act: act('mill', { depth: 1 }), note: 'what shows is the depth that the mill leaves' },
      { act: act('sand') }
    ];
  }
});
