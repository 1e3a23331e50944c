import { defineAct } from '../../define';
import { maybe, outline, pot, words, type ActOf } from '../../fields';
import { intoHollows } from '../../hollows';

/** Recesses inked, the excess wiped. */
const fields = {
  what: words('Which ink'),
  colourantId: pot('Of which pot'),
  hollows: maybe(outline('The recesses, as they lie in the mould'))
};
export type Ink = ActOf<'ink', typeof fields>;

export const ink = defineAct({
  kind: 'ink',
  name: 'ink the recesses',
  group: 'after',
  fields,
  also: ['recess', 'number', 'line'],
  usually: { each: 2 },
  flow: ({ hollows, colourantId }, casting) => {
    if (hollows) intoHollows(casting, { hollows, colourantId, wiped: 'yes' });
  },
  words: (act, { cavities, part }) => ({
    title: `ink the recesses${(act.what ?? act.colourantId) ? ` with ${act.what ?? part(act.colourantId!)}` : ''}`,
    act: 'Ink',
    rest: `the recesses of ${cavities}`,
    hint: 'ink dries darker; wipe while it is wet',
    confirm: 'Inked'
  })
});
