import { defineAct } from '../../define';
import { maybe, oneOf, outline, pot, type ActOf } from '../../fields';
import { intoAnyRelief, intoHollows } from '../../hollows';

/** A stain that stays in the hollows: on, then wiped from the peaks. */
const fields = {
  colourantId: pot('Which pigment'),
  wiped: oneOf('Wiped from the peaks', ['yes', 'no'], 'yes'),
  hollows: maybe(outline('The hollows, as they lie in the mould'))
};
export type Stain = ActOf<'stain', typeof fields>;

/** One relief for every guess: the piece stays the same whatever chance does elsewhere. */
const RELIEF = 41;

export const stain = defineAct({
  kind: 'stain',
  name: 'stain the hollows',
  group: 'after',
  fields,
  also: ['relief', 'hollows', 'patina'],
  traits: ['water', 'unmoulded', 'stains'],
  usually: { each: 2 },
  flow: ({ hollows, colourantId, wiped }, casting) => {
    if (hollows) intoHollows(casting, { hollows, colourantId, wiped });
    // Where the hollows are is not known until they are traced.
    else intoAnyRelief(casting, { colourantId, wiped, seed: RELIEF });
  },
  edges: { late: 'it takes unevenly once it is dry' },
  words: (act, { cavities, part }) => ({
    title: `stain the hollows${act.colourantId ? ` with ${part(act.colourantId)}` : ''}`,
    where: act.wiped === 'yes' ? 'wiped from the peaks' : '',
    act: 'Stain',
    rest: `the hollows of ${cavities}`,
    hint: 'thin, in water; wipe before it dries',
    confirm: 'Stained'
  })
});
