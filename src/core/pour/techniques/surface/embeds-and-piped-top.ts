import { DAY, RIM, act, after, outOfMould, pour, technique, until, upTo } from '../technique';

/** Dark body poured softly over embeds; a second small batch piped on top the next day. */
export const embedsAndPipedTop = technique({
  id: 'embeds-and-piped-top',
  name: 'Embeds and a piped top',
  about: 'seeds in the body, rosettes on top',
  look: 'set in',
  also: ['rosettes', 'piping', 'frosting'],
  suits: ['goes by trace'],
  cups: ['the body', 'the top'],
  least: 2,
  pictured: 'open face',
  learn: ['trace', 'how deep the embeds sat', 'their spacing'],
  steps: ({ cups, embeds, cutInto }) => {
    const seeds = act('place', {
      pieces: Math.max(2, cutInto),
      ...(embeds[0] ? { embedId: embeds[0].id } : { what: 'embeds' })
    });
    return [
      {
        act: pour('lay', cups[0]!, upTo(0.35)),
        until: [until('medium trace', cups[0]!)],
        note: 'thick enough to carry the embeds'
      },
      { act: seeds, note: 'between the future cuts' },
      { act: pour('lay', cups[0]!, upTo(0.7)), note: 'softly, over a spatula' },
      { act: seeds, note: 'between the future cuts' },
      { act: pour('lay', cups[0]!, upTo(0.85)), key: 'body' },
      {
        act: pour('top', cups[1]!, RIM, { how: 'piped' }),
        until: [after('body', DAY)],
        anew: 'top',
        note: 'from a second small batch, from the ends to the middle'
      },
      { act: act('demould') },
      ...(cutInto > 1 ? [{ act: act('cut', { pieces: cutInto }), until: [outOfMould(DAY)] }] : [])
    ];
  }
});
