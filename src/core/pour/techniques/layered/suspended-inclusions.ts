import { RIM, act, pour, technique, until, upTo } from '../technique';

/** A tack layer, the pieces pressed in face first, a second clear over them, a colour behind. */
export const suspendedInclusions = technique({
  id: 'suspended-inclusions',
  name: 'Suspended inclusions',
  about: 'things that float in clear',
  look: 'set in',
  also: ['flowers', 'things in clear', 'embedded'],
  suits: ['runs thin', 'cures clear'],
  cups: ['clear', 'the back'],
  clear: [0],
  least: 1,
  pictured: 'cut',
  learn: ['what floated or drifted'],
  steps: ({ cups, apart, embeds, depth }) => [
    { act: pour('lay', cups[0]!, upTo(0.3)), key: 'tack' },
    {
      act: act('place', {
        pieces: Math.max(1, embeds.length),
        ...(embeds[0] ? { embedId: embeds[0].id } : { what: 'pieces' }),
        pressed: Math.min(2, Math.round(depth / 10))
      }),
      until: [until('holds a line')],
      note: 'from the middle, face first, so that no air stays under'
    },
    {
      act: pour('lay', cups[0]!, cups.length > 1 ? upTo(0.8) : RIM),
      until: [until(apart)],
      anew: 'cover',
      note: 'covers them'
    },
    ...(cups.length > 1 ? [{ act: pour('lay', cups[1]!, RIM), until: [until(apart)], anew: 'back' }] : []),
    { act: act('demould') },
    { act: act('trim') }
  ]
});
