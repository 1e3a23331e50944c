import { RIM, act, pour, technique } from '../technique';

/** A thin pale coat over the raised detail with the mould tilted, then tapping, then the body. */
export const detailCoat = technique({
  id: 'detail-coat',
  name: 'Detail coat',
  about: 'a raised detail in its own colour',
  look: 'set in',
  also: ['first coat', 'lettering', 'logo'],
  suits: ['mineral'],
  cups: ['the coat', 'the body'],
  least: 2,
  learn: ['minutes of tapping by zone', 'grams of rewetting'],
  steps: ({ cups, zones }) => [
    {
      act: pour(
        'coat',
        cups[0]!,
        { kind: 'deep', mm: 3 },
        zones[0] ? { zone: zones[0].id, aside: 2 } : { aside: 2 }
      )
    },
    { act: act('tap', { minutes: 3, ...(zones[0] ? { zone: zones[0].id } : {}) }) },
    { act: pour('lay', cups[1]!, RIM) },
    { act: act('vibrate', { minutes: 2 }) },
    { act: act('demould') }
  ]
});
