import { defineAct } from '../../define';
import { words, type ActOf } from '../../fields';

/** Recesses inked, the excess wiped. */
const fields = {
  what: words('Which ink')
};
export type Ink = ActOf<'ink', typeof fields>;

export const ink = defineAct({
  kind: 'ink',
  group: 'after',
  fields,
  traits: ['unmoulded'],
  also: ['recess', 'number', 'line'],
  usually: { each: 2 },
  words: (act, { cavities }) => ({
    line: `ink the recesses${act.what ? ` with ${act.what}` : ''}`,
    act: 'Ink',
    rest: `the recesses of ${cavities}`,
    hint: 'ink dries darker; wipe while it is wet',
    confirm: 'Inked'
  })
});
