import { defineAct } from '../../define';
import type { ActOf } from '../../fields';

/** Out of the mould, turned over carefully. */
const fields = {};
export type Demould = ActOf<'demould', typeof fields>;

export const demould = defineAct({
  kind: 'demould',
  group: 'after',
  fields,
  also: ['unmould', 'turn out', 'take out'],
  traits: ['demoulds'],
  usually: { each: 1 },
  words: (_, { cavities }) => ({
    line: 'demould',
    act: 'Demould',
    rest: cavities,
    hint: 'from the corners; support what is thin',
    confirm: 'Demoulded'
  })
});
