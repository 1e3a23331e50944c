import { duration } from '../../../quantity';
import { defineAct } from '../../define';
import { quantity, zone, type ActOf } from '../../fields';

/** The mould is tapped so that air rises, a zone of it or all. */
const fields = {
  minutes: quantity('For', 'min', 1, { min: 0.1, max: 60 }),
  zone: zone()
};
export type Tap = ActOf<'tap', typeof fields>;

export const tap = defineAct({
  kind: 'tap',
  name: 'tap',
  group: 'wait',
  fields,
  also: ['knock', 'bubbles', 'bang'],
  keeps: (act) => act.minutes,
  traits: ['loosens'],
  words: (act, { cavities, part }) => ({
    title: `tap ${act.zone ? part(act.zone) : 'all round'}`,
    where: duration(act.minutes),
    act: 'Tap',
    rest: `${act.zone ? part(act.zone) : 'all round'} of ${cavities}, ${duration(act.minutes)}`,
    hint: 'short and even, on a firm board',
    confirm: 'Tapped'
  })
});
