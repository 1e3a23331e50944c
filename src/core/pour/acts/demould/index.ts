import { defineAct } from '../../define';
import type { ActOf } from '../../fields';

/** Out of the mould, turned over carefully. */
const fields = {};
export type Demould = ActOf<'demould', typeof fields>;

export const demould = defineAct({
  kind: 'demould',
  name: 'demould',
  group: 'after',
  fields,
  also: ['unmould', 'turn out', 'take out'],
  traits: ['demoulds'],
  usually: { each: 1 },
  apply: (_, stand) => ({ stand: { ...stand, unmoulded: true as const }, problems: [] }),
  words: (_, { cavities }) => ({
    title: 'demould',
    act: 'Demould',
    rest: cavities,
    hint: 'loosen the walls all round first; support what is thin',
    confirm: 'Demoulded'
  })
});
