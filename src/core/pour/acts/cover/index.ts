import { duration } from '../../../quantity';
import { defineAct } from '../../define';
import { minutes, words, type ActOf } from '../../fields';

/** Covered in its mould, and kept warm: against ash, or so that it gels through. */
const fields = {
  with: words('With'),
  minutes: minutes('For', 720)
};
export type Cover = ActOf<'cover', typeof fields>;

export const cover = defineAct({
  kind: 'cover',
  name: 'cover in the mould',
  group: 'wait',
  fields,
  also: ['insulate', 'towel', 'lid', 'gel', 'ash'],
  usually: { once: 1 },
  passes: (act) => act.minutes,
  traits: ['shields'],
  edges: { late: 'ash blooms where air reaches it' },
  words: (act, { cavities }) => ({
    title: `cover ${duration(act.minutes)}${act.with ? ` with ${act.with}` : ''}`,
    act: 'Cover',
    rest: `${cavities} for ${duration(act.minutes)}${act.with ? `, with ${act.with}` : ''}`,
    hint: 'over the whole mould, not touching the top; look under it once: a crack means it is too warm',
    confirm: 'Covered'
  })
});
