import { DAY, RIM, act, after, pour, share, technique } from '../technique';

/** A loaf poured, unmoulded, and a second small batch of its recipe piped onto it the next day: no rim limits the top. */
export const secondDayTop = technique({
  id: 'second-day-top',
  name: 'Second-day top',
  about: 'a high top on a firm loaf',
  look: 'layers',
  also: ['rosettes', 'two sittings', 'piped top', 'next day'],
  suits: ['goes by trace'],
  cups: ['the loaf', 'the top'],
  least: 2,
  pictured: 'cut',
  learn: ['how firm the loaf was', 'trace of the second batch'],
  steps: ({ cups, cutInto }) => [
    { act: pour('lay', cups[0]!, RIM) },
    { act: act('tap', { minutes: 0.5 }) },
    { act: act('spray', { times: 2, every: 10 }) },
    { act: act('demould') },
    {
      act: pour('top', cups[1]!, share(0.15), { how: 'piped' }),
      key: 'top',
      anew: 'top',
      note: 'on what is firm and dry to the touch, clear of the future cuts'
    },
    { act: act('spray', { times: 2, every: 10 }) },
    ...(cutInto > 1 ? [{ act: act('cut', { pieces: cutInto }), until: [after('top', DAY)] }] : [])
  ]
});
