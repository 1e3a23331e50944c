import { duration } from '../../../quantity';
import { defineAct } from '../../define';
import { maybe, minutes, type ActOf } from '../../fields';

/** Nothing is done: minutes pass, or the gates on the step open. */
const fields = { minutes: maybe(minutes('How long', 10)) };
export type Wait = ActOf<'wait', typeof fields>;

export const wait = defineAct({
  kind: 'wait',
  name: 'wait',
  group: 'wait',
  fields,
  also: ['hands off', 'leave', 'gate', 'rest'],
  passes: (act) => act.minutes ?? 0,
  words: (act, { cavities }) => ({
    title: act.minutes === undefined ? 'wait' : `wait ${duration(act.minutes)}`,
    act: 'Wait',
    rest: [act.minutes === undefined ? '' : duration(act.minutes), cavities && `with ${cavities}`]
      .filter(Boolean)
      .join(', '),
    hint: 'hands off',
    confirm: 'Go on'
  })
});
