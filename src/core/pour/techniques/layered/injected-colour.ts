import { RIM, act, pour, technique, until, upTo } from '../technique';

/** Heated, coloured thin, injected slowly into warm moulds, held, topped while it shrinks. */
export const injectedColour = technique({
  id: 'injected-colour',
  name: 'Injected colour',
  about: 'two colours from two shots',
  look: 'layers',
  also: ['two shots', 'dual injection'],
  suits: ['injected hot'],
  cups: ['first shot', 'second shot'],
  least: 1,
  learn: ['heats', 'cold first shots rejected'],
  steps: ({ cups }) => [
    {
      act: pour('lay', cups[0]!, cups.length > 1 ? upTo(0.5) : RIM),
      note: 'slow even pressure; reject the cold first shot'
    },
    { act: act('hold') },
    ...(cups.length > 1
      ? [
          {
            act: pour('lay', cups[1]!, RIM),
            until: [until('set')],
            note: 'the second shot'
          },
          { act: act('hold') }
        ]
      : []),
    { act: act('sprue') },
    { act: act('demould') },
    { act: act('trim'), note: 'the sprue' }
  ]
});
