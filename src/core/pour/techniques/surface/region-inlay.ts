import { RIM, act, line, patch, pour, share, technique, upTo } from '../technique';

/** Regions traced over a picture: base to a proud meniscus, dark zones, dabs worked in, light over dark. */
export const regionInlay = technique({
  id: 'region-inlay',
  name: 'Region inlay',
  about: 'a picture in soft-edged regions',
  look: 'set in',
  also: ['picture', 'painting', 'landscape'],
  suits: ['runs thin'],
  cups: ['the ground colour', 'dark zones', 'light features', '…'],
  least: 2,
  shows: 'open face',
  learn: ['minutes at each zone', 'days to milling'],
  steps: ({ cups, cures }) => {
    const zones = cups.slice(1);
    return [
      { act: pour('lay', cups[0]!, upTo(0.8)), key: 'base' },
      ...zones.map((cup, i) => ({
        act: pour('region', cup, i === zones.length - 1 ? RIM : share(0.2 / zones.length), {
          outline: patch(i, zones.length)
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
        note: 'worked in locally, within forty minutes of the ground'
      },
      { act: act('cure', { minutes: cures }) },
      { act: act('mill', { depth: 1 }), note: 'what shows is the depth that the mill leaves' },
      { act: act('sand') }
    ];
  }
});
