import { RIM, act, pour, technique } from '../technique';

/** Dry mica on a glossy mould, details first, then zones with fades, then the body behind. */
export const dustedFace = technique({
  id: 'dusted-face',
  name: 'Dusted face',
  about: 'a face of mica over a dark body',
  look: 'set in',
  also: ['mica face', 'powdered mould'],
  suits: ['takes the gloss'],
  cups: ['the dark body'],
  least: 1,
  learn: ['room temperature', 'minutes at demould'],
  steps: ({ cups, zones }) => [
    {
      act: act('dust', { over: 'the raised parts', cover: 1, wiped: 'from the raised parts' }),
      note: 'details first: what touches the mould shows'
    },
    ...(zones.length
      ? zones.map((z) => ({ act: act('dust', { over: 'a zone', zone: z.id, fade: 'outward' }) }))
      : [{ act: act('dust', { over: 'all of it', fade: 'to the right', cover: 0.7 }) }]),
    { act: act('dust', { over: 'all of it', cover: 0.9 }), note: 'the back coat' },
    { act: pour('puddle', cups[0]!, RIM), note: 'gently: loose dust floats to the back' },
    { act: act('demould') },
    { act: act('trim') }
  ]
});
